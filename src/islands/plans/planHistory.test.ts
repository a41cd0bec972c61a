import assert from 'node:assert/strict';
import test from 'node:test';
import { planFile } from '../../../tests/support/planFiles';
import { planHistory, startHistory } from './planHistory';

const { plan } = planFile([{}]);
const named = (name: string) => ({ ...plan, name });
const edit = (name: string, about: string, atMs: number) => ({
  do: 'edit' as const,
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
    history = planHistory(history, { do: 'undo' });
    names.push(history.present.name);
  }
  assert.deepEqual(names, ['abc', 'ab', 'start']);
});

test('redo goes forward again until a new edit', () => {
  let history = planHistory(startHistory(named('start')), edit('a', 'name', 0));
  history = planHistory(planHistory(history, { do: 'undo' }), { do: 'redo' });
  assert.equal(history.present.name, 'a');
  history = planHistory(planHistory(history, { do: 'undo' }), edit('b', 'name', 9));
  assert.equal(planHistory(history, { do: 'redo' }).present.name, 'b');
});

test('undo and redo at the ends change nothing', () => {
  const history = startHistory(named('start'));
  assert.equal(planHistory(history, { do: 'undo' }), history);
  assert.equal(planHistory(history, { do: 'redo' }), history);
});
