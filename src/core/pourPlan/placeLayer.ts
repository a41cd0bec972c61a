import type { HouseRules } from '../houseRules/houseRules';
import { type Bench, jugFor, type OpenJug } from './bench';
import { earliestFree, latestFree } from './busy';
import { JUG_AGAIN_S, pourS, REWARM_S, START_BATH_S, stirS } from './handTimes';
import type { HeatLayer } from './heatCase';
import { coolS, type JugLoad, type LoadInJug, loadsOf, waitedC } from './jugLoads';

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
  isNew: boolean;
}

/** When something is wanted, and how much later it may come as well, s. */
export interface Due {
  byS: number;
  slackS: number;
}

/** So much cooler than wanted is warmed up first. */
const REWARM_BELOW_K = 1;
/** A jug is melted so much before it is due, and no sooner. */
const EARLY_S = { bare: 4 * 3600, onLayer: 45 * 60 };
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
  round: { number: number; pieces: number },
  due: Due,
): { atS: number; pours: PlacedPour[] } {
  const loads = loadsOf(bench.sheet, round.pieces, bench.rules);
  const count = Math.max(1, ...layer.pourIndexes.map((index) => loads[index]?.length ?? 0));
  const cavities = Math.max(1, Math.round(round.pieces / count));
  let nextS = due.byS;
  let first: { atS: number; pours: PlacedPour[] } | null = null;
  for (let place = 0; place < count; place++) {
    const of = { round: round.number, load: place, loads: count };
    const ready = layer.pourIndexes.map((pourIndex) => {
      const load = loads[pourIndex]?.[place];
      return load
        ? melt(
            bench,
            load,
            layer,
            of,
            { byS: nextS, slackS: place === 0 ? due.slackS : 0 },
            laterThan(loads, pourIndex),
          )
        : goOn(bench, pourIndex, headOf(loads, pourIndex), layer, of, nextS);
    });
    const placed = pour(bench, layer, ready, cavities, of, nextS);
    first ??= placed;
    nextS = placed.atS + placed.lengthS;
  }
  if (!first) throw new RangeError('a layer without a load');
  return first;
}

type Of = { round: number; load: number; loads: number };

function headOf(loads: readonly JugLoad[][], pourIndex: number): number {
  return loads.flat().find(({ serves }) => serves.includes(pourIndex))?.pourIndex ?? pourIndex;
}

/** What is melted for the pours that follow. */
function laterThan(loads: readonly JugLoad[][], pourIndex: number): JugLoad[] {
  return loads.slice(pourIndex + 1).flat();
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
  const { hands, oven, rules } = bench;
  const jug = jugFor(bench, load, byS, laterOnes);
  const inJug = bench.melted(load, jug);
  const inOven = usesOven(rules.meltIn);
  const handsS = inOven ? inJug.meltS : START_BATH_S;
  const dosesS = stirS(load.doses);
  const restS = Math.max(coolS(inJug, layer.atC), dosesS);
  const isFree = (startS: number) =>
    hands.isFree(startS, startS + handsS) &&
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
  const stirredS = meltedS + dosesS;
  const common = { ...of, pourIndexes: load.serves, jugName: jug.name };
  bench.job({
    ...common,
    kind: 'melt',
    fromS: startS,
    toS: meltedS,
    massG: load.meltG,
    tempC: inJug.endC,
    bursts: inJug.melt?.bursts ?? null,
  });
  hands.take(startS, startS + handsS);
  if (inOven) oven.take(startS, meltedS);
  bench.job({ ...common, kind: 'stir-in', fromS: meltedS, toS: stirredS, hands: true });
  const open = { inJug, meltedS, freeS: stirredS };
  bench.open.set(load.pourIndex, open);
  return { ...open, pourIndex: load.pourIndex, readyS: meltedS + restS, stirredS, isNew: true };
}

/** Goes on in the jug of the pours before: what is missing is stirred in, and it cools on. */
function goOn(bench: Bench, pourIndex: number, head: number, layer: HeatLayer, of: Of, byS: number): Ready {
  const jug = bench.open.get(head);
  if (!jug) throw new RangeError('a jug that was not melted');
  const lines = bench.sheet.pours[pourIndex]?.lines ?? [];
  const lengthS = stirS(lines.filter(({ addG }) => addG > 1e-6).length);
  const isFree = (startS: number) => bench.hands.isFree(startS, startS + lengthS);
  const startS = latestFree(byS - lengthS, jug.freeS, isFree) ?? bench.hands.firstFreeS(jug.freeS, lengthS);
  const stirredS = startS + lengthS;
  const jugName = jug.inJug.jug.name;
  bench.job({
    ...of,
    kind: 'stir-in',
    fromS: startS,
    toS: stirredS,
    hands: true,
    pourIndexes: [pourIndex],
    jugName,
  });
  const cooledS = jug.meltedS + coolS(jug.inJug, layer.atC);
  return { ...jug, pourIndex, readyS: Math.max(stirredS, cooledS), stirredS, isNew: false };
}

/** Pours what stands ready, warmed up first where it stood too long. */
function pour(
  bench: Bench,
  layer: HeatLayer,
  ready: readonly Ready[],
  cavities: number,
  of: Of,
  desiredS: number,
): { atS: number; lengthS: number; pours: PlacedPour[] } {
  const { pourIndexes, atC } = layer;
  const lengthS = pourS(
    pourIndexes.flatMap((index) => bench.sheet.pours[index] ?? []),
    cavities,
  );
  const readyS = Math.max(desiredS, ...ready.map((each) => each.readyS));
  const stirredS = Math.max(...ready.map((each) => each.stirredS));
  const startAfter = (warmS: number) =>
    bench.hands.firstFreeS(Math.max(readyS - warmS, stirredS), warmS + lengthS);
  const unwarmedS = startAfter(0);
  const coldestC = Math.min(...ready.map(({ inJug, meltedS }) => waitedC(inJug, unwarmedS - meltedS)));
  const warmS = coldestC < atC - REWARM_BELOW_K ? REWARM_S * ready.length : 0;
  const startS = startAfter(warmS);
  const atS = startS + warmS;
  const jugName = ready.map(({ inJug }) => inJug.jug.name).join(' and ');
  for (const { isNew, stirredS: fromS, pourIndex, inJug } of ready)
    if (isNew && startS - fromS > SHORTEST_COOLING_S)
      bench.job({
        ...of,
        kind: 'cool',
        pourIndexes: [pourIndex],
        fromS,
        toS: startS,
        tempC: atC,
        jugName: inJug.jug.name,
      });
  if (warmS > 0) {
    bench.job({
      ...of,
      kind: 'rewarm',
      pourIndexes,
      fromS: startS,
      toS: atS,
      hands: true,
      tempC: atC,
      jugName,
    });
    if (usesOven(bench.rules.meltIn)) bench.oven.take(startS, atS);
  }
  bench.job({
    ...of,
    kind: 'pour',
    pourIndexes,
    fromS: atS,
    toS: atS + lengthS,
    hands: true,
    tempC: atC,
    jugName,
  });
  const pours = ready.map(({ inJug, meltedS, pourIndex }): PlacedPour => {
    bench.keepJug(inJug.jug, atS + lengthS + JUG_AGAIN_S);
    // Warmed up, it is as it was so long after it was melted, and cools on from there.
    const since = warmS > 0 ? atS - coolS(inJug, atC) : meltedS;
    bench.open.set(inJug.load.pourIndex, { inJug, meltedS: since, freeS: atS + lengthS });
    const tempC = warmS > 0 ? atC : waitedC(inJug, atS - since);
    return { pourIndex, inJug, meltedS: since, atS, pourS: lengthS, tempC };
  });
  return { atS, lengthS, pours };
}

function usesOven(meltIn: HouseRules['meltIn']): boolean {
  return meltIn === 'microwave';
}
