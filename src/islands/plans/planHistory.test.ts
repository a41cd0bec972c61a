import assert from 'node:assert/strict';
import test from 'node:test';
import { fragrance, planFile } from '../../../tests/support/planFiles';
import { retyped } from '../../core/plan/plan';
import { doseTyped, planHistory, startHistory, typingIn, withTyped } from './planHistory';

const { plan } = planFile([{}]);
const named = (name: string) => ({ ...plan, name });
const edit = (name: string, about: string, atMs: number) => ({
  kind: 'edit' as const,
  plan: named(name),
  about,
  atMs,
});

test('keystrokes in one field are one step back; a pause or another field begins the next', () => {
  let history = startHistory(named('start'));
  for (const action of [
    edit('a', 'name', 0),
    edit('ab', 'name', 300),
    edit('abc', 'name', 5000),
    edit('x', 'note', 5100),
  ]) {
    history = planHistory(history, action);
  }
  const names: string[] = [];
  while (history.past.length > 0) {
    history = planHistory(history, { kind: 'undo' });
    names.push(history.present.name);
  }
  assert.deepEqual(names, ['abc', 'ab', 'start']);
});

test('redo goes forward again until a new edit', () => {
  let history = planHistory(startHistory(named('start')), edit('a', 'name', 0));
  history = planHistory(planHistory(history, { kind: 'undo' }), { kind: 'redo' });
  assert.equal(history.present.name, 'a');
  history = planHistory(planHistory(history, { kind: 'undo' }), edit('b', 'name', 9));
  assert.equal(planHistory(history, { kind: 'redo' }).present.name, 'b');
});

test('undo and redo at the ends change nothing', () => {
  const history = startHistory(named('start'));
  assert.equal(planHistory(history, { kind: 'undo' }), history);
  assert.equal(planHistory(history, { kind: 'redo' }), history);
});

test('typing is told from dragging, and ends with whatever else is done', () => {
  const start = startHistory(plan);
  const after = (about: string) => planHistory(start, edit('a', about, 0));
  assert.deepEqual(typingIn(after(doseTyped(2, 11))), { pourIndex: 2, doseIndex: 11 });
  assert.equal(typingIn(after('note')), 'words');
  for (const about of ['wait 1', 'boundary 0', 'say 1 99', 'column 5', 'base of 0'])
    assert.equal(typingIn(after(about)), null, about);
  assert.equal(typingIn(planHistory(after('note'), { kind: 'undo' })), null);
});

test('an edit of the plan that is shown keeps what was typed since', () => {
  const shown = planFile([{ doses: [[fragrance(), '2 %']] }, {}]).plan;
  const newest = {
    ...shown,
    pours: shown.pours.map((pour) => ({ ...pour, doses: pour.doses.map((dose) => retyped(dose, '25 %')) })),
  };
  const moved = { ...shown, pours: shown.pours.toReversed() };
  const kept = withTyped(moved, newest, { pourIndex: 0, doseIndex: 0 });
  assert.deepEqual(
    kept.pours.map(({ doses }) => doses.map(({ text }) => text)),
    [[], ['25 %']],
  );
  // What was taken out meanwhile stays out.
  const without = { ...shown, pours: shown.pours.map((pour) => ({ ...pour, doses: [] })) };
  assert.deepEqual(withTyped(without, newest, { pourIndex: 0, doseIndex: 0 }), without);
});
