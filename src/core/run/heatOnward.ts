import { substanceOf, tooThickC } from '../heat/substanceOf';
import type { Reading } from '../heat/taught';
import { scaleByTouch } from '../heat/teach';
import { NOMINAL } from '../schedule/factors';
import { forecastJug, type JugForecast } from '../schedule/forecastJug';
import { type HeatCase, heatCaseOf } from '../schedule/heatCase';
import { idealS } from '../schedule/idealMoment';
import { anyJug, jugSurroundings, loadsOf } from '../schedule/jugLoads';
import { type Rewarm, type SampleTimes, simulate } from '../schedule/simulate';
import { fillsOfRound } from '../work/rounds';
import { jugContentG } from './jugContentG';
import { lastDone } from './lastDone';
import { type Progress, progress } from './progress';
import type { RunSoFar } from './run';
import type { TaskState } from './taskStates';

/** A layer of a round that is being poured. Times are in s from when it was poured. */
export interface LayerOnward {
  skinS: number;
  /** Of the next layer: from here it no longer breaks through, and until then it bonds. Null above the topmost. */
  earliestS: number | null;
  latestS: number | null;
  /** Where it was poured too late: so warm it would have joined; null where no heat helps, or none is wanted. */
  rewarm: Rewarm | null;
}

/** A round whose first layer is poured, and that is still in its mold. */
export interface RoundOnward {
  round: number;
  layers: LayerOnward[];
  /** From the last pour. */
  unmoldS: number;
}

/** A jug that is melted and not empty yet. */
export interface JugOnward {
  /** Its melt. */
  taskId: string;
  /** The pour it is for next, how warm that is poured, and how cold it is too thick. */
  pourTaskId: string;
  atC: number;
  tooThickC: number;
  /** A thermometer was in it; otherwise it is as it was planned. */
  isRead: boolean;
  /** What the times of the forecast count from, ms since the epoch. */
  fromMs: number;
  /** Down to `atC`, and to `tooThickC`. */
  forecast: JugForecast;
}

/** What heat does next, by what has happened. */
export interface HeatOnward {
  rounds: RoundOnward[];
  jugs: JugOnward[];
}

/** As far as the losses of a jug may be off that nobody has taught. A guess. */
const UNTAUGHT_SPREAD = 0.2;
/** A layer that does not carry yet will so much later than it was touched. A guess. */
const NOT_YET = 1.15;

/**
 * Follows the layers that are poured and the jugs that stand, by when and how warm it really was, by touch and by thermometer.
 *
 * @param nowMs a layer that is due is not poured before it
 */
export function heatOnward(run: RunSoFar, nowMs: number, so: Progress = progress(run)): HeatOnward {
  const heat = heatInRoom(run, so);
  const rounds = [...new Set(so.tasks.map(({ round }) => round))];
  return {
    rounds: rounds.flatMap((round) => roundOnward(run, so, heat, round, nowMs) ?? []),
    jugs: so.tasks.flatMap((task) => jugOnward(run, so, heat, task) ?? []),
  };
}

/** What a melt's jug was thought to do when it was melted, by nothing but the plan and the room; null where it can't be told. */
export function forecastOfMelt(run: RunSoFar, meltTaskId: string): JugOnward | null {
  const until = run.events.findLastIndex(({ event }) => event.kind === 'done' && event.taskId === meltTaskId);
  if (until < 0) return null;
  const before = { ...run, events: run.events.slice(0, until + 1) };
  const so = { ...progress(before), readings: [] };
  const melt = so.tasks.find(({ id }) => id === meltTaskId);
  return melt ? jugOnward(before, so, heatInRoom(before, so), melt) : null;
}

/** What heat asks of a run, in its room as that was read. */
function heatInRoom({ snapshot: { sheet, rules } }: RunSoFar, { room }: Progress): HeatCase {
  const planned = heatCaseOf(sheet, rules);
  if (!room) return planned;
  const { tempC, humidity } = room;
  return {
    ...planned,
    room: { ...planned.room, tempC, humidity: humidity ?? planned.room.humidity },
  };
}

/** A round without the layers that were left out of it. */
export function heatOfRound(so: Progress, heat: HeatCase, round: number): HeatCase {
  const out = so.tasks.filter((task) => task.kind === 'pour' && task.round === round && task.isLeftOut);
  if (out.length === 0) return heat;
  const isOut = (pourIndex: number | undefined) =>
    out.some(({ pourIndexes }) => pourIndexes[0] === pourIndex);
  return { ...heat, layers: heat.layers.filter(({ pourIndexes }) => !isOut(pourIndexes[0])) };
}

/** When each layer of a round was begun, as far as it was, ms; the tick of a pour is its end. */
export function pouredAtMs(so: Progress, heat: Pick<HeatCase, 'layers'>, round: number): number[] {
  const poured: number[] = [];
  for (const { pourIndexes } of heat.layers) {
    const task = so.tasks.find(
      (each) =>
        each.kind === 'pour' &&
        each.round === round &&
        each.load === 0 &&
        each.pourIndexes[0] === pourIndexes[0],
    );
    if (!task?.doneAt) break;
    poured.push(Date.parse(task.doneAt) - (task.toS - task.fromS) * 1000);
  }
  return poured;
}

function roundOnward(
  run: RunSoFar,
  so: Progress,
  planned: HeatCase,
  round: number,
  nowMs: number,
): RoundOnward | null {
  const heat = heatOfRound(so, planned, round);
  const poured = pouredAtMs(so, heat, round);
  const isOut = so.tasks.some((task) => task.kind === 'unmold' && task.round === round && task.doneAt);
  if (poured.length === 0 || isOut) return null;
  const waits = poured.slice(1).map((at, place) => Math.max(0, (at - (poured[place] ?? at)) / 1000));
  const warm = {
    ...heat,
    layers: heat.layers.map((layer) => ({
      ...layer,
      atC: pouredC(run, so, layer.pourIndexes, round) ?? layer.atC,
    })),
  };
  const follow = (of: HeatCase): SampleTimes =>
    simulate(
      of,
      NOMINAL,
      (below, { earliestS, latestS }) => {
        const known = waits[below];
        if (known !== undefined) return known;
        const wantedS = of.layers[below + 1]?.afterS ?? idealS(earliestS, latestS ?? earliestS);
        const passedS = below === poured.length - 1 ? (nowMs - (poured[below] ?? nowMs)) / 1000 : 0;
        return Math.max(wantedS, passedS);
      },
      'rewarm',
    );
  const byModel = follow(warm);
  const scale = touchedScale(so, warm, round, poured, byModel, follow);
  const times = scale === null ? byModel : follow({ ...warm, moldLearnt: { scale, spread: 0 } });
  return {
    round,
    unmoldS: times.unmoldS,
    layers: times.layers.map(({ skinS, earliestS, latestS }, place) => ({
      skinS,
      earliestS: latestS === null ? null : earliestS,
      latestS,
      rewarm: times.layers[place + 1]?.rewarm ?? null,
    })),
  };
}

/** How warm a layer was poured, where that was read. */
function pouredC(run: RunSoFar, so: Progress, pourIndexes: readonly number[], round: number): number | null {
  const pour = so.tasks.find(
    (task) => task.kind === 'pour' && task.round === round && task.pourIndexes[0] === pourIndexes[0],
  );
  return pour?.doneAt ? (lastDone(run, pour.id)?.tempC ?? null) : null;
}

/** The loss scale of the mold at which the last touch of a round is as it was; null where nobody touched it. */
function touchedScale(
  { touches, tasks }: Progress,
  heat: HeatCase,
  round: number,
  poured: readonly number[],
  planned: SampleTimes,
  follow: (of: HeatCase) => SampleTimes,
): number | null {
  for (const { taskId, at, carries } of touches.toReversed()) {
    const skin = tasks.find(({ id }) => id === taskId);
    const layerIndex = heat.layers.findIndex(({ pourIndexes }) => pourIndexes[0] === skin?.pourIndexes[0]);
    const fromMs = poured[layerIndex];
    if (skin?.round !== round || fromMs === undefined) continue;
    const touchedS = Math.max(1, (Date.parse(at) - fromMs) / 1000);
    // It did not carry, as the model says: that teaches nothing.
    if (!carries && (planned.layers[layerIndex]?.skinS ?? 0) > touchedS) return null;
    const told = scaleByTouch(carries ? touchedS : touchedS * NOT_YET, (scale) => {
      const times = follow({ ...heat, moldLearnt: { scale, spread: 0 } });
      return times.layers[layerIndex]?.skinS ?? 0;
    });
    return told.success ? told.data.scale : null;
  }
  return null;
}

/** A jug that reads so much more than it did has been warmed, K: no thermometer is that far off from one reading to the next. */
const WARMED_K = 3;

/** What was read since a jug was warmed last. */
function sinceWarmed(readings: readonly Reading[]): Reading[] {
  let [from, leastC] = [0, Infinity];
  for (const [place, { tempC }] of readings.entries()) {
    const isRising = from > 0 && place - 1 === from && tempC > (readings[from]?.tempC ?? tempC);
    if (tempC > leastC + WARMED_K || isRising) [from, leastC] = [place, tempC];
    else leastC = Math.min(leastC, tempC);
  }
  return readings.slice(from);
}

function jugOnward(run: RunSoFar, so: Progress, heat: HeatCase, melt: TaskState): JugOnward | null {
  if (melt.kind !== 'melt' || melt.doneAt === null) return null;
  const { sheet, rules } = run.snapshot;
  const next = so.tasks.find(
    (task) =>
      task.kind === 'pour' &&
      task.doneAt === null &&
      task.round === melt.round &&
      task.load === melt.load &&
      task.pourIndexes.some((index) => melt.pourIndexes.includes(index)),
  );
  const pour = sheet.pours[melt.pourIndexes[0] ?? -1];
  if (next?.kind !== 'pour' || !pour) return null;
  const contentG = jugContentG(run, so, melt);
  const load = loadsOf(sheet, fillsOfRound(sheet, melt.round), rules)[melt.pourIndexes[0] ?? 0]?.[melt.load];
  const jug =
    rules.jugs.find(({ id }) => melt.jugs.some((each) => each.id === id)) ??
    anyJug(load?.contentMl ?? contentG, rules);
  const meltedMs = Date.parse(melt.doneAt);
  const read = so.readings
    .filter(({ taskId }) => taskId === melt.id)
    .map(({ at, tempC }) => ({ timeS: (Date.parse(at) - meltedMs) / 1000, tempC }))
    .filter(({ timeS }, place, all) => place === 0 || timeS > (all[place - 1]?.timeS ?? 0));
  const readings = read.length > 0 ? sinceWarmed(read) : [{ timeS: 0, tempC: melt.melt?.endC ?? next.tempC }];
  const thickC = tooThickC(pour.base);
  return {
    taskId: melt.id,
    pourTaskId: next.id,
    atC: next.tempC,
    tooThickC: thickC,
    isRead: read.length > 0,
    fromMs: meltedMs + (readings[0]?.timeS ?? 0) * 1000,
    forecast: forecastJug(
      {
        holdsMl: jug.holdsMl,
        contentG,
        substance: substanceOf(pour.base),
        around: jugSurroundings(heat, jug, NOMINAL),
        lossSpread: jug.taught.at(-1)?.spread ?? UNTAUGHT_SPREAD,
      },
      readings,
      [next.tempC, thickC],
    ),
  };
}
