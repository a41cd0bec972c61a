import { heightAt, highestAt, type Surface } from '../molds/lean';
import type { Axis } from '../molds/solids/outline';

/** x and height in turn, mm: x from the middle of the cavity, height from its floor. */
export type Line = readonly (readonly [xMm: number, heightMm: number])[];

/**
 * The top of everything that was poured up to these surfaces, as the section sees it: the highest of straight lines,
 * so it bends only where two of them cross, or one meets the floor.
 */
export function topLine(surfaces: readonly Surface[], axis: Axis, fromMm: number, toMm: number): Line {
  const floor: Surface = { atMiddleMm: 0, rise: 0, along: axis };
  const all = [floor, ...surfaces];
  const bends = all.flatMap((one, place) =>
    all.slice(place + 1).flatMap((other) => {
      const rises = riseAlong(one, axis) - riseAlong(other, axis);
      const xMm = rises === 0 ? Number.NaN : (other.atMiddleMm - one.atMiddleMm) / rises;
      return xMm > fromMm && xMm < toMm ? [xMm] : [];
    }),
  );
  return [fromMm, ...bends.sort((a, b) => a - b), toMm].map((xMm) => [xMm, highestAt(surfaces, axis, xMm)]);
}

function riseAlong(surface: Surface, axis: Axis): number {
  return heightAt(surface, axis, 1) - heightAt(surface, axis, 0);
}
