import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  BOX,
  base,
  colorant,
  fragrance,
  isClose,
  mold,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { hasStop, reviewPlan } from '../checks/review';
import { type Section, sectionOf } from '../section/section';
import { moveBoundary, moveBoundaryToGram } from './moveBoundary';
import type { PlanFile } from './plan';
import type { PourWay } from './pourWay';
import type { Sheet } from './sheet';

const describeFinding = await allFindingWords();

const cavityMl = (sheet: Sheet) =>
  sheet.pours.map(({ intoMoldMl, displacedMl }) => (intoMoldMl + displacedMl) / 6);
const closeTo = (actual: readonly number[], expected: readonly number[], within = 1e-6) =>
  assert.ok(
    actual.length === expected.length &&
      actual.every((each, index) => Math.abs(each - (expected[index] ?? 0)) <= within),
    `${actual} is not ${expected}`,
  );
const fileOf = (pours: { size: string; way?: PourWay }[], inMold = BOX): PlanFile =>
  planFile(
    pours.map((pour) => ({ ...pour, doses: [[fragrance(), '2 %']] })),
    {},
    inMold,
  );
const titles = (file: PlanFile) =>
  reviewPlan(file).findings.map(
    (finding) => describeFinding(finding, { system: 'metric', locale: 'en' }).title,
  );

test('a wedge: a box that leans has half a box under the diagonal, and the level pour fills the other half', () => {
  // From the floor at one end to 20 mm at the other: atan(20 / 80) over the length, 10 mm over the middle, half of 80 mL.
  const deg = (Math.atan(20 / 80) * 180) / Math.PI;
  const sheet = sheetOf(
    fileOf([{ size: 'to 10 mm', way: { lean: { deg, along: 'length' } } }, { size: 'rest' }]),
  );
  closeTo(cavityMl(sheet), [40, 60], 1e-5);
  assert.ok(isClose(sheet.pours[0]?.surfaceMm ?? 0, 10, 1e-6));
  // The same by weight: what it weighs is what its volume weighs.
  const byWeight = sheetOf(
    fileOf([
      { size: `${sheet.pours[0]?.intoMoldG} g`, way: { lean: { deg, along: 'length' } } },
      { size: 'rest' },
    ]),
  );
  closeTo(cavityMl(byWeight), [40, 60], 1e-3);
  assert.ok(Math.abs((byWeight.pours[0]?.surfaceMm ?? 0) - 10) < 0.001);
});

test('a lean of next to nothing is next to level, and the other way round is the mirror image', () => {
  const at = (deg: number) =>
    cavityMl(
      sheetOf(fileOf([{ size: 'to 9 mm', way: { lean: { deg, along: 'width' } } }, { size: 'rest' }])),
    );
  closeTo(at(0.5), [36, 64], 1e-5);
  closeTo(at(20), at(-20), 1e-6);
});

test('a leaning mold that is poured too full runs over its low edge: a stop with its figures', () => {
  const file = fileOf([{ size: 'to 20 mm', way: { lean: { deg: 20, along: 'length' } } }, { size: 'rest' }]);
  // The low edge is 40 mm off the middle: 25 − 40 · tan 20° = 10.44 mm, so 9.56 mm too much.
  const said = titles(file).find((title) => title.includes('low edge'));
  assert.match(said ?? '', /Pour A would run over the low edge: 9\.6 mm/);
  assert.ok(hasStop(reviewPlan(file).findings));
});

test('side by side: two jugs share the room of one size, and a third sits on both', () => {
  const sheet = sheetOf(
    fileOf([{ size: '10 mm' }, { size: '1 part', way: { besideShare: 0.25 } }, { size: 'rest' }]),
  );
  closeTo(cavityMl(sheet), [30, 10, 60]);
  assert.deepEqual(
    sheet.pours.map(({ fromMm, toMm }) => [fromMm, Number(toMm?.toFixed(6))]),
    [
      [0, 10],
      [0, 10],
      [10, 25],
    ].map(([from, to]) => [from, to]),
  );
  const three = sheetOf(
    fileOf([
      { size: 'rest' },
      { size: 'rest', way: { besideShare: 0.3 } },
      { size: 'rest', way: { besideShare: 0.3 } },
    ]),
  );
  closeTo(cavityMl(three), [40, 30, 30]);
  assert.ok(
    titles(fileOf([{ size: 'rest', way: { besideShare: 0.5 } }])).includes('A has nothing to go in beside'),
  );
});

test('what is cut off is poured and melted, but is in no bar', () => {
  const whole = sheetOf(fileOf([{ size: '5 mm' }, { size: 'rest' }]));
  const trimmed = sheetOf(fileOf([{ size: '5 mm', way: { trimmed: true } }, { size: 'rest' }]));
  assert.equal(trimmed.totals.jugG, whole.totals.jugG);
  assert.ok(isClose(trimmed.totals.trimmedG, whole.pours[0]?.intoMoldG ?? 0));
  assert.ok(isClose(trimmed.totals.pieceG, (whole.totals.intoMoldG - trimmed.totals.trimmedG) / 6));
  const between = fileOf([{ size: '5 mm' }, { size: '5 mm', way: { trimmed: true } }, { size: 'rest' }]);
  assert.ok(titles(between).includes('B can’t be cut off'));
});

test('drops need a pour that draws them out, and a ball is filled in halves', () => {
  assert.ok(
    titles(fileOf([{ size: '5 mm' }, { size: 'rest', way: { dropped: true } }])).includes(
      'Nothing marbles B',
    ),
  );
  assert.ok(
    titles(fileOf([{ size: '5 mm' }, { size: '1 mm', way: { dropped: true } }, { size: 'rest' }])).includes(
      'B may leave pockets of colour',
    ),
  );
  const ball = mold({ capacityMl: 65.45, shape: { kind: 'sphere', diameterMm: 50 } });
  assert.ok(titles(fileOf([{ size: 'rest' }], ball)).includes('A fills the ball past its seam'));
  assert.ok(
    !titles(fileOf([{ size: 'to 23 mm' }, { size: 'rest' }], ball)).some((title) => title.includes('seam')),
  );
});

/** Area between the lines of a pour, mm², by strips. */
function areaMm2({ pours, fromXMm, toXMm }: Section, index: number): number {
  const pour = pours[index];
  assert.ok(pour);
  const height = (line: typeof pour.top, x: number) => {
    const after = line.findIndex(([at]) => at >= x);
    const [x0, h0] = line[Math.max(0, after - 1)] ?? [0, 0];
    const [x1, h1] = line[after] ?? [0, 0];
    return x1 === x0 ? h1 : h0 + ((h1 - h0) * (x - x0)) / (x1 - x0);
  };
  const steps = 4000;
  const [from, to] = [Math.max(fromXMm, pour.fromXMm), Math.min(toXMm, pour.toXMm)];
  let sum = 0;
  for (let step = 0; step < steps; step++) {
    const x = from + ((to - from) * (step + 0.5)) / steps;
    sum += (height(pour.top, x) - height(pour.bottom, x)) * ((to - from) / steps);
  }
  return sum;
}

test('the section tells the truth: in a box, every pour’s area times the width is its volume', () => {
  const leans = fc.constantFrom(undefined, 8, -8, 3);
  const sizes = fc.constantFrom('4 mm', '6 mm', '1 part', '2 parts', '20 %');
  fc.assert(
    fc.property(
      fc.array(fc.record({ size: sizes, deg: leans, beside: fc.boolean() }), { minLength: 1, maxLength: 4 }),
      (said) => {
        const file = fileOf([
          ...said.map(({ size, deg, beside }, index): { size: string; way?: PourWay } => {
            if (beside && index > 0) return { size, way: { besideShare: 0.4 } };
            return deg === undefined ? { size } : { size, way: { lean: { deg, along: 'length' } } };
          }),
          { size: 'rest' },
        ]);
        const { sheet, findings } = reviewPlan(file);
        if (!sheet || findings.some(({ code }) => code === 'pour-sizes')) return;
        const section = sectionOf(sheet, 'length');
        assert.ok(section);
        const alone = (index: number) =>
          sheet.pours[index]?.way.besideShare === undefined &&
          sheet.pours[index + 1]?.way.besideShare === undefined;
        for (const [index, ml] of cavityMl(sheet).entries()) {
          // Where a slope ends between two that stand side by side, each is drawn by its share of the middle.
          if (!alone(index)) continue;
          const drawn = section.pours.findIndex(({ pourIndex }) => pourIndex === index);
          const drawnMl = (areaMm2(section, drawn) * 50) / 1000;
          assert.ok(Math.abs(drawnMl - ml) < 0.02, `${index}: ${drawnMl} is not ${ml}`);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('a section of what was poured side by side parts where the volumes part, in a box and in a round mold', () => {
  const pours = [{ size: '10 mm' }, { size: '1 part', way: { besideShare: 0.25 } }, { size: 'rest' }];
  const box = sectionOf(sheetOf(fileOf(pours)));
  closeTo([box?.pours[0]?.toXMm ?? 0, box?.pours[1]?.fromXMm ?? 0], [20, 20], 1e-3);
  const round = sectionOf(
    sheetOf(
      fileOf(
        [{ size: '10 mm' }, { size: '1 part', way: { besideShare: 0.5 } }, { size: 'rest' }],
        mold({ capacityMl: 80.42, shape: { kind: 'cylinder', diameterMm: 64, depthMm: 25 } }),
      ),
    ),
  );
  closeTo([round?.pours[0]?.toXMm ?? 1], [0], 1e-3);
  // Cut the other way, the larger part fills the middle and is all that is seen of the two.
  const across = sectionOf(sheetOf(fileOf(pours)), 'width');
  assert.deepEqual(
    across?.pours.map(({ letter, leadIndex, leads }) => [letter, leadIndex, leads]),
    [
      ['A', 0, true],
      ['C', 2, true],
    ],
  );
  assert.equal(sectionOf(sheetOf(fileOf([{ size: 'rest' }], mold()))), null);
});

test('colours of the section are those of base and dose, and embeds lie where the sheet says', () => {
  const dye = colorant({ colour: '#2f6fa8' });
  const file = planFile(
    [{ base: base({ look: 'white' }), doses: [[dye, '0.2 %']] }, { base: base({ look: 'white' }) }],
    {},
    BOX,
  );
  const section = sectionOf(sheetOf(file));
  assert.ok(section && section.pours[0]?.hex !== section.pours[1]?.hex);
  assert.match(section.pours[0]?.hex ?? '', /^#[0-9a-f]{6}$/);
});

test('a boundary that is dragged to grams leaves a whole weight, and the pour on top keeps its height', () => {
  const file = fileOf([{ size: '8 mm' }, { size: '1 part' }, { size: 'rest' }]);
  const sheet = sheetOf(file);
  const moved = moveBoundaryToGram(file.plan, file.mold, sheet, 0, 9.3);
  const size = moved.pours[0]?.size;
  assert.ok(size?.by === 'mass' && Number.isInteger(size.massG));
  const after = sheetOf({ ...file, plan: moved });
  assert.ok(isClose(after.pours[0]?.intoMoldG ?? 0, size.massG));
  // A gram of six cavities of 4 mL a millimetre is 0.04 mm.
  assert.ok(Math.abs((after.pours[0]?.toMm ?? 0) - 9.3) < 0.03);
  closeTo([after.pours[1]?.toMm ?? 0], [sheet.pours[1]?.toMm ?? 1]);
});

test('a boundary over pours that lie side by side moves both, and nothing else', () => {
  const file = fileOf([
    { size: '8 mm' },
    { size: '1 part', way: { besideShare: 0.5 } },
    { size: '8 mm' },
    { size: 'rest' },
  ]);
  const sheet = sheetOf(file);
  const after = sheetOf({ ...file, plan: moveBoundary(file.plan, sheet.pours, 0, 10) });
  closeTo(cavityMl(after), [20, 20, 24, 36]);
  closeTo(cavityMl(sheet), [16, 16, 32, 36]);
});
