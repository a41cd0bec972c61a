import fc from 'fast-check';
import type { DoseableMaterial } from '../../src/core/materials/material';
import type { DraftEmbed } from '../../src/core/plan/ids';
import { LAID_WHERE } from '../../src/core/plan/laid';
import type { PlanFile } from '../../src/core/plan/plan';
import { SHAPES } from './anyPlanFile';
import {
  additive,
  base,
  colorant,
  dispersant,
  type FilePour,
  fragrance,
  mold,
  pieces,
  planFile,
  scrap,
} from './planFiles';

/** As many as the schema takes. */
const MOST_POURS = 26;
const MOST_DOSES = 60;

/** Sixty materials, a few of them odd, so that a pour may dose each of them once. */
const DOSED: DoseableMaterial[] = Array.from({ length: MOST_DOSES }, (_, index) => {
  const id = `dosed-${index}`;
  const name = `Material ${index}`;
  const densityGPerMl = [0.3, 0.95, 3, null][index % 4] ?? null;
  if (index % 3 === 0) return fragrance({ id, name, densityGPerMl, maxOfProduct: 1e-6 });
  if (index % 3 === 1) return colorant({ id, name, densityGPerMl, colour: '#2f6fa8' });
  return additive({ id, name, densityGPerMl });
});
const WET_IN = dispersant();

/** As many of them as there may be still leave base in a jug. */
const SMALL_AMOUNTS = ['0.001 %', '0.1 %', '0.01 g', '1 drop'];
const ANY_AMOUNT = [...SMALL_AMOUNTS, '1 %', '99 %', '5000 g', '900 drops', '3 ml', '2 tsp'];
const SHARED_SIZES = ['1 part', '1000 parts', 'rest'];
const ANY_SIZE = [...SHARED_SIZES, '0.1 mm', '5 mm', 'to 14 mm', '90000 g', '30 %', '100 %', '0.01 g'];
const CLOCKS = [
  '0001-01-01T00:00',
  '1970-01-01T00:00',
  '2026-03-29T02:30',
  '2026-10-25T02:30',
  '9999-12-31T23:59',
];
const ZONES = [undefined, 'Europe/Berlin', 'Pacific/Apia', 'Pacific/Kiritimati', 'Etc/GMT+12'];

const embed = fc
  .record({
    perPiece: fc.constantFrom(1, 12, 500),
    liftMm: fc.constantFrom(0, 5, 500),
    standsOutMm: fc.constantFrom(0, 500),
    size: fc.constantFrom(
      null,
      { by: 'mass' as const, massG: 0.01 },
      { by: 'ball' as const, diameterMm: 90 },
    ),
  })
  .map((over): DraftEmbed => pieces('scrap-1', over));

const pourOf = (amounts: readonly string[], sizes: readonly string[], mostEmbeds: number) =>
  fc.record({
    doses: fc.array(
      fc.record({
        text: fc.constantFrom(...amounts),
        isWet: fc.boolean(),
        laid: fc.option(fc.constantFrom(...LAID_WHERE), { nil: undefined, freq: 4 }),
      }),
      { maxLength: MOST_DOSES, size: 'max' },
    ),
    size: fc.constantFrom(...sizes),
    embeds: fc.array(embed, { maxLength: mostEmbeds }),
    isFast: fc.boolean(),
    lean: fc.constantFrom(undefined, undefined, ...(mostEmbeds > 0 ? [-60, 0.5, 60] : [])),
    sameJug: fc.boolean(),
  });

/** Two of three can be made; one may be anything. */
function poursOf(most: number) {
  const many = { minLength: 1, maxLength: most, size: 'max' } as const;
  return fc.oneof(
    { weight: 2, arbitrary: fc.array(pourOf(SMALL_AMOUNTS, SHARED_SIZES, 0), many) },
    { weight: 1, arbitrary: fc.array(pourOf(ANY_AMOUNT, ANY_SIZE, 20), many) },
  );
}

/**
 * Plans at the ends of what a plan file may hold: up to 26 pours of 60 doses, a hundred thousand pieces, odd clocks.
 *
 * @param mostPours fewer are answered sooner
 */
export const extremePlanFile = (mostPours = MOST_POURS): fc.Arbitrary<PlanFile> =>
  fc
    .record({
      pours: poursOf(mostPours),
      shape: fc.constantFrom(...SHAPES),
      pieces: fc.constantFrom(1, 72, 100_000),
      cavities: fc.constantFrom(1, 6, 200),
      capacityMl: fc.constantFrom(0.5, 100, 20_000),
      clock: fc.option(
        fc.record({
          at: fc.constantFrom('start' as const, 'finish' as const),
          time: fc.constantFrom(...CLOCKS),
        }),
        { nil: null },
      ),
      zone: fc.constantFrom(...ZONES),
      freezerMin: fc.constantFrom(null, 1, 600),
      roomC: fc.constantFrom(5, 21, 40),
    })
    .map(({ pours: each, shape, cavities, capacityMl, clock, zone, freezerMin, roomC, pieces: count }) =>
      planFile(
        each.map(
          ({ doses, size, embeds, isFast, lean, sameJug }): FilePour => ({
            base: base(
              isFast ? { id: 'quick', name: 'Quick base', setSpeed: 'fast', densityGPerMl: null } : {},
            ),
            size,
            doses: doses.flatMap(({ text, isWet, laid }, index) => {
              const material = DOSED[index];
              if (!material || laid) return [];
              return [[material, text, isWet ? { dispersantId: WET_IN.id, times: 20 } : undefined]];
            }),
            laid: doses.flatMap(({ text, laid }, index) => {
              const material = DOSED[index];
              return material && laid ? [[material, text, laid]] : [];
            }),
            way: {
              ...(lean === undefined ? {} : { lean: { deg: lean, along: 'length' } }),
              ...(sameJug ? { sameJug } : {}),
            },
            ...(embeds.length > 0 ? { embeds } : {}),
          }),
        ),
        {
          pieces: count,
          fillFraction: 0.95,
          jugLossFraction: 0.03,
          making: {
            room: { tempC: roomC, spreadK: 5, humidity: 0.98, humiditySpread: 0.01 },
            clock: clock && { ...clock, ...(zone ? { zone } : {}) },
            freezerMin,
          },
        },
        mold({ shape, cavities, capacityMl }),
        [scrap(), WET_IN],
      ),
    );
