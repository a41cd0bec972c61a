import { coolJug, coolsToS, jugAtC } from '../heat/jug';
import type { Sheet } from '../plan/sheet';
import { type Factors, NOMINAL } from './factors';
import type { HeatCase, HeatLayer } from './heatCase';
import { coolS, jugSurroundings, type LoadInJug, meltLoad } from './jugLoads';
import type { PlacedPour } from './placeLayer';
import type { PourRules } from './pourRules';
import { substanceWith } from './simulate';

/** What came of one jug in one sample. Times are from when it was melted. */
export interface JugSample {
  /** As warm as it is poured. */
  readyS: number;
  tooThickS: number;
  /** When the last cavity is poured. */
  lastC: number;
  /** At `curveTimes`. */
  curveC: number[];
}

/** The layer that a pour is in. */
export function layerOfPour({ layers }: HeatCase, pourIndex: number): HeatLayer {
  const layer = layers.find(({ pourIndexes }) => pourIndexes.includes(pourIndex));
  if (!layer) throw new RangeError('a pour of no layer');
  return layer;
}

const CURVE_POINTS = 24;

/** Melts and cools a jug with its inputs so far off, and empties it. */
export function jugSample(
  sheet: Sheet,
  heat: HeatCase,
  rules: PourRules,
  pour: PlacedPour,
  factors: Factors,
): JugSample {
  const { inJug, pourIndex } = pour;
  const own = factors === NOMINAL ? inJug : meltLoad(sheet, heat, inJug.load, inJug.jug, rules, factors);
  const layer = layerOfPour(heat, pourIndex);
  const emptying = coolJug(
    { holdsMl: inJug.jug.holdsMl, contentG: inJug.load.contentG },
    substanceWith(layer.substance, factors),
    pour.tempC + factors.pourK,
    jugSurroundings(heat, inJug.jug, factors),
    pour.pourS,
    { fromS: 0, toS: pour.pourS },
  );
  return {
    readyS: coolS(own, layer.atC),
    tooThickS: coolsToS(own.cooling, layer.tooThickC) ?? own.cooling.at(-1)?.timeS ?? 0,
    lastC: emptying.at(-1)?.tempC ?? pour.tempC,
    curveC: curveTimes(inJug, layer.tooThickC).map((timeS) => jugAtC(own.cooling, timeS)),
  };
}

/** From melted until it is too thick, and a little on. */
export function curveTimes({ cooling }: LoadInJug, tooThickC: number): number[] {
  const endS = (coolsToS(cooling, tooThickC) ?? cooling.at(-1)?.timeS ?? 3600) * 1.15;
  return Array.from({ length: CURVE_POINTS + 1 }, (_, place) => (endS * place) / CURVE_POINTS);
}
