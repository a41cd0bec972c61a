import fc from 'fast-check';
import type { Shape } from '../../src/core/molds/mold';
import type { DraftEmbed } from '../../src/core/plan/ids';
import { LAID_WHERE } from '../../src/core/plan/laid';
import type { PlanFile } from '../../src/core/plan/plan';
import type { PourWay } from '../../src/core/plan/pourWay';
import {
  additive,
  base,
  colorant,
  type FilePour,
  fragrance,
  mold,
  pieces,
  planFile,
  scrap,
} from './planFiles';

export const SHAPES: Shape[] = [
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
const BASES = [
  base(),
  base({ id: 'quick', name: 'Quick base', setSpeed: 'fast', baseKind: 'syndet', densityGPerMl: null }),
];

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
  base: fc.constantFrom(...BASES),
  size: fc.constantFrom(...SIZES),
  way,
  embeds: fc.array(embed, { maxLength: 2 }),
  dose: fc.constantFrom('', '0.3 %', '4 drops', '60 g'),
  laid: fc.option(fc.constantFrom(...LAID_WHERE), { nil: undefined, freq: 1 }),
});

/** Most plans are said in pieces. */
const batch = fc.option(
  fc.record({
    by: fc.constantFrom('base' as const, 'jug' as const),
    massG: fc.constantFrom(1, 250, 1100),
    gives: fc.constantFrom('pieces' as const, 'fill' as const),
  }),
  { nil: undefined, freq: 1 },
);

/** What is beyond one filling goes into a second mold of two cavities. */
function withSecond(capacityMl: number | undefined, file: PlanFile): PlanFile {
  if (capacityMl === undefined) return file;
  const secondMold = mold({ id: 'second', name: 'Second', cavities: 2, capacityMl });
  return { ...file, plan: { ...file.plan, secondMoldId: secondMold.id }, secondMold };
}

/** Any plan that can be told, sensible or not: one to three fillings, and up to `mostPours` pours. */
export function anyPlanFile(mostPours = 5): fc.Arbitrary<PlanFile> {
  return fc
    .record({
      pours: fc.array(pour, { minLength: 1, maxLength: mostPours }),
      shape: fc.constantFrom(...SHAPES),
      pieces: fc.constantFrom(1, 6, 7, 18),
      hardensH: fc.constantFrom(null, 12),
      batch,
      leastMeltG: fc.constantFrom(undefined, undefined, 0, 60, 900),
      secondMl: fc.constantFrom(undefined, undefined, 40, 100, 150),
    })
    .map(({ pours, shape, pieces: count, hardensH, batch: said, leastMeltG, secondMl }) =>
      withSecond(
        secondMl,
        planFile(
          pours.map(
            ({ base: its, size, way: own, embeds, dose, laid }): FilePour => ({
              base: { ...its, hardensH },
              size,
              doses:
                dose === ''
                  ? []
                  : [
                      [colorant({ colour: '#2f6fa8' }), dose],
                      [fragrance(), '1 %'],
                    ],
              ...(laid ? { laid: [[additive(), '2 g/piece', laid]] } : {}),
              ...(Object.keys(own).length > 0 ? { way: own } : {}),
              ...(embeds.length > 0 ? { embeds } : {}),
            }),
          ),
          {
            fillFraction: 0.95,
            jugLossFraction: 0.03,
            pieces: count,
            ...(said ? { batch: { ...said, text: '' } } : {}),
            ...(leastMeltG === undefined ? {} : { leastMeltG }),
          },
          mold({ shape }),
          [scrap()],
        ),
      ),
    );
}
