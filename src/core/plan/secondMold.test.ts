import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../../../tests/support/anyPlanFile';
import {
  additive,
  type FilePour,
  fragrance,
  isClose,
  mold,
  pieces,
  planFile,
  scrap,
  sheetOf,
} from '../../../tests/support/planFiles';
import { madeRun } from '../../../tests/support/runs';
import { reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { fillsFor, piecesMadeOf } from '../molds/filled';
import type { Mold } from '../molds/mold';
import { pourTempC } from '../pours/pourTemp';
import { fillSeen } from '../run/fillSeen';
import { usedMaterials } from '../run/usedMaterials';
import { needOf } from '../stock/need';
import { meltsOf } from '../work/loads';
import { tasksOf } from '../work/tasksOf';
import { makeSheet } from './makeSheet';
import { parsePieceSize } from './pieceSize';
import { piecesOfSheet } from './piecesOfSheet';
import type { PlanFile } from './plan';
import { scalePlan } from './scalePlan';

const TEN = mold({ id: 'ten', name: 'Ten', cavities: 10, capacityMl: 100 });
const ROUNDS = mold({ id: 'rounds', name: 'Rounds', cavities: 4, capacityMl: 40 });
const withSecond = (file: PlanFile, second: Mold = ROUNDS): PlanFile => ({
  ...file,
  plan: { ...file.plan, secondMoldId: second.id },
  secondMold: second,
});
const sizeOfPiece = (text: string) => {
  const read = parsePieceSize(text);
  if (!read.success) throw new Error(text);
  return read.data;
};
const plain = (plan: Partial<PlanFile['plan']>, pours: FilePour[] = [{}]) =>
  withSecond(planFile(pours, plan, TEN, [scrap({ id: 'cubes' })]));

test('eleven pieces from ten cavities: ten, and one in the second mold, in one round', () => {
  // 1000 mL and 40 mL at 1.05 g/mL.
  const sheet = sheetOf(plain({ pieces: 11 }));
  assert.ok(isClose(sheet.totals.baseG, 1092));
  assert.equal(sheet.totals.rounds, 1);
  assert.ok(isClose(sheet.totals.pieceG, 105) && isClose(sheet.totals.secondPieceG, 42));
  assert.deepEqual(piecesOfSheet(sheet), { first: 10, second: 1, part: null });
  assert.equal(sheetOf(plain({ pieces: 10 })).totals.secondPieceG, 0);
});

test('so much base fills the mold, then the second, the last of it in part', () => {
  // 1111.95 g at 1.05 g/mL are 1059 mL: ten of 100 mL, one of 40 mL and 19 mL of the next.
  const sheet = sheetOf(plain({ batch: { by: 'base', massG: 1111.95, text: '1111.95 g', gives: 'pieces' } }));
  const { first, second, part } = piecesOfSheet(sheet);
  assert.deepEqual([first, second, part?.isSecond], [10, 1, true]);
  assert.ok(Math.abs((part?.ofFill ?? 0) - 19 / 40) < 1e-6);
  assert.equal(sheet.pieces, 12);
  assert.ok(Math.abs(sheet.totals.baseG - 1111.95) < 1e-4);
  // Shared out evenly, both are filled as full.
  const evenly = sheetOf(
    plain({ pieces: 12, batch: { by: 'base', massG: 1111.95, text: '1111.95 g', gives: 'fill' } }),
  );
  assert.ok(Math.abs(evenly.fillFraction - 1059 / 1080) < 1e-6);
  assert.ok(isClose(evenly.totals.secondPieceG, evenly.totals.pieceG * 0.4));
});

test('beyond both, another round fills both again', () => {
  const sheet = sheetOf(plain({ pieces: 25 }));
  assert.equal(sheet.totals.rounds, 2);
  // 14 + 10 and one: 20 of 100 mL and 5 of 40 mL.
  assert.ok(isClose(sheet.totals.baseG, (2000 + 5 * 40) * 1.05));
  assert.deepEqual(piecesOfSheet(sheet), { first: 20, second: 5, part: null });
  const tasks = tasksOf(sheet, USUAL_HOUSE_RULES).filter(({ kind }) => kind === 'weigh-base');
  assert.deepEqual(
    tasks.map((task) => (task.kind === 'weigh-base' ? Math.round(task.massG) : 0)),
    [1218, 1092],
  );
});

test('a loaf and a mold of bars: the bars of the loaf, then the others', () => {
  const loaf = mold({
    id: 'loaf',
    cavities: 1,
    capacityMl: 1000,
    shape: { kind: 'box', lengthMm: 200, widthMm: 100, depthMm: 50, draftDeg: 0, cornerMm: 0 },
    sliceMm: 25,
  });
  const bars = piecesMadeOf({ mold: loaf }, 1);
  const molds = { mold: loaf, secondMold: ROUNDS };
  for (const more of [1, 2, 4]) {
    assert.ok(isClose(fillsFor(bars + more, molds), 1 + more * 0.04));
    assert.equal(piecesMadeOf(molds, fillsFor(bars + more, molds)), bars + more);
  }
  assert.ok(isClose(fillsFor(bars + 5, molds), 1.16 + 1));
});

test('what is set in, and laid, goes into every piece; a piece too large for the second mold is a stop', () => {
  const grit = additive({ id: 'grit', name: 'Grit' });
  // A cube of 20 mm: 8 mL, at 1.05 g/mL.
  const cube = pieces('cubes', { size: sizeOfPiece('20 x 20 x 20 mm') });
  const file = plain({ pieces: 12 }, [{ embeds: [cube], laid: [[grit, '1.1 g/piece', 'under']] }]);
  const sheet = sheetOf(file);
  const [pour] = sheet.pours;
  const [embed] = pour?.embeds ?? [];
  assert.ok(isClose(embed?.volumeMl ?? 0, 12 * 8));
  assert.ok(isClose(sheet.totals.laidG, 13.2));
  // 1080 mL, less twelve cubes and 12 mL of grit.
  assert.ok(isClose(sheet.totals.intoMoldMl, 1080 - 96 - 12));
  assert.ok(
    isClose(
      10 * sheet.totals.fillG + 2 * sheet.totals.secondFillG,
      sheet.totals.intoMoldG + sheet.totals.embedsG + 13.2,
    ),
  );
  const used = new Map(usedMaterials(madeRun(sheet)).map((each) => [each.materialId, each.amount]));
  for (const need of needOf(sheet))
    assert.ok(isClose(used.get(need.materialId) ?? 0, need.amount), need.name);
  // A filling takes its share of either cavity: of 1080 mL three tenths are cubes.
  const filled = sheetOf(
    plain({ pieces: 12 }, [
      { embeds: [{ as: 'filling', from: { is: 'shelf', materialId: 'cubes' }, ofRoom: 0.3 }] },
    ]),
  );
  assert.ok(isClose(filled.totals.embedsG, 1080 * 0.3 * 1.05));
  assert.ok(isClose(filled.totals.secondFillG, filled.totals.fillG * 0.4));
  const large = pieces('cubes', { size: sizeOfPiece('40 x 40 x 30 mm') });
  const context = { rules: USUAL_HOUSE_RULES, shelf: null };
  const stops = (pieceCount: number) =>
    reviewPlan(plain({ pieces: pieceCount }, [{ embeds: [large] }]), context).findings.flatMap((found) =>
      found.code === 'pour-sizes' ? [found.fault] : [],
    );
  assert.deepEqual([stops(12), stops(10)], [['embeds-outgrow'], []]);
});

test('a mold as large as the first is the first with more cavities, to the last digit but one', () => {
  fc.assert(
    fc.property(anyPlanFile(3), fc.constantFrom(1, 3), (file, cavities) => {
      const { mold: first } = file;
      const { secondMoldId: _, ...plan } = file.plan;
      const wide = { ...first, cavities: first.cavities * first.copies + cavities, copies: 1 };
      const split = withSecond(
        { ...file, mold: { ...first, cavities: first.cavities * first.copies, copies: 1 } },
        { ...first, id: 'second', cavities, copies: 1 },
      );
      const [one, two] = [makeSheet({ ...file, plan, mold: wide, secondMold: undefined }), makeSheet(split)];
      assert.equal(one.success, two.success);
      if (!one.success || !two.success) return;
      for (const key of ['baseG', 'jugG', 'intoMoldG', 'embedsG', 'laidG', 'rounds'] as const)
        assert.ok(isClose(two.data.totals[key], one.data.totals[key]), `${key} of ${plan.name}`);
      assert.equal(two.data.pieces, one.data.pieces);
      const needs = (sheet: typeof one.data) => meltsOf(sheet, USUAL_HOUSE_RULES).map(({ cutG }) => cutG);
      assert.deepEqual(needs(two.data), needs(one.data));
    }),
    { numRuns: 15 },
  );
});

test('pieces in a second mold set at their own pace: a caution where it holds more, a note where less', () => {
  const context = { rules: USUAL_HOUSE_RULES, shelf: null };
  const severity = (capacityMl: number, pieceCount = 12) =>
    reviewPlan(withSecond(planFile([{}], { pieces: pieceCount }, TEN), { ...ROUNDS, capacityMl }), context)
      .findings.filter(({ code }) => code === 'second-mold-times')
      .map((found) => found.severity);
  assert.deepEqual([severity(40), severity(200), severity(200, 10)], [['note'], ['caution'], []]);
});

test('a second mold that takes nothing decides nothing: no heat, no note, no cutting', () => {
  const brittle = { ...ROUNDS, measuredBy: 'usual' as const, highestC: 40, sliceMm: 10, capacityMl: 400 };
  const told = (pieceCount: number) => {
    const sheet = sheetOf(withSecond(planFile([{}], { pieces: pieceCount }, TEN), brittle));
    return {
      codes: reviewPlan(withSecond(planFile([{}], { pieces: pieceCount }, TEN), brittle), {
        rules: USUAL_HOUSE_RULES,
        shelf: null,
      })
        .findings.map(({ code }) => code)
        .filter((code) => code === 'usual-mold' || code === 'second-mold-times'),
      pourC: pourTempC(sheet, 0, USUAL_HOUSE_RULES),
      cuts: tasksOf(sheet, USUAL_HOUSE_RULES).some(({ kind }) => kind === 'cut-bars'),
    };
  };
  assert.deepEqual(told(10), { codes: [], pourC: 57, cuts: false });
  assert.deepEqual(told(11), { codes: ['second-mold-times', 'usual-mold'], pourC: 37, cuts: true });
});

test('fixed doses grow with the pieces of both molds; a fill of two molds speaks for neither', () => {
  const file = plain({ pieces: 10 }, [{ doses: [[fragrance(), '10 g']] }]);
  const scaled = scalePlan(file.plan, 14, file).pours[0]?.doses[0]?.text;
  assert.equal(scaled, '11.6 g');
  const run = madeRun(sheetOf(plain({ pieces: 11 })), 1, { toScrapG: 5 });
  assert.equal(fillSeen(run), null);
});
