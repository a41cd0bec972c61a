import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { ofCode } from '../../../tests/support/findings';
import {
  BOX,
  base,
  type FilePour,
  fragrance,
  isClose,
  mold,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { explainPourSizeFault } from '../../words/en/plan/sizeFaults';
import { reviewPlan } from '../checks/review';
import type { Shape } from '../molds/mold';
import { volumeBelowMl } from '../molds/shape';
import { moveBoundary } from './moveBoundary';
import type { PlanFile } from './plan';
import { type PourSize, parsePourSize, writePourSize } from './pourSize';
import { scalePlan } from './scalePlan';
import type { Sheet } from './sheet';

const BALL = mold({ capacityMl: 89.8, shape: { kind: 'hemisphere', diameterMm: 70 } });

function size(text: string): PourSize {
  const read = parsePourSize(text);
  assert.ok(read.success, read.success ? '' : `${text}: ${read.error}`);
  return read.data;
}

function fileOf(sizes: string[], plan: Partial<PlanFile['plan']> = {}, inMold = BOX): PlanFile {
  const file = planFile(
    sizes.map((_, index) => ({
      base: base({ id: `base-${index}`, densityGPerMl: 1 + index / 20 }),
      doses: [[fragrance(), '2 %']],
    })),
    plan,
    inMold,
  );
  return {
    ...file,
    plan: {
      ...file.plan,
      pours: file.plan.pours.map((pour, index) => ({ ...pour, size: size(sizes[index] ?? '') })),
    },
  };
}
const volumes = (sheet: Sheet) => sheet.pours.map(({ intoMoldMl }) => intoMoldMl / sheet.pieces);
const closeTo = (actual: number[], expected: number[]) =>
  assert.ok(
    actual.length === expected.length &&
      actual.every((each, index) => isClose(each, expected[index] ?? 0, 1e-7)),
    `${actual} is not ${expected}`,
  );
const sizeFaults = (file: PlanFile) =>
  ofCode(reviewPlan(file).findings, 'pour-sizes').map(({ fault, pourIndex }) => [fault, pourIndex]);

test('every way to say a size, read and written back as itself', () => {
  const said: [string, PourSize][] = [
    ['8', { by: 'parts', parts: 8 }],
    ['1 part', { by: 'parts', parts: 1 }],
    ['50 g', { by: 'mass', massG: 50 }],
    ['2 oz', { by: 'mass', massG: 56.69904625 }],
    ['250 g base', { by: 'base', baseG: 250 }],
    ['9 oz of the base', { by: 'base', baseG: 255.145708125 }],
    ['half the fill', { by: 'fill', fractionOfFill: 0.5 }],
    ['1 lb 2 oz base', { by: 'base', baseG: 510.29141625 }],
    ['8 mm', { by: 'thickness', thicknessMm: 8 }],
    ['½ in', { by: 'thickness', thicknessMm: 12.7 }],
    ['to 2 cm', { by: 'height', heightMm: 20 }],
    ['¾ of the fill', { by: 'fill', fractionOfFill: 0.75 }],
    ['75 %', { by: 'fill', fractionOfFill: 0.75 }],
    ['disc 30 mm', { by: 'disc', diameterMm: 30 }],
    ['30 mm disc', { by: 'disc', diameterMm: 30 }],
    ['The rest', { by: 'rest' }],
  ];
  for (const [text, expected] of said) {
    assert.deepEqual(size(text), expected, text);
    assert.deepEqual(size(writePourSize(expected)).by, expected.by);
  }
  for (const text of [
    '',
    '-8 mm',
    '0',
    '8 spoons',
    'to 8',
    'to the brim',
    '2-3 mm',
    '1e9 mm',
    '1,250 g',
    'x'.repeat(999),
    '150 %',
  ]) {
    const read = parsePourSize(text);
    assert.ok(!read.success && explainPourSizeFault(read.error).length > 10, text);
  }
  fc.assert(fc.property(fc.string({ unit: 'binary' }), (text) => void parsePourSize(text)));
});

test('ratio, thickness, height, fraction, weight and the rest, freely mixed', () => {
  closeTo(volumes(sheetOf(fileOf(['8', '2']))), [80, 20]);
  closeTo(volumes(sheetOf(fileOf(['1 part', '1 part', '1 part']))), [100 / 3, 100 / 3, 100 / 3]);
  closeTo(volumes(sheetOf(fileOf(['8 mm', 'rest']))), [32, 68]);
  closeTo(volumes(sheetOf(fileOf(['8 mm', 'to 12 mm', '1', '1']))), [32, 16, 26, 26]);
  closeTo(volumes(sheetOf(fileOf(['1', '5 mm', '1']))), [40, 20, 40]);
  closeTo(volumes(sheetOf(fileOf(['¾ of the fill', 'rest'], { fillFraction: 0.8 }))), [60, 20]);
  // 60 g over six cavities; the density of the jug's content is that of base with 2 % of scent.
  const sheet = sheetOf(fileOf(['60 g', 'rest']));
  assert.ok(isClose(sheet.pours[0]?.intoMoldG ?? 0, 60));
  closeTo([volumes(sheet).reduce((sum, each) => sum + each, 0)], [100]);
});

test('a disc in a round bottom: 30 mm, a ring out to 45 mm, then the rest', () => {
  const capacity = volumeBelowMl({ kind: 'hemisphere', diameterMm: 70 }, 35);
  const sheet = sheetOf(fileOf(['disc 30 mm', 'disc 45 mm', 'rest'], {}, { ...BALL, capacityMl: capacity }));
  // By hand, r = 35: caps of 35 − √(35² − 15²) = 3.3772 mm and 35 − √(35² − 22.5²) = 8.1905 mm.
  const cap = (h: number) => (Math.PI * h * h * (105 - h)) / 3 / 1000;
  const [one, two] = [35 - Math.sqrt(1000), 35 - Math.sqrt(1225 - 506.25)];
  closeTo(volumes(sheet), [cap(one), cap(two) - cap(one), capacity - cap(two)]);
  assert.deepEqual(
    sheet.pours.map(({ toMm }) => Number(toMm?.toFixed(4))),
    [3.3772, 8.1905, 35],
  );
});

test('contradictions and full molds are findings with their figures, never a wrong drawing', () => {
  assert.deepEqual(sizeFaults(fileOf(['20 mm', '17 mm'])), [['over-brim', 1]]);
  const [over] = ofCode(reviewPlan(fileOf(['20 mm', '17 mm'])).findings, 'pour-sizes');
  assert.ok(isClose(over?.offMm ?? 0, 12));
  const drawn = sheetOf(fileOf(['20 mm', '17 mm'])).pours;
  assert.deepEqual(
    drawn.map(({ toMm }) => Number(toMm?.toFixed(6))),
    [20, 25],
  );
  assert.deepEqual(sizeFaults(fileOf(['15 mm', 'to 12 mm', 'rest'])), [['already-higher', 1]]);
  assert.deepEqual(sizeFaults(fileOf(['100 %', 'rest'])), [['nothing-left', 1]]);
  assert.deepEqual(sizeFaults(fileOf(['24 mm'], { fillFraction: 0.8 })), [['over-fill', null]]);
  assert.deepEqual(sizeFaults(fileOf(['8 mm'])), [['below-fill', null]]);
  assert.deepEqual(sizeFaults(fileOf(['8 mm', 'rest'], {}, mold())), [['needs-shape', 0]]);
  assert.deepEqual(sizeFaults(fileOf(['disc 30 mm', 'rest'])), [['no-such-disc', 0]]);
  assert.deepEqual(sizeFaults(fileOf(['900 g'])), [['over-brim', null]]);
});

test('every way of sizing the same pours gives the same sheet', () => {
  const cut = fc.integer({ min: 2, max: 22 });
  fc.assert(
    fc.property(cut, fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 10 }), (mm, pieces, loss) => {
      const plan = { pieces, jugLossFraction: loss / 100 };
      const byHeight = sheetOf(fileOf([`to ${mm} mm`, 'rest'], plan));
      const massG = byHeight.pours[0]?.intoMoldG ?? 0;
      const ways = [`${mm} mm`, `${mm} parts`, `${mm / 0.25} %`, `${massG} g`];
      for (const way of ways) {
        const upper = way.endsWith('parts') ? `${25 - mm} parts` : 'rest';
        const other = sheetOf(fileOf([way, upper], plan));
        for (const [index, pour] of byHeight.pours.entries()) {
          assert.ok(isClose(other.pours[index]?.baseG ?? 0, pour.baseG, 1e-7), way);
          assert.ok(Math.abs((other.pours[index]?.toMm ?? 0) - (pour.toMm ?? 0)) < 1e-5, way);
        }
      }
    }),
    { numRuns: 60 },
  );
});

const anySizes = fc
  .array(fc.constantFrom('1 part', '2 parts', '3 mm', '12 %', '40 g', '1 part'), {
    minLength: 1,
    maxLength: 5,
  })
  .map((sizes) => [...sizes, 'rest']);

test('pours sum to the fill, and twice the pieces are twice the weights', () => {
  fc.assert(
    fc.property(anySizes, fc.constantFrom(BOX, BALL), (sizes, inMold) => {
      const file = fileOf(sizes, { fillFraction: 0.9, pieces: 8 }, inMold);
      const { sheet, findings } = reviewPlan(file);
      if (!sheet || findings.some(({ code }) => code === 'pour-sizes')) return;
      closeTo([volumes(sheet).reduce((sum, each) => sum + each, 0)], [inMold.capacityMl * 0.9]);
      const double = sheetOf({ ...file, plan: scalePlan(file.plan, 16, file) });
      for (const [index, pour] of sheet.pours.entries())
        assert.ok(isClose(double.pours[index]?.baseG ?? 0, pour.baseG * 2, 1e-7));
    }),
  );
});

test('moving a boundary changes two pours and nothing else', () => {
  fc.assert(
    fc.property(anySizes, fc.nat(4), fc.double({ min: 0, max: 25, noNaN: true }), (sizes, place, toMm) => {
      const file = fileOf(sizes);
      const { sheet, findings } = reviewPlan(file);
      const below = place % Math.max(1, sizes.length - 1);
      if (!sheet || findings.some(({ code }) => code === 'pour-sizes')) return;
      const moved = moveBoundary(file.plan, sheet.pours, below, toMm);
      if (moved === file.plan) return;
      const after = sheetOf({ ...file, plan: moved });
      for (const [index, pour] of sheet.pours.entries()) {
        const other = after.pours[index];
        if (index === below || index === below + 1) continue;
        assert.ok(isClose(other?.intoMoldMl ?? 0, pour.intoMoldMl, 1e-6), `pour ${index}`);
      }
      const both = (from: Sheet) =>
        (from.pours[below]?.intoMoldMl ?? 0) + (from.pours[below + 1]?.intoMoldMl ?? 0);
      assert.ok(isClose(both(after), both(sheet), 1e-6));
    }),
  );
});

test('a mold filled to its brim takes a rest below a thickness, in every shape', () => {
  const shapes: [Shape, number][] = [
    [{ kind: 'hemisphere', diameterMm: 60 }, 56.5],
    [{ kind: 'sphere', diameterMm: 50 }, 65.4],
    [{ kind: 'cylinder', diameterMm: 64, depthMm: 25 }, 80.1],
    [{ kind: 'frustum', floorDiameterMm: 30, diameterMm: 60, depthMm: 35 }, 57.9],
    [{ kind: 'half-cylinder', diameterMm: 60, lengthMm: 200 }, 283],
  ];
  for (const [shape, capacityMl] of shapes)
    for (const thickness of ['5 mm', '3.3 mm', '7 mm']) {
      const file = planFile([{ size: 'rest' }, { size: thickness }], {}, mold({ shape, capacityMl }));
      const { sheet, findings } = reviewPlan(file);
      assert.ok(sheet);
      assert.deepEqual(
        findings.filter(({ severity }) => severity === 'stop'),
        [],
        `${shape.kind} ${thickness}`,
      );
      const [, top] = sheet.pours;
      assert.ok(Math.abs((top?.toMm ?? 0) - (top?.fromMm ?? 0) - Number.parseFloat(thickness)) < 1e-4);
    }
});

test('a pour by its base weighs so much base, whatever is dosed into it, and grows with the pieces', () => {
  const doses: FilePour['doses'] = [[fragrance({ densityGPerMl: 1 }), '3 %']];
  const file = planFile([{ size: '250 g base', doses }, { size: 'rest' }], {}, BOX);
  const sheet = sheetOf(file);
  assert.ok(isClose(sheet.pours[0]?.baseG ?? 0, 250, 1e-9));
  assert.ok(isClose(sheet.pours[0]?.jugG ?? 0, 257.5, 1e-9));
  const twice = { ...file, plan: scalePlan(file.plan, file.plan.pieces * 2, file) };
  assert.ok(isClose(sheetOf(twice).pours[0]?.baseG ?? 0, 500, 1e-9));
  // Beside it, the same weight in all is base and doses together, without what stays in the jug.
  const inAll = sheetOf(planFile([{ size: '250 g', doses }, { size: 'rest' }], {}, BOX)).pours[0];
  assert.ok(isClose(inAll?.intoMoldG ?? 0, 250, 1e-9));
});
