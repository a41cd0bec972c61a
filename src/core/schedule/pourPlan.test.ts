import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, base, type FilePour, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { USUAL_MAKING } from '../plan/making';
import type { Sheet } from '../plan/sheet';
import { beginsAt, later, secondsBetween } from './clock';
import { factorsOfSamples, NOMINAL, spreadsOf } from './factors';
import { type HeatCase, heatCaseOf } from './heatCase';
import { pourPlanKey } from './keptPourPlans';
import { makePourPlan, pourPlanInSteps, SAMPLES } from './makePourPlan';
import { type PourPlan, pourPlanSchema } from './pourPlan';
import type { PourRules } from './pourRules';
import type { Range } from './range';
import type { ScheduledTask } from './scheduledTask';
import { simulate } from './simulate';

const RULES: PourRules = USUAL_HOUSE_RULES;
const jug = (name: string, holdsMl: number) => ({ id: name, name, holdsMl, taught: [] });
const JUGS: PourRules = { ...RULES, jugs: [jug('Small', 500), jug('Large', 1800)] };

const sheetWith = (pours: FilePour[], plan: Parameters<typeof planFile>[1] = {}, inMold = BOX): Sheet =>
  sheetOf(planFile(pours, plan, inMold));
const STRIPES: FilePour[] = [{ size: '8 mm' }, { size: '7 mm' }, { size: 'rest' }];
const FEW = 5;

/** The heat of two pours in a box of 80 x 50 mm, with some of it changed. */
function caseOf(over: { mm?: number; secondMm?: number; roomC?: number; atC?: number } = {}): HeatCase {
  const sheet = sheetWith([{ size: '8 mm' }, { size: 'rest', when: { atC: over.atC ?? 54 } }], {
    making: { ...USUAL_MAKING, room: { ...USUAL_MAKING.room, tempC: over.roomC ?? 21 } },
  });
  const heat = heatCaseOf(sheet, RULES);
  const layers = heat.layers.map((layer, index) => {
    const mm = index === 0 ? over.mm : over.secondMm;
    return mm === undefined ? layer : { ...layer, thicknessM: mm / 1000 };
  });
  return { ...heat, layers };
}

/** How the second pour meets the first when it comes so long after the skin. */
function meetingAfter(heat: HeatCase, afterSkinS: number) {
  const [, second] = simulate(heat, NOMINAL, (_, { skinS }) => skinS + afterSkinS).layers;
  assert.ok(second?.meeting);
  return second.meeting;
}

/** Steps are as long as accuracy allows, so that two samples differ by this much where they should not. */
const NEARLY_M = 2e-5;
const NEARLY = 1.02;

test('a hotter pour never bonds less, and a longer wait never re-melts deeper', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 49, max: 60, noNaN: true }),
      fc.double({ min: 0.5, max: 6, noNaN: true }),
      fc.integer({ min: 0, max: 1500 }),
      fc.integer({ min: 60, max: 1500 }),
      (atC, moreK, afterS, laterS) => {
        const here = meetingAfter(caseOf({ atC }), afterS);
        const hotter = meetingAfter(caseOf({ atC: atC + moreK }), afterS);
        // What has broken through is not followed further.
        if (hotter.bridgeM > 0) assert.ok(hotter.remeltM >= here.remeltM - NEARLY_M);
        assert.ok(hotter.bridgeM <= here.bridgeM + NEARLY_M || hotter.bridgeM > 0.002);
        const late = meetingAfter(caseOf({ atC }), afterS + laterS);
        if (here.bridgeM > 0) assert.ok(late.remeltM <= here.remeltM + NEARLY_M);
      },
    ),
    { numRuns: 25 },
  );
});

test('a thicker layer never sets sooner, nor does a warmer room', () => {
  const times = (heat: HeatCase) => {
    const { layers, unmoldS } = simulate(heat, NOMINAL, (_, { skinS }) => skinS + 60);
    return { skinS: layers[0]?.skinS ?? 0, unmoldS };
  };
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 30, noNaN: true }),
      fc.double({ min: 0.5, max: 10, noNaN: true }),
      fc.double({ min: 14, max: 26, noNaN: true }),
      fc.double({ min: 0.5, max: 4, noNaN: true }),
      (mm, moreMm, roomC, moreK) => {
        const here = times(caseOf({ mm, roomC }));
        for (const slower of [
          times(caseOf({ mm: mm + moreMm, roomC })),
          times(caseOf({ mm, roomC: roomC + moreK })),
        ]) {
          assert.ok(slower.skinS * NEARLY >= here.skinS, `skin ${slower.skinS} < ${here.skinS}`);
          assert.ok(slower.unmoldS * NEARLY >= here.unmoldS, `out ${slower.unmoldS} < ${here.unmoldS}`);
        }
      },
    ),
    { numRuns: 15 },
  );
});

function ranges(value: unknown): Range[] {
  if (typeof value !== 'object' || value === null) return [];
  if ('low' in value && 'middle' in value && 'high' in value) return [value as Range];
  return Object.values(value).flatMap(ranges);
}

/** Whatever binds the same thing never does so twice at once. */
function assertOneAtATime(jobs: readonly Pick<ScheduledTask, 'kind' | 'fromS' | 'toS'>[], what: string) {
  const sorted = [...jobs].sort((a, b) => a.fromS - b.fromS || a.toS - b.toS);
  sorted.forEach((job, place) => {
    const before = sorted[place - 1];
    if (before)
      assert.ok(
        job.fromS >= before.toS - 1e-6,
        `${what}: ${job.kind} at ${job.fromS} within ${before.kind} to ${before.toS}`,
      );
  });
}

function assertSound(plan: PourPlan) {
  const read = pourPlanSchema.safeParse(plan);
  assert.ok(read.success, read.success ? '' : read.error.message);
  for (const { low, middle, high } of ranges(plan)) assert.ok(low <= middle && middle <= high);
  const bound = plan.tasks.filter(({ hands }) => hands);
  assertOneAtATime(bound, 'hands');
  // Several jugs may stand over hot water; an oven takes one.
  assertOneAtATime(
    plan.tasks.filter(({ melt }) => melt?.bursts),
    'oven',
  );
  assert.ok(plan.tasks.every(({ fromS, toS }) => fromS >= -1e-6 && toS >= fromS));
  assert.ok(plan.tasks.some(({ fromS }) => fromS === 0));
  for (const pour of plan.tasks.filter(({ kind }) => kind === 'pour')) {
    const melts = plan.tasks.filter(
      ({ kind, round, load, pourIndexes }) =>
        kind === 'melt' &&
        round === pour.round &&
        load === pour.load &&
        pourIndexes.includes(pour.pourIndexes[0] ?? -1),
    );
    if (melts.length > 0) assert.ok(melts.some(({ toS }) => toS <= pour.fromS));
  }
}

const anyPours = fc.array(
  fc.record({
    parts: fc.constantFrom(1, 2, 5),
    baseKind: fc.constantFrom('soap', 'syndet'),
    way: fc.constantFrom(undefined, { sameJug: true as const }, { besideShare: 0.4 }, { goes: 2 }),
    afterMin: fc.option(fc.integer({ min: 0, max: 90 }), { nil: undefined }),
    atC: fc.option(fc.integer({ min: 44, max: 66 }), { nil: undefined }),
  }),
  { minLength: 1, maxLength: 4 },
);

test('any plan: ranges contain their middle, hands and oven are bound once at a time, nothing is poured before it is melted', () => {
  fc.assert(
    fc.property(
      anyPours,
      fc.integer({ min: 1, max: 20 }),
      fc.constantFrom(
        RULES,
        JUGS,
        { ...JUGS, jugs: [jug('One', 300)] },
        { ...JUGS, meltIn: 'double-boiler' as const },
      ),
      fc.option(fc.integer({ min: 1, max: 60 })),
      (pours, pieces, rules, freezerMin) => {
        const sheet = sheetWith(
          pours.map(({ parts, baseKind, way, afterMin, atC }, index) => ({
            base: base({ id: baseKind, baseKind }),
            parts,
            ...(way && index > 0 ? { way } : {}),
            when: { ...(afterMin === undefined ? {} : { afterMin }), ...(atC === undefined ? {} : { atC }) },
          })),
          { pieces, making: { ...USUAL_MAKING, freezerMin } },
        );
        assertSound(makePourPlan(sheet, rules, 2));
      },
    ),
    { numRuns: 25 },
  );
});

test('three stripes: poured within their windows, first told without ranges, and the same every time', () => {
  const sheet = sheetWith(STRIPES);
  const steps = [...pourPlanInSteps(sheet, JUGS, FEW)];
  assert.equal(steps.length, FEW + 1);
  assert.deepEqual(
    steps.map(({ done, of }) => [done, of]),
    Array.from({ length: FEW + 1 }, (_, done) => [done, FEW]),
  );
  assert.deepEqual([steps[0]?.tell().samples, steps.at(-1)?.tell().samples], [0, FEW]);
  const plan = steps.at(-1)?.tell();
  assert.ok(plan);
  assert.deepEqual(plan, makePourPlan(sheet, JUGS, FEW));
  for (const { window, afterS, bond } of plan.layers.slice(1)) {
    assert.ok(window && bond);
    assert.ok(afterS >= window.earliest.middle - 1);
    const sum = Object.values(bond.shares).reduce((all, share) => all + share, 0);
    assert.ok(Math.abs(sum - 1) < 1e-9);
  }
});

test('a clock: begun so early that the late end of the range is still in time', () => {
  const plan = makePourPlan(sheetWith(STRIPES), JUGS, FEW);
  const time = '2026-05-02T17:00';
  const begins = beginsAt(plan, { at: 'finish', time });
  assert.ok(begins);
  assert.ok(later(begins, plan.done.high) <= time);
  assert.ok(secondsBetween(begins, time) < plan.done.high + 120);
  assert.equal(beginsAt(plan, { at: 'start', time }), time);
  assert.equal(beginsAt(plan, null), null);
  assert.equal(later('2026-12-31T23:50', 900), '2027-01-01T00:05');
  // Directive 2000/84/EC: summer time from 01:00 UTC on the last Sunday of March to that of October.
  const hours = (from: string, hoursOn: number) => later(from, hoursOn * 3600, 'Europe/Lisbon');
  assert.equal(hours('2026-03-29T00:30', 1), '2026-03-29T02:30');
  assert.equal(hours('2026-03-28T22:00', 6), '2026-03-29T05:00');
  assert.equal(hours('2026-10-24T22:00', 6), '2026-10-25T03:00');
  assert.equal(hours('2026-10-25T03:00', -6), '2026-10-24T22:00');
  assert.equal(secondsBetween('2026-10-24T12:00', '2026-10-25T12:00', 'Europe/Lisbon'), 25 * 3600);
  assert.equal(secondsBetween('2026-03-28T12:00', '2026-03-29T12:00', 'America/New_York'), 24 * 3600);
  // A moment that clocks leave out counts on from before it.
  assert.equal(secondsBetween('2026-03-29T00:59', '2026-03-29T01:30', 'Europe/Lisbon'), 31 * 60);
});

test('what a pour plan depends on: not on names, notes and the clock', () => {
  const key = (plan: Parameters<typeof planFile>[1]) => pourPlanKey(sheetWith(STRIPES, plan), JUGS);
  const clock = { at: 'start', time: '2026-05-02T09:00' } as const;
  assert.equal(
    key({ name: 'Other', note: 'other', making: { ...USUAL_MAKING, clock } }),
    key({ making: USUAL_MAKING }),
  );
  assert.notEqual(key({ making: { ...USUAL_MAKING, freezerMin: 5 } }), key({ making: USUAL_MAKING }));
  assert.notEqual(pourPlanKey(sheetWith(STRIPES), JUGS), pourPlanKey(sheetWith(STRIPES), RULES));
});

test('three rounds follow one another, and a batch beyond the jug takes several melts of it', () => {
  const plan = makePourPlan(sheetWith([{}], { pieces: 16 }), { ...JUGS, jugs: [jug('Only', 400)] }, 0);
  assert.equal(plan.rounds, 3);
  // 6 cavities of 100 mL, and 300 mL at a time under a quarter of headspace: two melts.
  const melts = plan.tasks.filter(({ kind }) => kind === 'melt');
  assert.deepEqual(
    melts.map(({ round, load, loads }) => [round, load, loads]),
    [
      [0, 0, 2],
      [0, 1, 2],
      [1, 0, 2],
      [1, 1, 2],
      [2, 0, 2],
      [2, 1, 2],
    ],
  );
  melts.forEach((melt) => {
    const before = plan.tasks.filter(({ kind, toS }) => kind === 'pour' && toS <= melt.fromS + 1e-6);
    assert.equal(before.length, melts.indexOf(melt), 'a jug is filled again once it is empty');
  });
  const unmolds = plan.tasks.filter(({ kind }) => kind === 'unmold');
  plan.tasks
    .filter(({ kind, load, round }) => kind === 'pour' && load === 0 && round > 0)
    .forEach(({ fromS }, index) => {
      assert.ok(fromS >= (unmolds[index]?.toS ?? 0));
    });
});

test('schools: ceiling, touch, the freezer, the double boiler, lying open', () => {
  const atC = (over: Partial<PourRules>) =>
    heatCaseOf(sheetWith(STRIPES), { ...RULES, ...over }).layers[1]?.atC;
  assert.deepEqual([atC({ pourCeiling: '52' }), atC({ pourCeiling: '54' })], [52, 54]);
  assert.ok((atC({ pourCeiling: 'touch' }) ?? 0) < 54);
  const kinds = (
    over: Partial<PourRules>,
    freezerMin: number | null = null,
    sweat: 'low' | 'standard' = 'low',
  ) =>
    makePourPlan(
      sheetWith([{ base: base({ sweat }) }], { making: { ...USUAL_MAKING, freezerMin } }),
      { ...RULES, ...over },
      0,
    );
  assert.ok(kinds({ freezer: 'brief' }, 8).tasks.some(({ kind }) => kind === 'freezer'));
  assert.ok(kinds({ freezer: 'brief' }, 8).dew);
  assert.ok(!kinds({ freezer: 'never' }, 8).tasks.some(({ kind }) => kind === 'freezer'));
  assert.equal(kinds({ freezer: 'never' }, 8).dew, null);
  const wraps = (plan: PourPlan) => plan.tasks.some(({ kind }) => kind === 'wrap');
  assert.ok(wraps(kinds({ wrap: 'same-day' })) && !wraps(kinds({ wrap: 'may-lie-open' })));
  assert.ok(wraps(kinds({ wrap: 'may-lie-open' }, null, 'standard')));
  const meltOf = (plan: PourPlan) => plan.tasks.find(({ kind }) => kind === 'melt');
  const bath = meltOf(kinds({ meltIn: 'double-boiler' }));
  const oven = meltOf(kinds({ meltIn: 'microwave' }));
  assert.ok(bath?.melt?.bursts === null && oven?.melt?.bursts !== null);
  assert.ok((bath?.toS ?? 0) > (oven?.toS ?? 0));
});

test('a base that the shelf knows better has its own heat', () => {
  const timesOf = (over: Parameters<typeof base>[0]) => {
    const heat = heatCaseOf(sheetWith([{ size: '8 mm', base: base(over) }]), RULES);
    const { layers, unmoldS } = simulate(heat, NOMINAL, () => 0);
    return { skinS: layers[0]?.skinS ?? 0, unmoldS };
  };
  const usual = timesOf({});
  // What is typical of soap changes nothing when it is written down.
  assert.deepEqual(
    timesOf({ setsC: 53, setsOverK: 11, latentJG: 40, heatCapacityJGK: 2.65, conductivityWMK: 0.3 }),
    usual,
  );
  assert.ok(timesOf({ setsC: 55 }).skinS < usual.skinS);
  assert.ok(timesOf({ setsC: 50 }).skinS > usual.skinS);
  assert.ok(timesOf({ setsOverK: 6 }).skinS < usual.skinS);
  assert.ok(timesOf({ latentJG: 55 }).unmoldS > usual.unmoldS);
  assert.ok(timesOf({ heatCapacityJGK: 2.9 }).unmoldS > usual.unmoldS);
  assert.ok(timesOf({ conductivityWMK: 0.4 }).unmoldS < usual.unmoldS);
  // Where it was seen to set counts for more than where its pack says it melts.
  assert.deepEqual(timesOf({ setsC: 53, meltsC: 62 }), usual);
  assert.ok(timesOf({ meltsC: 62 }).skinS < usual.skinS);
});

test('a jug that was warmed up cools on from there', () => {
  const of = (afterMin: number): FilePour => ({ size: '6 mm', way: { sameJug: true }, when: { afterMin } });
  // Forty minutes are too long, so it is warmed up; the next pour comes as soon as it is stirred.
  const plan = makePourPlan(sheetWith([{ size: '6 mm' }, of(40), of(1)]), JUGS, 0);
  const rewarmed = plan.tasks.filter(({ kind }) => kind === 'rewarm').map(({ pourIndexes }) => pourIndexes);
  assert.deepEqual(rewarmed, [[1]]);
  const [, second, third] = plan.layers.map(({ jugs }) => jugs[0]);
  assert.ok(second && third);
  // As warm as it is poured, it is as far along its curve as a jug that has just cooled to that.
  assert.ok(Math.abs(second.pouredAfterS - second.ready.middle) < 1);
  assert.ok(Math.abs(third.pouredAfterS - second.pouredAfterS - (plan.layers[2]?.afterS ?? 0)) < 1);
});

test('a taught jug and a taught mold move the forecast, and narrow it', () => {
  const taught = (scale: number) => [
    {
      on: '2026-05-02',
      scale,
      spread: 0.03,
      from: { is: 'touch' as const, carriedS: 400, planName: 'A plan' },
    },
  ];
  const inMold = mold({ ...BOX, taught: taught(1.4) });
  const usual = makePourPlan(sheetWith(STRIPES), JUGS, 8);
  const quick = makePourPlan(
    sheetWith(STRIPES, {}, inMold),
    { ...JUGS, jugs: JUGS.jugs.map((each) => ({ ...each, taught: taught(1.4) })) },
    8,
  );
  assert.ok((quick.layers[0]?.skin.middle ?? 0) < (usual.layers[0]?.skin.middle ?? 0));
  assert.ok(quick.unmold.middle < usual.unmold.middle && quick.moldTaught);
  const ready = (plan: PourPlan) => plan.layers[0]?.jugs[0]?.ready ?? { low: 0, middle: 0, high: 0 };
  assert.ok(ready(quick).middle < ready(usual).middle);
  const wide = ({ low, middle, high }: Range) => (high - low) / middle;
  assert.ok(wide(ready(quick)) < wide(ready(usual)));
});

test('samples fill their inputs evenly: one in every part of the bell, and the mean in the middle', () => {
  const spreads = spreadsOf({ roomK: 1, humidity: 0.05, moldLoss: null, jugLoss: null });
  const samples = factorsOfSamples(spreads, 40);
  const rooms = samples.map(({ roomK }) => roomK);
  const mean = rooms.reduce((sum, each) => sum + each, 0) / rooms.length;
  const deviation = Math.sqrt(rooms.reduce((sum, each) => sum + (each - mean) ** 2, 0) / rooms.length);
  assert.ok(Math.abs(mean) < 0.06 && Math.abs(deviation - 0.97) < 0.08, `${mean} ${deviation}`);
  assert.ok(rooms.filter((each) => each > 0).length === 20);
  assert.deepEqual(samples, factorsOfSamples(spreads, 40));
  assert.ok(samples.every(({ conductivity }) => conductivity > 0.85 && conductivity < 1.15));
});

test('a crowded plan is given fewer samples, an ordinary one all of them', () => {
  const layers = (count: number, thicknessMm: number) =>
    sheetOf(
      planFile(
        Array.from({ length: count }, () => ({ size: `${thicknessMm} mm` })),
        { pieces: 1 },
        mold({
          cavities: 1,
          capacityMl: 60_000,
          shape: { kind: 'box', lengthMm: 300, widthMm: 200, depthMm: 1000, draftDeg: 0, cornerMm: 0 },
        }),
      ),
    );
  assert.equal(makePourPlan(layers(6, 8), USUAL_HOUSE_RULES).samples, SAMPLES);
  const { samples } = makePourPlan(layers(26, 35), USUAL_HOUSE_RULES);
  assert.ok(samples >= 4 && samples < SAMPLES, `${samples}`);
});
