import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, base, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { isTried, NOTHING_TRIED, type Trial, triedPlan } from './trial';

const FILE = planFile([{ base: base(), doses: [[fragrance(), '6 g']] }], { pieces: 12 }, BOX);
const MATERIALS = [...FILE.materials, base({ id: 'other', name: 'Other' })];

const tried = (trial: Partial<Trial>) =>
  triedPlan(FILE.plan, { ...NOTHING_TRIED, ...trial }, FILE, sheetOf(FILE));

test('nothing tried is the plan', () => {
  assert.equal(isTried(NOTHING_TRIED), false);
  assert.deepEqual(tried({}), FILE.plan);
});

test('pieces, base, dose and packaging are tried at once, and the plan stays as it is', () => {
  const before = structuredClone(FILE.plan);
  const [pour] = FILE.plan.pours;
  const [dose] = pour?.doses ?? [];
  assert.ok(pour && dose);
  const doubled = sheetOf({ ...FILE, plan: tried({ pieces: 24 }) });
  assert.ok(isClose(doubled.totals.baseG, 2 * sheetOf(FILE).totals.baseG));
  assert.equal(doubled.pours[0]?.lines[0]?.massG, 12);

  // A dose that is tried is of the pieces that are tried.
  const packaging = [{ id: 'w1', materialId: 'band', count: 1, forPieces: 1 }];
  const trial = {
    ...{ pieces: 24, packaging },
    bases: new Map([[pour.baseId, 'other']]),
    doses: new Map([
      [dose.id, '5 g'],
      ['gone', '9 g'],
    ]),
  };
  const plan = tried(trial);
  const sheet = sheetOf({ ...FILE, plan: { ...plan, packaging: undefined }, materials: MATERIALS });
  assert.equal(plan.pours[0]?.baseId, 'other');
  assert.equal(sheet.pours[0]?.lines[0]?.massG, 5);
  assert.deepEqual(plan.packaging, packaging);
  assert.equal('packaging' in tried({ packaging: [] }), false);
  assert.deepEqual(FILE.plan, before);
});
