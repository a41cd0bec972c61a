import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, base, fragrance, mold, planFile } from '../../../tests/support/planFiles';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { taskRows } from '../../words/en/work/taskRows';
import { heatFindings } from '../checks/heat/heatReview';
import { lateFindings } from '../checks/heat/lateFindings';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { houseRulesSchema } from '../houseRules/houseRulesSchema';
import { makeSheet } from '../plan/makeSheet';
import type { PlanFile } from '../plan/plan';
import { planFileSchema } from '../plan/planSchema';
import { makePourPlan } from './makePourPlan';
import { pourPlanSchema } from './pourPlan';

const describeFinding = await allFindingWords();

const SHOWING = { system: 'us', locale: 'de' } as const;

/** Everything at the far ends of what its schema takes. */
const extreme = fc.record({
  meltsC: fc.constantFrom(null, 20, 56, 120),
  thickensC: fc.constantFrom(null, 20, 51, 120),
  ceilingC: fc.constantFrom(null, 20, 71, 120),
  setSpeed: fc.constantFrom('normal' as const, 'fast' as const),
  densityGPerMl: fc.constantFrom(null, 0.9, 1.2),
  baseKind: fc.constantFrom('soap' as const, 'syndet' as const),
  pours: fc.integer({ min: 1, max: 4 }),
  pieces: fc.constantFrom(1, 7, 100_000),
  afterMin: fc.constantFrom(undefined, 0, 1440),
  atC: fc.constantFrom(undefined, 35, 90),
  room: fc.constantFrom(
    { tempC: 5, spreadK: 8, humidity: 0.05, humiditySpread: 0.3 },
    { tempC: 40, spreadK: 0, humidity: 0.98, humiditySpread: 0 },
    { tempC: 21, spreadK: 1, humidity: 0.5, humiditySpread: 0.08 },
  ),
  freezerMin: fc.constantFrom(null, 1, 600),
  clock: fc.constantFrom(null, { at: 'finish' as const, time: '2026-03-01T00:05' }),
  jugs: fc.constantFrom([], [20], [150, 1800], [100_000]),
  microwaveW: fc.constantFrom(200, 1000, 3000),
  meltIn: fc.constantFrom('microwave' as const, 'double-boiler' as const),
  inMold: fc.constantFrom(
    BOX,
    mold({ shape: { kind: 'capacity-only' }, capacityMl: 0.5 }),
    mold({ shape: { kind: 'capacity-only' }, capacityMl: 50_000, madeOf: 'steel' }),
    mold({ shape: { kind: 'sphere', diameterMm: 57.6 }, cavities: 500, sliceMm: null }),
    mold({
      shape: { kind: 'box', lengthMm: 2000, widthMm: 4, depthMm: 12.5, draftDeg: 0, cornerMm: 0 },
      madeOf: 'wood',
      sliceMm: 1,
    }),
  ),
});

test('whatever its schema takes has a pour plan in finite figures, and every word of it', () => {
  let planned = 0;
  fc.assert(
    fc.property(extreme, (all) => {
      const {
        pours,
        pieces,
        afterMin,
        atC,
        room,
        freezerMin,
        clock,
        jugs,
        microwaveW,
        meltIn,
        inMold,
        ...facts
      } = all;
      const file: PlanFile = planFile(
        Array.from({ length: pours }, (_, index) => ({
          base: base(facts),
          doses: [[fragrance(), '1 %'] as [ReturnType<typeof fragrance>, string]],
          when: {
            ...(afterMin === undefined || index === 0 ? {} : { afterMin }),
            ...(atC === undefined ? {} : { atC }),
          },
        })),
        { pieces, making: { room, clock, freezerMin } },
        inMold,
      );
      const told = planFileSchema.safeParse(file);
      assert.ok(told.success, told.success ? '' : told.error.message);
      const rules = houseRulesSchema.parse({
        ...USUAL_HOUSE_RULES,
        jugs: jugs.map((holdsMl) => ({ id: `jug-${holdsMl}`, name: 'Jug', holdsMl })),
        microwaveW,
        meltIn,
      });
      const made = makeSheet(file);
      if (!made.success) return;
      planned++;
      const pourPlan = makePourPlan(made.data, rules, 1);
      const read = pourPlanSchema.safeParse(pourPlan);
      assert.ok(read.success, read.success ? '' : read.error.message);
      assert.ok(pourPlan.tasks.every(({ fromS, toS }) => toS >= fromS));
      for (const row of taskRows(made.data, pourPlan, SHOWING))
        assert.ok(
          row.words.length > 0 && !/NaN|undefined|Infinity/.test(`${row.when} ${row.length} ${row.words}`),
          row.words,
        );
      const heat = [
        ...heatFindings({ sheet: made.data, pourPlan, rules }),
        ...lateFindings({ sheet: made.data, pourPlan, now: '2026-02-28T23:00' }),
      ];
      for (const finding of heat) {
        const { title, reason } = describeFinding(finding, SHOWING);
        assert.ok(!/NaN|undefined|Infinity/.test(`${title} ${reason}`), `${title} ${reason}`);
      }
    }),
    { numRuns: 40 },
  );
  assert.ok(planned > 20, `${planned} of 40`);
});
