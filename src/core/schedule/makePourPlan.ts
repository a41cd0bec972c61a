import type { Sheet } from '../plan/sheet';
import { factorsOfSamples, NOMINAL, spreadsOf } from './factors';
import { type HeatCase, heatCaseOf } from './heatCase';
import { idealS } from './idealMoment';
import { jugSample } from './jugSample';
import type { PourPlan } from './pourPlan';
import type { PourRules } from './pourRules';
import { resourcesOf } from './resources';
import { type Schedule, scheduleOf } from './schedule';
import { type SampleTimes, simulate } from './simulate';
import { type Sample, tellPourPlan } from './tellPourPlan';

/** Enough for ranges that do not change with more of them. */
export const SAMPLES = 20;

/** For an answer within two seconds where each sample is much work, as with twenty pours. Six layers take it whole. */
const MOST_CELL_TURNS = 700_000;
const FEWEST_SAMPLES = 4;

/** What has been found so far. */
export interface Progress {
  done: number;
  of: number;
  /** When the first action is, by the clock of the resources. */
  beginsS: number;
  /** The pour plan so far: with everything in the middle until all samples are done. */
  tell(): PourPlan;
}

/** The pour plan of a sheet, all at once. */
export function makePourPlan(sheet: Sheet, rules: PourRules, samples = SAMPLES): PourPlan {
  return lastOf(pourPlanInSteps(sheet, rules, samples)).tell();
}

/** The last step of a pour plan. */
export function lastOf(steps: Iterable<Progress>): Progress {
  let last: Progress | null = null;
  for (const step of steps) last = step;
  if (!last) throw new RangeError('a pour plan without a step');
  return last;
}

/**
 * The pour plan of a sheet step by step, so that a worker can tell how far it is and stop: first with everything in the
 * middle, then with ranges once all samples are done.
 *
 * The nominal sample chooses the moments; the others keep them, and tell how it may come out.
 *
 * @param sheet of a plan that has passed its schema
 * @param samples at the most: a crowded plan is given fewer
 * @param resources what it is given out to; shared with other runs, it fits in between them
 */
export function* pourPlanInSteps(
  sheet: Sheet,
  rules: PourRules,
  samples = SAMPLES,
  resources = resourcesOf(),
): Generator<Progress, void> {
  const heat = heatCaseOf(sheet, rules);
  const schedule = scheduleOf(sheet, heat, rules, resources);
  const layerAtS: number[] = [];
  layerAtS.push(schedule.placeLayer(0, 0, { byS: schedule.moldsFreeS(0, 0), slackS: 0 }));
  const middle = simulate(
    heat,
    NOMINAL,
    (layerIndex, { earliestS, latestS }) => {
      const before = layerAtS[layerIndex] ?? 0;
      const chosenS = heat.layers[layerIndex + 1]?.afterS ?? null;
      const wantedS = chosenS ?? idealS(earliestS, latestS ?? earliestS);
      const slackS = chosenS === null ? Math.max(0, (latestS ?? earliestS) - wantedS) : 0;
      const atS = schedule.placeLayer(0, layerIndex + 1, { byS: before + wantedS, slackS });
      layerAtS.push(atS);
      return atS - before;
    },
    'all',
  );
  const most = Math.max(FEWEST_SAMPLES, Math.floor(MOST_CELL_TURNS / middle.cellTurns));
  const of = Math.min(samples, most);
  const beatS = placeRounds(schedule, heat, layerAtS, middle);
  const beyondS = (sheet.totals.rounds - schedule.rounds) * beatS;
  const told = { sheet, heat, rules, schedule, middle, beyondS };
  const beginsS = schedule.beginsS();
  const all: Sample[] = [];
  const soFar = (): Progress => {
    const samples = all.length < of ? [] : all;
    return { done: all.length, of, beginsS, tell: () => tellPourPlan({ ...told, samples }) };
  };
  yield soFar();

  const waits = middle.layers.slice(1).map(({ afterS }) => afterS);
  for (const factors of factorsOfSamples(spreadsFor(heat, schedule), of)) {
    const times = simulate(heat, factors, (layerIndex) => waits[layerIndex] ?? 0);
    all.push({ times, jugs: schedule.pours.map((pour) => jugSample(sheet, heat, rules, pour, factors)) });
    yield soFar();
  }
}

/**
 * Every round is like the first; its jugs and hands are found anew.
 *
 * @returns how long after one another the last two rounds leave the molds free, s
 */
function placeRounds(
  schedule: Schedule,
  heat: HeatCase,
  first: readonly number[],
  middle: SampleTimes,
): number {
  const times = {
    skinS: middle.layers.map(({ skinS }) => skinS),
    unmoldS: middle.unmoldS,
    cutS: middle.cutS,
  };
  let freeS = schedule.unmold(0, first, times);
  let beatS = 0;
  for (let round = 1; round < schedule.rounds; round++) {
    const atS: number[] = [];
    heat.layers.forEach((_, index) => {
      const wantedS =
        index === 0
          ? schedule.moldsFreeS(round, freeS)
          : (atS[index - 1] ?? 0) + (middle.layers[index]?.afterS ?? 0);
      atS.push(schedule.placeLayer(round, index, { byS: wantedS, slackS: 0 }));
    });
    const nextFreeS = schedule.unmold(round, atS, times);
    beatS = nextFreeS - freeS;
    freeS = nextFreeS;
  }
  schedule.finish();
  return beatS;
}

function spreadsFor(heat: HeatCase, { pours }: Schedule) {
  const learnt = pours.map(({ inJug: { jug } }) => jug.taught.at(-1)?.spread ?? null);
  return spreadsOf({
    roomK: heat.room.spreadK,
    humidity: heat.room.humiditySpread,
    moldLoss: heat.moldLearnt?.spread ?? null,
    jugLoss: learnt.every((each) => each !== null) ? Math.max(...learnt.map((each) => each ?? 0)) : null,
  });
}
