import { type Evaporating, type Room, surfaceLossWM2 } from './air';
import { type Ends, type Slab, type Stack, stackOf } from './stack';
import { type Substance, WOOD } from './substance';

/** One cavity as heat meets it: upright walls, whatever its shape. */
export interface HeatCavity {
  areaM2: number;
  perimeterM: number;
  /** Its smaller width. */
  widthM: number;
  wall: { substance: Substance; thicknessM: number };
}

/** What a cavity stands in, and how readily heat leaves it. */
export interface Surroundings {
  room: Room;
  evaporating: Evaporating;
  /** From a wall to the room, W/m²K. */
  filmWM2K: number;
  /** Everything that is lost, times this: learnt from readings. */
  lossScale: number;
}

const BENCH_M = 0.02;
const BENCH_CELLS = 8;
const FLOOR_CELLS = 3;

/** Bench and the mold's floor, as warm as the room. */
export function emptyCavity({ wall }: HeatCavity, { room: { tempC } }: Surroundings): Stack {
  const set = { tempC, sideWM3K: 0 };
  return stackOf([
    { ...set, substance: WOOD, thicknessM: BENCH_M, cells: BENCH_CELLS },
    { ...set, substance: wall.substance, thicknessM: wall.thicknessM, cells: FLOOR_CELLS },
  ]);
}

/** Cells that are no soap. */
export const CELLS_BELOW = BENCH_CELLS + FLOOR_CELLS;

/** How heat leaves below the bench and above the soap. */
export function endsOf(
  { areaM2, perimeterM }: HeatCavity,
  { room, evaporating, filmWM2K, lossScale }: Surroundings,
): Ends {
  const lengthM = areaM2 / perimeterM;
  return {
    bottom: (surfaceC) => lossScale * filmWM2K * (surfaceC - room.tempC),
    top: (surfaceC, liquid) => lossScale * surfaceLossWM2(surfaceC, room, lengthM, liquid, evaporating),
    roomC: room.tempC,
  };
}

/**
 * Heat through the walls, W/m³K: the wall in series with the film outside and w/(6 k) of the soap itself, so that a narrow
 * cavity and a wide loaf differ. The 6 is the mean over a parabola across the width.
 */
export function sideWM3K(
  { areaM2, perimeterM, widthM, wall }: HeatCavity,
  { filmWM2K, lossScale }: Surroundings,
  soap: Substance,
): number {
  const resistance =
    wall.thicknessM / wall.substance.conductivityWMK +
    1 / (lossScale * filmWM2K) +
    widthM / (6 * soap.conductivityWMK);
  return perimeterM / areaM2 / resistance;
}

const EDGE_M = 0.0024;
const EDGE_CELL_M = 0.0004;
const MIDDLE_CELL_M = 0.0015;
const MOST_MIDDLE_CELLS = 20;

/** One pour as slabs: fine cells near its faces, where skins form and bonds are made, coarse ones between. */
export function layerSlabs(
  substance: Substance,
  thicknessM: number,
  tempC: number,
  sideWM3K: number,
): Slab[] {
  const slab = (over: Pick<Slab, 'thicknessM' | 'cells'>): Slab => ({ substance, tempC, sideWM3K, ...over });
  if (thicknessM <= 2.5 * EDGE_M)
    return [slab({ thicknessM, cells: Math.max(4, Math.ceil(thicknessM / EDGE_CELL_M)) })];
  const middleM = thicknessM - 2 * EDGE_M;
  const edge = slab({ thicknessM: EDGE_M, cells: Math.round(EDGE_M / EDGE_CELL_M) });
  const cells = Math.min(MOST_MIDDLE_CELLS, Math.ceil(middleM / MIDDLE_CELL_M));
  return [edge, slab({ thicknessM: middleM, cells }), { ...edge }];
}
