import type { Bond } from '../heat/bond';
import { type Factors, factorsOfSamples, NOMINAL, spreadsOf } from '../schedule/factors';
import { type HeatCase, heatCaseOf } from '../schedule/heatCase';
import { simulate } from '../schedule/simulate';
import { isWait } from '../work/task';
import { heatOfRound, heatOnward, pouredAtMs } from './heatOnward';
import { jugThenC } from './jugThen';
import { lastDone } from './lastDone';
import { type OverLimit, overLimits } from './overLimits';
import { isWaitedFor, type Progress, progress } from './progress';
import type { Run, RunEvent } from './run';
import { AS_GOOD_AS_A_HAND } from './scaleWatch';
import type { TaskState } from './taskStates';

/** How a layer met the one below it. Times are from when that was poured. */
export interface BondMade {
  round: number;
  below: string;
  above: string;
  bond: Bond;
  afterS: number;
  earliestS: number;
  latestS: number;
  /** As warm as it was poured. */
  tempC: number;
  /** In how many samples of the model it comes to the same bond; null where none were made. */
  inSamples: { same: number; of: number } | null;
}

/** A layer as it was poured. */
export interface PouredLayer {
  round: number;
  pourIndexes: readonly number[];
  letters: string;
  tempC: number;
  plannedC: number;
  ceilingC: number;
  /** Its jug was read, or somebody said how warm it was; else it is as its jug was thought to be. */
  isRead: boolean;
}

/** What came of a run, as the model has it. */
export interface Outcome {
  layers: PouredLayer[];
  bonds: BondMade[];
  /** Pours above what their base bears. */
  tooHot: { letters: string; tempC: number; ceilingC: number }[];
  /** Limits that a jug passed by what was weighed. */
  over: OverLimit[];
  /** Weighings further off than a hand is, of what was aimed at. */
  off: { task: TaskState; deviation: number }[];
  /** In the freezer, as it was and as it was planned; null where it was in none, or has not come out. */
  freezer: { wasS: number; plannedS: number } | null;
  /** Later than planned, up to what was done last, s; below nothing where it was sooner. */
  lateS: number;
  /** Tasks that are open, up to the last bar out of its mold. */
  open: number;
}

/**
 * What came of a run by the heat of what happened.
 *
 * @param roomC as warm as its room really was
 * @param samples of bonds that are not good, with what is not known for certain spread; none by itself, as they take a while
 */
export function outcomeOf(run: Run, roomC: number, samples = 0): Outcome {
  const { sheet, rules } = run.snapshot;
  const so = progress(run);
  const planned = heatCaseOf(sheet, rules);
  const heat = { ...planned, room: { ...planned.room, tempC: roomC } };
  const rounds = [...new Set(so.tasks.map(({ round }) => round))];
  const pours = rounds.map((round) => {
    const own = heatOfRound(so, heat, round);
    return { round, own, temps: pouredC(inRoom(run, roomC), so, own, round) };
  });
  const byHand = so.tasks.filter((task) => !isWait(task));
  const last = byHand
    .filter(({ doneAt }) => doneAt !== null)
    .sort(byMoment)
    .at(-1);
  return {
    layers: pours.flatMap(({ round, own, temps }) =>
      temps.map((tempC, place) => layerOf(run, so, own, round, place, tempC)),
    ),
    bonds: pours.flatMap(({ round, own, temps }) => bondsOf(so, own, round, temps, samples)),
    tooHot: pours.flatMap(({ own, temps }) =>
      temps.flatMap((tempC, place) => {
        const { letters = '', ceilingC = Infinity } = own.layers[place] ?? {};
        return tempC > ceilingC ? [{ letters, tempC, ceilingC }] : [];
      }),
    ),
    over: so.tasks
      .filter(({ kind }) => kind === 'pour')
      .flatMap(({ round, load, pourIndexes }) =>
        pourIndexes.flatMap((pourIndex) => overLimits(sheet, so, { round, load, pourIndex })),
      ),
    off: so.tasks.flatMap((task) => {
      const { actualG, targetG, isLeftOut } = task;
      if (actualG === null || !targetG || isLeftOut) return [];
      const deviation = actualG / targetG - 1;
      return Math.abs(deviation) > AS_GOOD_AS_A_HAND ? [{ task, deviation }] : [];
    }),
    freezer: frozen(so),
    lateS: last ? (Date.parse(last.doneAt ?? '') - Date.parse(run.startedAt)) / 1000 - last.toS : 0,
    open: so.tasks.filter((task) => task.doneAt === null && isWaitedFor(task)).length,
  };
}

function layerOf(
  run: Run,
  so: Progress,
  { layers }: HeatCase,
  round: number,
  place: number,
  tempC: number,
): PouredLayer {
  const { pourIndexes = [], letters = '', atC = tempC, ceilingC = Infinity } = layers[place] ?? {};
  const pour = so.tasks.find(
    (task) => task.kind === 'pour' && task.round === round && task.pourIndexes[0] === pourIndexes[0],
  );
  const isRead =
    lastDone(run, pour?.id)?.tempC !== undefined ||
    so.readings.some(({ taskId }) =>
      so.tasks.some(
        (task) =>
          task.id === taskId &&
          task.round === round &&
          task.pourIndexes.some((each) => pourIndexes.includes(each)),
      ),
    );
  return { round, pourIndexes, letters, tempC, plannedC: atC, ceilingC, isRead };
}

/** A run as if its room had been read at the start as what it really was. */
function inRoom(run: Run, tempC: number): Run {
  const at = run.startedAt;
  const event: RunEvent = { kind: 'room-read', tempC, humidity: null };
  const others = run.events.filter((each) => each.event.kind !== 'room-read');
  return { ...run, events: [{ occurredAt: at, recordedAt: at, source: {}, event }, ...others] };
}

function byMoment(a: TaskState, b: TaskState): number {
  return (a.doneAt ?? '').localeCompare(b.doneAt ?? '');
}

/** How warm each layer of a round was, as far as it was poured: read, else as its jug was thought to be at that moment. */
function pouredC(run: Run, so: Progress, heat: HeatCase, round: number): number[] {
  return pouredAtMs(so, heat, round).map((atMs, place) => {
    const layer = heat.layers[place];
    const pour = so.tasks.find(
      (task) => task.kind === 'pour' && task.round === round && task.pourIndexes[0] === layer?.pourIndexes[0],
    );
    const read = lastDone(run, pour?.id)?.tempC;
    if (read !== undefined) return read;
    const until = run.events.findIndex(({ event }) => event.kind === 'done' && event.taskId === pour?.id);
    const before = { ...run, events: run.events.slice(0, until) };
    const jug = heatOnward(before, atMs).jugs.find(({ pourTaskId }) => pourTaskId === pour?.id);
    return jug ? jugThenC(jug, atMs) : (layer?.atC ?? 0);
  });
}

function bondsOf(
  so: Progress,
  heat: HeatCase,
  round: number,
  temps: readonly number[],
  samples: number,
): BondMade[] {
  const poured = pouredAtMs(so, heat, round);
  if (poured.length < 2) return [];
  const afterS = (place: number) => ((poured[place + 1] ?? 0) - (poured[place] ?? 0)) / 1000;
  const layers = heat.layers
    .slice(0, poured.length)
    .map((layer, place) => ({ ...layer, atC: temps[place] ?? layer.atC }));
  const asPoured = (factors: Factors) =>
    simulate({ ...heat, layers }, factors, (place) => Math.max(1, afterS(place)));
  const told = asPoured(NOMINAL);
  const isBad = told.layers.some(({ bond }) => bond === 'weak' || bond === 'broken');
  const sampled = isBad ? factorsOfSamples(spreadsOfRun(heat), samples).map(asPoured) : [];
  return told.layers.slice(1).flatMap(({ bond }, place) => {
    const below = told.layers[place];
    if (!bond || !below) return [];
    return [
      {
        round,
        bond,
        below: layers[place]?.letters ?? '',
        above: layers[place + 1]?.letters ?? '',
        afterS: afterS(place),
        earliestS: below.earliestS,
        latestS: below.latestS ?? below.earliestS,
        tempC: temps[place + 1] ?? 0,
        inSamples:
          sampled.length === 0
            ? null
            : {
                same: sampled.filter(({ layers: of }) => of[place + 1]?.bond === bond).length,
                of: sampled.length,
              },
      },
    ];
  });
}

/** What is not known for certain of a round that was made: its jugs were read or followed, and no longer matter. */
function spreadsOfRun({ room, moldLearnt }: HeatCase) {
  return spreadsOf({
    roomK: room.spreadK,
    humidity: room.humiditySpread,
    moldLoss: moldLearnt?.spread ?? null,
    jugLoss: 0,
  });
}

/** How long the first round was in the freezer: from its last pour until it was unmolded. */
function frozen({ tasks }: Progress): Outcome['freezer'] {
  const freezer = tasks.find(({ kind, round }) => kind === 'freezer' && round === 0);
  const out = tasks.find(({ kind, round }) => kind === 'unmold' && round === 0)?.doneAt;
  const last = tasks.filter(({ kind, round }) => kind === 'pour' && round === 0).at(-1)?.doneAt;
  if (!freezer || !out || !last) return null;
  return { wasS: (Date.parse(out) - Date.parse(last)) / 1000, plannedS: freezer.toS - freezer.fromS };
}
