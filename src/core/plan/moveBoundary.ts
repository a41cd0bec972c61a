import type { Plan, Pour } from './plan';
import { isShared, type PourSize } from './pourSize';

interface Lying {
  fromMm: number | null;
  toMm: number | null;
}

/** A boundary keeps this far from its neighbours, mm; a pour is never nothing. */
const LEAST_MM = 1;

/**
 * The plan with the boundary above a pour at another height. The pour and the one on top of it change, and every other
 * pour stays as big as it is: those in parts would share anew, so they get the heights they have now, and the last
 * goes on taking the rest.
 *
 * @param lying where the pours lie now, from the sheet
 * @param below the pour under the boundary
 * @param toMm where it is moved to; held between the boundaries beside it
 * @returns the same plan when there is no room to move, or no shape to move in
 */
export function moveBoundary(plan: Plan, lying: readonly Lying[], below: number, toMm: number): Plan {
  const floor = lying[below]?.fromMm ?? null;
  const ceiling = lying[below + 1]?.toMm ?? null;
  if (floor === null || ceiling === null || ceiling - floor < 2 * LEAST_MM) return plan;
  const heightMm = Math.min(Math.max(toMm, floor + LEAST_MM), ceiling - LEAST_MM);
  const last = plan.pours.length - 1;

  function sizeOf(size: PourSize, index: number): PourSize {
    if (index === below) return { by: 'height', heightMm: Number(heightMm.toFixed(6)) };
    if (index === last && isShared(size)) return { by: 'rest' };
    const top = lying[index]?.toMm ?? null;
    return top !== null && (index === below + 1 || isShared(size)) ? { by: 'height', heightMm: top } : size;
  }
  return {
    ...plan,
    pours: plan.pours.map((pour, index): Pour => ({ ...pour, size: sizeOf(pour.size, index) })),
  };
}
