import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { colorant, fragrance, mold, pieces, planFile, scrap } from '../../../tests/support/planFiles';
import { taskSentence } from '../../words/en/work/taskSentence';
import { reviewPlan, sayFinding } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import type { Shape } from '../molds/mold';
import { untimed } from '../pourPlan/untimed';
import { sectionOf } from '../section/section';
import { meltsOf } from '../work/loads';
import { tasksOf } from '../work/tasksOf';
import type { DraftEmbed } from './ids';
import { planFileSchema } from './plan';
import type { PourWay } from './pourWay';
import { sheetSchema } from './sheet';

const SHAPES: Shape[] = [
  { kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, draftDeg: 8, cornerMm: 6 },
  { kind: 'cylinder', diameterMm: 64, depthMm: 25 },
  { kind: 'frustum', floorDiameterMm: 30, diameterMm: 60, depthMm: 35 },
  { kind: 'hemisphere', diameterMm: 70 },
  { kind: 'sphere', diameterMm: 50 },
  { kind: 'half-cylinder', diameterMm: 60, lengthMm: 200 },
  {
    kind: 'revolved',
    points: [
      { heightMm: 0, halfWidthMm: 0 },
      { heightMm: 30, halfWidthMm: 30 },
    ],
  },
  {
    kind: 'water-steps',
    steps: [
      { heightMm: 6, volumeMl: 18 },
      { heightMm: 26, volumeMl: 114 },
    ],
  },
  { kind: 'capacity-only' },
];
const SIZES = [
  '1 part',
  '3 parts',
  '4 mm',
  'to 14 mm',
  '90 g',
  '30 %',
  'disc 30 mm',
  'rest',
  '400 mm',
  '0.01 g',
];
const METRIC = { system: 'metric', locale: 'en' } as const;

const maybe = <Value>(value: fc.Arbitrary<Value>) => fc.option(value, { nil: undefined });
const way = fc
  .record({
    lean: maybe(
      fc.record({ deg: fc.constantFrom(-60, -12, 0.5, 12, 60), along: fc.constantFrom('length', 'width') }),
    ),
    besideShare: maybe(fc.constantFrom(0.05, 0.5, 0.95)),
    goes: maybe(fc.constantFrom(2, 9)),
    dropped: maybe(fc.constant(true)),
    trimmed: maybe(fc.constant(true)),
    sameJug: maybe(fc.constant(true)),
  })
  .map(
    (all) => Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined)) as PourWay,
  );
const embed = fc.oneof(
  fc
    .constantFrom(0.01, 0.3, 0.9)
    .map((ofRoom): DraftEmbed => ({ as: 'filling', from: { is: 'shelf', materialId: 'scrap-1' }, ofRoom })),
  fc
    .record({
      perPiece: fc.constantFrom(1, 7, 500),
      liftMm: fc.constantFrom(0, 5, 500),
      standsOutMm: fc.constantFrom(0, 3, 500),
      heightMm: fc.constantFrom(null, 0.5, 12),
      size: fc.constantFrom(null, { by: 'mass' as const, massG: 3 }, { by: 'ball' as const, diameterMm: 12 }),
    })
    .map((over): DraftEmbed => pieces('scrap-1', over)),
);
const pour = fc.record({
  size: fc.constantFrom(...SIZES),
  way,
  embeds: fc.array(embed, { maxLength: 2 }),
  dose: fc.constantFrom('', '0.3 %', '4 drops', '60 g'),
});

test('any plan that can be told has a sheet or a reason, and everything that is made of it can be told too', () => {
  let sheets = 0;
  fc.assert(
    fc.property(
      fc.array(pour, { minLength: 1, maxLength: 5 }),
      fc.constantFrom(...SHAPES),
      (pours, shape) => {
        const file = planFile(
          pours.map(({ size, way: own, embeds, dose }) => ({
            size,
            doses:
              dose === ''
                ? []
                : [[colorant({ colour: '#2f6fa8' }), dose] as const, [fragrance(), '1 %'] as const],
            ...(Object.keys(own).length > 0 ? { way: own } : {}),
            ...(embeds.length > 0 ? { embeds } : {}),
          })) as Parameters<typeof planFile>[0],
          { fillFraction: 0.95, jugLossFraction: 0.03 },
          mold({ shape }),
          [scrap()],
        );
        const told = planFileSchema.safeParse(file);
        assert.ok(told.success, told.success ? '' : told.error.message);
        const { sheet, findings } = reviewPlan(file);
        for (const finding of findings) assert.ok(sayFinding(finding, METRIC).title.length > 0);
        if (!sheet) {
          assert.ok(findings.some(({ severity }) => severity === 'stop'));
          return;
        }
        sheets++;
        const read = sheetSchema.safeParse(sheet);
        assert.ok(read.success, read.success ? '' : read.error.message);
        // Nothing runs over without a stop, and what is drawn never leaves the cavity.
        const roomMl =
          sheet.pours.reduce((sum, { intoMoldMl, displacedMl }) => sum + intoMoldMl + displacedMl, 0) / 6;
        assert.ok(roomMl <= 100 * (1 + 1e-6));
        for (const task of untimed(tasksOf(sheet, USUAL_HOUSE_RULES)))
          assert.ok(taskSentence(task, sheet, USUAL_HOUSE_RULES, METRIC).length > 0);
        for (const { cutG, needG } of meltsOf(sheet, USUAL_HOUSE_RULES)) assert.ok(cutG >= needG - 1e-6);
        for (const axis of ['length', 'width'] as const) {
          const section = sectionOf(sheet, axis);
          assert.equal(section === null, shape.kind === 'capacity-only');
          for (const { top, bottom, toMm } of section?.pours ?? []) {
            assert.ok([...top, ...bottom].flat().every(Number.isFinite));
            assert.ok(toMm <= (section?.depthMm ?? 0) + 1e-9);
          }
        }
      },
    ),
    { numRuns: 150 },
  );
  assert.ok(sheets > 30, `${sheets} sheets of 150 plans`);
});
