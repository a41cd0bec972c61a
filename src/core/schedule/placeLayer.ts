import { jugGroups } from '../pours/sharedJug';
import type { TaskOf } from '../work/task';
import { type Bench, jugFor, type OpenJug, type PutTask, taskOfKind } from './bench';
import { earliestFree, latestFree } from './busy';
import {
  includeS,
  JUG_AGAIN_S,
  layS,
  pourS,
  REWARM_S,
  SPRITZ_S,
  START_BATH_S,
  stirS,
  WEIGH_BASE_S,
} from './handTimes';
import type { HeatLayer } from './heatCase';
import { coolS, type JugLoad, type LoadInJug, loadsOf, waitedC } from './jugLoads';
import type { TaskJug } from './scheduledTask';

/** A pour as it was placed, s from the first pour of the plan. */
export interface PlacedPour {
  pourIndex: number;
  inJug: LoadInJug;
  /** When it was melted; of a jug that was warmed up, when it would have been to be as warm. */
  meltedS: number;
  atS: number;
  pourS: number;
  /** How warm it is when its first cavity is poured. */
  tempC: number;
}

/** A jug that stands ready for a pour: not before `readyS`, and stirred from `stirredS` on. */
interface Ready extends OpenJug {
  pourIndex: number;
  readyS: number;
  stirredS: number;
}

/** When something is wanted, and how much later it may come as well, s. */
export interface Due {
  byS: number;
  slackS: number;
}

/** Which load of which round. */
interface Of {
  round: number;
  load: number;
}

/** So much cooler than wanted is warmed up first. */
const REWARM_BELOW_K = 1;
/** A jug is melted so much before it is due, and no sooner. */
const EARLY_S = { bare: 4 * 3600, onLayer: 45 * 60 };
/** A shorter wait for a jug to cool is not told. */
const SHORTEST_COOLING_S = 60;

/**
 * Places a layer as soon after it is due as jugs, oven and hands allow: melts each of its jugs as late as may be, and
 * pours it load by load.
 *
 * @returns its first pour, with what was poured first of each jug
 */
export function placeLayer(
  bench: Bench,
  layer: HeatLayer,
  round: { number: number; fills: number },
  due: Due,
): { atS: number; pours: PlacedPour[] } {
  const loads = loadsOf(bench.sheet, round.fills, bench.rules);
  const count = Math.max(1, ...layer.pourIndexes.map((index) => loadsOfJug(bench, loads, index)));
  const cavities = Math.max(1, Math.round(round.fills / count));
  let nextS = due.byS;
  let first: { atS: number; pours: PlacedPour[] } | null = null;
  for (let place = 0; place < count; place++) {
    const of = { round: round.number, load: place };
    const ready = layer.pourIndexes.map((pourIndex) => {
      const load = loads[pourIndex]?.[place];
      return load
        ? melt(
            bench,
            load,
            layer,
            of,
            { byS: nextS, slackS: place === 0 ? due.slackS : 0 },
            loads.slice(pourIndex + 1).flat(),
          )
        : goOn(bench, pourIndex, layer, of, nextS);
    });
    const placed = pour(
      bench,
      layer,
      ready,
      { cavities, fills: round.fills, isLast: place === count - 1 },
      of,
      nextS,
    );
    first ??= placed;
    nextS = placed.untilS;
  }
  if (!first) throw new RangeError('a layer without a load');
  return first;
}

function groupOf({ sheet }: Bench, pourIndex: number): number[] {
  return jugGroups(sheet.pours).find((group) => group.includes(pourIndex)) ?? [pourIndex];
}

function loadsOfJug(bench: Bench, loads: readonly JugLoad[][], pourIndex: number): number {
  return loads[groupOf(bench, pourIndex)[0] ?? pourIndex]?.length ?? 0;
}

/** Melts a load so that it is ready by `byS`, or as soon as can be, and stirs its doses in. */
function melt(
  bench: Bench,
  load: JugLoad,
  layer: HeatLayer,
  of: Of,
  { byS, slackS }: Due,
  laterOnes: readonly JugLoad[],
): Ready {
  const { hands, oven } = bench;
  const { pourIndex } = load;
  const jug = jugFor(bench, load, byS, laterOnes);
  const inJug = bench.melted(load, jug);
  const inOven = usesOven(bench);
  const handsS = inOven ? inJug.meltS : START_BATH_S;
  const dosesS = dosesLengthS(bench, pourIndex, of);
  const restS = Math.max(coolS(inJug, layer.atC), dosesS);
  const isFree = (startS: number) =>
    hands.isFree(startS - WEIGH_BASE_S, startS + handsS) &&
    (!inOven || oven.isFree(startS, startS + inJug.meltS)) &&
    hands.isFree(startS + inJug.meltS, startS + inJug.meltS + dosesS);
  const latestS = byS - restS - inJug.meltS;
  const freeS = bench.jugFreeS(jug);
  const isBare = layer.pourIndexes[0] === 0;
  const floorS = Math.max(freeS, latestS - (isBare ? EARLY_S.bare : EARLY_S.onLayer));
  const soonS = latestFree(latestS, floorS, isFree);
  const lateS = earliestFree(Math.max(freeS, latestS), isFree);
  // Melted so soon it would stand until it has to be warmed up: a little later is better, while there is time for it.
  const standsS = soonS === null ? 0 : byS - soonS - inJug.meltS;
  const cools = standsS > Math.max(dosesS, coolS(inJug, layer.atC - REWARM_BELOW_K));
  const waits = cools && lateS - latestS <= slackS;
  const startS = soonS === null || waits ? lateS : soonS;
  const meltedS = startS + inJug.meltS;
  const tasks = bench.tasks(of.round, { pourIndex, load: of.load });
  const jugs = taskJugs([inJug]);
  const weighed = taskOfKind(tasks, 'weigh-base');
  const melting = taskOfKind(tasks, 'melt');
  if (weighed) bench.place(weighed, { fromS: startS - WEIGH_BASE_S, toS: startS, hands: true, jugs });
  if (melting)
    bench.place(melting, {
      fromS: startS,
      toS: meltedS,
      hands: inJug.melt !== null,
      jugs,
      melt: { endC: inJug.endC, bursts: inJug.melt?.bursts ?? null },
    });
  hands.take(startS - WEIGH_BASE_S, startS + handsS);
  if (inOven) oven.take(startS, meltedS);
  const stirredS = stirIn(bench, pourIndex, of, meltedS, inJug);
  const open = { inJug, meltedS, freeS: stirredS };
  bench.open.set(openKey(pourIndex, of.load), open);
  return { ...open, pourIndex, readyS: meltedS + restS, stirredS };
}

/** Goes on in the jug of the pours before: what is missing is stirred in, and it cools on. */
function goOn(bench: Bench, pourIndex: number, layer: HeatLayer, of: Of, byS: number): Ready {
  const [head = pourIndex] = groupOf(bench, pourIndex);
  const jug = bench.open.get(openKey(head, of.load)) ?? bench.open.get(openKey(head, 0));
  if (!jug) throw new RangeError('a jug that was not melted');
  const lengthS = dosesLengthS(bench, pourIndex, of);
  const isFree = (startS: number) => bench.hands.isFree(startS, startS + lengthS);
  const startS = latestFree(byS - lengthS, jug.freeS, isFree) ?? bench.hands.firstFreeS(jug.freeS, lengthS);
  const stirredS = stirIn(bench, pourIndex, of, startS, jug.inJug);
  const cooledS = jug.meltedS + coolS(jug.inJug, layer.atC);
  return { ...jug, pourIndex, readyS: Math.max(stirredS, cooledS), stirredS };
}

/** Jugs by id and name; one that the workshop has not told of has neither, and is left out. */
function taskJugs(inJugs: readonly LoadInJug[]): TaskJug[] {
  return inJugs.flatMap(({ jug: { id, name } }) => (id === '' ? [] : [{ id, name }]));
}

function openKey(pourIndex: number, load: number): string {
  return `${pourIndex} ${load}`;
}

function doseTasks(bench: Bench, pourIndex: number, { round, load }: Of) {
  return bench
    .tasks(round, { pourIndex, load })
    .filter(({ kind }) => kind === 'weigh-dose' || kind === 'stir-in');
}

function dosesLengthS(bench: Bench, pourIndex: number, of: Of): number {
  return stirS(doseTasks(bench, pourIndex, of).filter(({ kind }) => kind === 'weigh-dose').length);
}

/** Weighs and stirs in one after the other, as long each; answers when the last is in. */
function stirIn(bench: Bench, pourIndex: number, of: Of, startS: number, inJug: LoadInJug): number {
  const jugs = taskJugs([inJug]);
  const tasks = doseTasks(bench, pourIndex, of);
  const lengthS = dosesLengthS(bench, pourIndex, of);
  const eachS = lengthS / Math.max(1, tasks.length);
  tasks.forEach((task, place) => {
    const fromS = startS + place * eachS;
    bench.place(task, { fromS, toS: fromS + eachS, hands: true, jugs });
  });
  bench.hands.take(startS, startS + lengthS);
  return startS + lengthS;
}

/** Pours what stands ready, warmed up first where it stood too long; fillings are shared out before, pieces set in after. */
function pour(
  bench: Bench,
  layer: HeatLayer,
  ready: readonly Ready[],
  { cavities, fills, isLast }: { cavities: number; fills: number; isLast: boolean },
  of: Of,
  desiredS: number,
): { atS: number; untilS: number; pours: PlacedPour[] } {
  const { pourIndexes, atC } = layer;
  const before = of.load === 0 ? putTasks(bench, layer, of.round, 'before') : [];
  const after = isLast ? putTasks(bench, layer, of.round, 'after') : [];
  const lengthOf = (tasks: readonly PutTask[]) =>
    tasks.reduce((sum, task) => sum + putS(bench, task, fills), 0);
  const fillS = lengthOf(before);
  const setS = lengthOf(after);
  const [lead = 0] = pourIndexes;
  const ofLoad = bench.tasks(of.round, { pourIndex: lead, load: of.load });
  const spritz = taskOfKind(ofLoad, 'spritz');
  const spritzS = spritz ? SPRITZ_S : 0;
  const lengthS = pourS(cavities);
  const readyS = Math.max(desiredS, ...ready.map((each) => each.readyS));
  const stirredS = Math.max(...ready.map((each) => each.stirredS));
  const startAfter = (warmS: number) =>
    bench.hands.firstFreeS(
      Math.max(readyS - warmS - fillS - spritzS, stirredS),
      fillS + warmS + spritzS + lengthS + setS,
    );
  const unwarmedS = startAfter(0) + fillS + spritzS;
  const coldestC = Math.min(...ready.map(({ inJug, meltedS }) => waitedC(inJug, unwarmedS - meltedS)));
  const warmS = coldestC < atC - REWARM_BELOW_K ? REWARM_S * ready.length : 0;
  const startS = startAfter(warmS);
  const atS = startS + fillS + warmS + spritzS;
  const jugs = taskJugs(ready.map(({ inJug }) => inJug));
  for (const each of ready) cooling(bench, each, of, startS);
  putOneByOne(bench, before, startS, fills);
  const pouring = taskOfKind(ofLoad, 'pour');
  if (!pouring) throw new RangeError('a layer that is not poured');
  const warming = warmS > 0 ? rewarmTask(bench, pouring) : null;
  if (warming) {
    bench.place(warming, { fromS: startS + fillS, toS: atS - spritzS, hands: true, jugs });
    if (usesOven(bench)) bench.oven.take(startS + fillS, atS - spritzS);
  }
  if (spritz) bench.place(spritz, { fromS: atS - spritzS, toS: atS, hands: true });
  const needs = warming ? [...pouring.needs, warming.id] : pouring.needs;
  bench.place({ ...pouring, needs }, { fromS: atS, toS: atS + lengthS, hands: true, jugs });
  putOneByOne(bench, after, atS + lengthS, fills);
  const untilS = atS + lengthS + setS;
  bench.hands.take(startS, untilS);
  const pours = ready.map(({ inJug, meltedS, pourIndex }): PlacedPour => {
    const goesOn = groupOf(bench, pourIndex).at(-1) !== pourIndex;
    bench.keepJug(inJug.jug, goesOn ? Number.POSITIVE_INFINITY : atS + lengthS + JUG_AGAIN_S);
    // Warmed up, it is as it was so long after it was melted, and cools on from there.
    const since = warmS > 0 ? atS - coolS(inJug, atC) : meltedS;
    const [head = pourIndex] = groupOf(bench, pourIndex);
    bench.open.set(openKey(head, of.load), { inJug, meltedS: since, freeS: atS + lengthS });
    const tempC = warmS > 0 ? atC : waitedC(inJug, atS - since);
    return { pourIndex, inJug, meltedS: since, atS, pourS: lengthS, tempC };
  });
  return { atS, untilS, pours };
}

/** A jug cools until it is poured, or what comes before its pour begins. */
function cooling(bench: Bench, { pourIndex, stirredS, inJug }: Ready, { round, load }: Of, untilS: number) {
  const task = taskOfKind(bench.tasks(round, { pourIndex, load }), 'cool');
  if (task && untilS - stirredS > SHORTEST_COOLING_S)
    bench.place(task, { fromS: stirredS, toS: untilS, jugs: taskJugs([inJug]) });
}

/** It waits for what is in its jugs, and not for the layer below, which gets its skin and its alcohol meanwhile. */
function rewarmTask(bench: Bench, pouring: TaskOf<'pour'>): TaskOf<'rewarm'> {
  const { pourIndexes, load, round } = pouring;
  const isOfJugs = (id: string) => {
    const task = bench.taskWith(round, id);
    return (
      task !== undefined &&
      task.load === load &&
      task.kind !== 'skin' &&
      task.kind !== 'spritz' &&
      task.pourIndexes.some((index) => pourIndexes.includes(index))
    );
  };
  return {
    ...pouring,
    kind: 'rewarm',
    id: pouring.id.replace(/pour$/, 'rewarm'),
    needs: pouring.needs.filter(isOfJugs),
  };
}

/** What is put there right before a layer's first load, or right after its last. */
function putTasks(
  bench: Bench,
  { pourIndexes }: HeatLayer,
  round: number,
  when: 'before' | 'after',
): PutTask[] {
  const { layers } = bench.heat;
  const below = layers[layers.findIndex((each) => each.pourIndexes === pourIndexes) - 1];
  const isOf = ({ pourIndexes: of }: PutTask, indexes: readonly number[] = []) =>
    indexes.includes(of[0] ?? -1);
  return bench.putTasks(round).filter((task) => {
    if (task.kind === 'inclusions') return task.isFilling === (when === 'before') && isOf(task, pourIndexes);
    // What lies on a skin is laid while the next layer is made ready.
    if (task.where === 'on-skin') return when === 'before' && isOf(task, below?.pourIndexes);
    return (task.where === 'on-liquid') === (when === 'after') && isOf(task, pourIndexes);
  });
}

function putS({ sheet }: Bench, task: PutTask, fills: number): number {
  if (task.kind === 'lay') return layS(fills);
  const pour = sheet.pours[task.pourIndexes[0] ?? -1];
  return pour ? includeS(pour, fills, task.isFilling) : 0;
}

function putOneByOne(bench: Bench, tasks: readonly PutTask[], startS: number, fills: number) {
  let fromS = startS;
  for (const task of tasks) {
    const toS = fromS + putS(bench, task, fills);
    bench.place(task, { fromS, toS, hands: true });
    fromS = toS;
  }
}

function usesOven({ rules: { meltIn } }: Bench): boolean {
  return meltIn === 'microwave';
}
