import { type KnownShape, solidOf, whereGrowing } from './shape';
import { AXES, type Axis, type Outline, WHOLE_PLANE, type Window } from './solids/outline';
import { MM3_PER_ML, type Solid } from './solids/solid';

/**
 * The surface of a pour as it set: level when the mold stood level, a slope when it leaned. Heights are above the
 * cavity's floor, at right angles to it.
 */
export interface Surface {
  /** Height over the middle of the floor, mm; of a slope it may be below the floor or above the brim. */
  atMiddleMm: number;
  /** Rise a millimetre along the axis, the tangent of the angle by which the mold leaned. */
  rise: number;
  along: Axis;
}

/** How a mold leans on an edge while a pour sets. */
export interface Lean {
  /** The angle at the bench, degrees. Below zero the other side is the deep one. */
  deg: number;
  along: Axis;
}

export function levelSurface(atMiddleMm: number): Surface {
  return { atMiddleMm, rise: 0, along: 'length' };
}

export function surfaceOf(atMiddleMm: number, lean: Lean | undefined): Surface {
  if (lean === undefined) return levelSurface(atMiddleMm);
  return { atMiddleMm, rise: Math.tan((lean.deg * Math.PI) / 180), along: lean.along };
}

/** Height of a surface at a place along an axis through the middle, mm. */
export function heightAt({ atMiddleMm, rise, along }: Surface, axis: Axis, offMiddleMm: number): number {
  return atMiddleMm + (along === axis ? rise * offMiddleMm : 0);
}

/** Height of the highest of several surfaces, mm: what is poured on top lies over all of them. */
export function highestAt(surfaces: readonly Surface[], axis: Axis, offMiddleMm: number): number {
  return Math.max(0, ...surfaces.map((surface) => heightAt(surface, axis, offMiddleMm)));
}

const REACH_STEPS = 32;

const reaches = new WeakMap<Solid, Map<Axis, number>>();

/** How far the cavity reaches from its middle along an axis at any height, mm. Asked of one solid thousands of times. */
function reachMm(solid: Solid, axis: Axis): number {
  const ofSolid = reaches.get(solid) ?? new Map<Axis, number>();
  reaches.set(solid, ofSolid);
  const known = ofSolid.get(axis);
  if (known !== undefined) return known;
  let reach = 0;
  for (let step = 0; step <= REACH_STEPS; step++) {
    const [from, to] = solid.spanAtMm((solid.depthMm * step) / REACH_STEPS, axis);
    reach = Math.max(reach, -from, to);
  }
  ofSolid.set(axis, reach);
  return reach;
}

// Nodes and weights of five-point Gauss–Legendre integration on 0 to 1 (Abramowitz and Stegun, table 25.4).
const GAUSS = [
  [0.04691007703066802, 0.11846344252809454],
  [0.23076534494715845, 0.23931433524968324],
  [0.5, 0.28444444444444444],
  [0.7692346550528415, 0.23931433524968324],
  [0.953089922969332, 0.11846344252809454],
] as const;
const PANELS = 16;
/** The same over all panels, from 0 to 1: places, and what each counts for. */
const PLACES = Float64Array.from({ length: PANELS * GAUSS.length }, (_, at) => {
  const [node = 0] = GAUSS[at % GAUSS.length] ?? [];
  return (Math.floor(at / GAUSS.length) + node) / PANELS;
});
const WEIGHTS = PLACES.map((_, at) => (GAUSS[at % GAUSS.length]?.[1] ?? 0) / PANELS);

/**
 * Volume of the cavity that lies below at least one of the surfaces, mL: everything that was poured up to them.
 *
 * Level slices are integrated from the height that is wet all over to the highest point of a surface. Of a slice, the
 * dry part is a window, since every slope cuts it along a straight line; a window's area is closed for every shape.
 */
export function volumeUnderMl(shape: KnownShape, surfaces: readonly Surface[]): number {
  return volumeUnder(solidOf(shape), highestOfParallel(surfaces));
}

/** Of surfaces that slope alike, the highest: it lies over the others everywhere. */
export function highestOfParallel(surfaces: readonly Surface[]): Surface[] {
  const highest: Surface[] = [];
  for (const surface of surfaces) {
    const at = highest.findIndex(
      ({ rise, along }) => rise === surface.rise && (rise === 0 || along === surface.along),
    );
    const other = highest[at];
    if (!other) highest.push(surface);
    else if (surface.atMiddleMm > other.atMiddleMm) highest[at] = surface;
  }
  return highest;
}

function volumeUnder(solid: Solid, surfaces: readonly Surface[]): number {
  const held = (heightMm: number) => Math.min(Math.max(0, heightMm), solid.depthMm);
  let [wetMm, topMm] = [0, 0];
  for (const { atMiddleMm, rise, along } of surfaces) {
    const swing = rise === 0 ? 0 : Math.abs(rise) * reachMm(solid, along);
    wetMm = Math.max(wetMm, held(atMiddleMm - swing));
    topMm = Math.max(topMm, held(atMiddleMm + swing));
  }
  const belowMl = solid.volumeBelowMl(wetMm);
  if (topMm <= wetMm) return belowMl;
  const wallMm = topMm - wetMm;
  let mm2 = 0;
  for (let at = 0; at < PLACES.length; at++)
    mm2 += (WEIGHTS[at] ?? 0) * wetArea(solid, surfaces, wetMm + wallMm * (PLACES[at] ?? 0));
  return belowMl + (mm2 * wallMm) / MM3_PER_ML;
}

function wetArea(solid: Solid, surfaces: readonly Surface[], heightMm: number): number {
  const dry = dryWindow(surfaces, heightMm);
  const whole = solid.areaAtMm2(heightMm);
  return dry ? Math.max(0, whole - solid.areaWithinMm2(heightMm, dry)) : whole;
}

/** Where no surface reaches up to a height; null when one is above it all over. */
function dryWindow(surfaces: readonly Surface[], heightMm: number): Window | null {
  const dry = { ...WHOLE_PLANE };
  for (const { atMiddleMm, rise, along } of surfaces) {
    if (rise === 0) {
      if (atMiddleMm >= heightMm) return null;
      continue;
    }
    const meets = (heightMm - atMiddleMm) / rise;
    const [from, to] = along === 'length' ? (['fromX', 'toX'] as const) : (['fromY', 'toY'] as const);
    if (rise > 0) dry[to] = Math.min(dry[to], meets);
    else dry[from] = Math.max(dry[from], meets);
  }
  return dry;
}

/**
 * Height over the middle at which a surface with this lean has so much below it, with what lies there already, mm.
 *
 * @param under surfaces that were poured before
 * @param volumeMl of everything, what lies there already with it
 */
export function middleForVolumeMm(
  shape: KnownShape,
  under: readonly Surface[],
  lean: Lean | undefined,
  volumeMl: number,
): number {
  const solid = solidOf(shape);
  const reach = lean ? Math.abs(Math.tan((lean.deg * Math.PI) / 180)) * reachMm(solid, lean.along) : 0;
  const lowest = -reach;
  const below = highestOfParallel(under);
  const raised = whereGrowing(
    solid.depthMm + 2 * reach,
    (up) => volumeUnder(solid, [...below, surfaceOf(lowest + up, lean)]) - volumeMl,
    1e-7,
  );
  return lowest + raised;
}

/**
 * The highest a leaning surface may stand before it runs over the low edge of the brim, told over the middle, mm.
 * Level, it is the depth.
 */
export function spillsAboveMm(shape: KnownShape, lean: Lean | undefined): number {
  const solid = solidOf(shape);
  if (lean === undefined) return solid.depthMm;
  const rise = Math.tan((lean.deg * Math.PI) / 180);
  const [from, to] = solid.spanAtMm(solid.depthMm * (1 - 1e-9), lean.along);
  return solid.depthMm - Math.max(rise * from, rise * to);
}

/** What a leaning cavity holds before it runs over, mL. */
export function leaningCapacityMl(shape: KnownShape, lean: Lean | undefined): number {
  return volumeUnderMl(shape, [surfaceOf(spillsAboveMm(shape, lean), lean)]);
}

const SURFACE_STEPS = 64;

/** Outline of a leaning surface, seen along the plumb line of the level mold: the part of the plane inside. */
export function leaningOutline(shape: KnownShape, surface: Surface): Outline {
  const solid = solidOf(shape);
  const across: Axis = AXES[surface.along === 'length' ? 1 : 0];
  const reach = reachMm(solid, surface.along);
  const rightward: number[] = [];
  const leftward: number[] = [];
  for (let step = 0; step <= SURFACE_STEPS; step++) {
    const place = reach * ((2 * step) / SURFACE_STEPS - 1);
    const heightMm = heightAt(surface, surface.along, place);
    if (!(heightMm >= 0 && heightMm <= solid.depthMm)) continue;
    const halfMm = halfChordMm(solid, heightMm, surface.along, across, place);
    if (!(halfMm > 0)) continue;
    const [there, back] =
      across === 'width'
        ? [
            [place, halfMm],
            [place, -halfMm],
          ]
        : [
            [halfMm, place],
            [-halfMm, place],
          ];
    rightward.push(...(there ?? []));
    leftward.unshift(...(back ?? []));
  }
  const ring = [...leftward, ...rightward];
  return { kind: 'rings', rings: ring.length >= 6 ? [ring] : [] };
}

/** Half as wide as a slice is across, at a place along: the slope of the area beyond it. */
function halfChordMm(solid: Solid, heightMm: number, along: Axis, across: Axis, place: number): number {
  const thin = 1e-4;
  const strip: Window =
    along === 'length'
      ? { ...WHOLE_PLANE, fromX: place - thin, toX: place + thin }
      : { ...WHOLE_PLANE, fromY: place - thin, toY: place + thin };
  const [from, to] = solid.spanAtMm(heightMm, across);
  return Math.min(
    solid.areaWithinMm2(heightMm, strip) / (4 * thin),
    (to - from) / 2 || Number.POSITIVE_INFINITY,
  );
}

/** True area of a leaning surface, mm²: its area seen from above over the cosine of the angle. */
export function leaningAreaMm2(shape: KnownShape, surface: Surface): number {
  const small = 1e-3;
  const at = (atMiddleMm: number) => volumeUnderMl(shape, [{ ...surface, atMiddleMm }]);
  const seenMm2 =
    ((at(surface.atMiddleMm + small) - at(surface.atMiddleMm - small)) * MM3_PER_ML) / (2 * small);
  return seenMm2 * Math.sqrt(1 + surface.rise ** 2);
}
