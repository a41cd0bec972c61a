import type { Mold } from '../molds/mold';
import { cavityOf } from './cavity';
import type { Plan, Pour } from './plan';
import { isShared, type PourSize } from './pourSize';
import type { Sheet, SheetPour } from './sheet';

/** What is known of pours as they lie now, from the sheet. */
type Lying = Pick<SheetPour, 'fromMm' | 'toMm'>;

/** A boundary keeps this far from its neighbours, mm; a pour is never nothing. */
const LEAST_MM = 1;

/**
 * The plan with the boundary above a pour at another height. The pour and the one on top of it change, and every other
 * pour stays as big as it is: those in parts would share anew, so they get the heights they have now, and the last
 * goes on taking the rest. Pours that go in beside another have its size.
 *
 * @param lying where the pours lie now, from the sheet
 * @param below the pour under the boundary
 * @param toMm where it is moved to; held between the boundaries beside it
 * @returns the same plan when there is no room to move, or no shape to move in
 */
export function moveBoundary(plan: Plan, lying: readonly Lying[], below: number, toMm: number): Plan {
  const leads = leadsOf(plan);
  const next = leads[leads.indexOf(below) + 1] ?? -1;
  const last = leads.at(-1);
  const floor = lying[below]?.fromMm ?? null;
  const ceiling = lying[next]?.toMm ?? null;
  if (floor === null || ceiling === null || ceiling - floor < 2 * LEAST_MM) return plan;
  const heightMm = Math.min(Math.max(toMm, floor + LEAST_MM), ceiling - LEAST_MM);

  function sizeOf(size: PourSize, index: number): PourSize {
    if (index === below) return { by: 'height', heightMm: Number(heightMm.toFixed(6)) };
    if (!leads.includes(index)) return size;
    if (index === last && isShared(size)) return { by: 'rest' };
    const top = lying[index]?.toMm ?? null;
    return top !== null && (index === next || isShared(size)) ? { by: 'height', heightMm: top } : size;
  }
  return withSizes(plan, sizeOf);
}

/**
 * The same, with the pour below told as a weight over all cavities, to the whole gram.
 *
 * @param sheet what a millilitre of the pour weighs is taken from there
 */
export function moveBoundaryToGram(
  plan: Plan,
  mold: Mold,
  { pours, fills }: Pick<Sheet, 'pours' | 'fills'>,
  below: number,
  toMm: number,
): Plan {
  const moved = moveBoundary(plan, pours, below, toMm);
  const size = moved.pours[below]?.size;
  const pour = pours[below];
  if (moved === plan || size?.by !== 'height' || !pour || pour.fromMm === null) return plan;
  const cavity = cavityOf(mold);
  const [top, bottom] = [size.heightMm, pour.fromMm].map((heightMm) =>
    cavity.volumeTo(heightMm, [], undefined),
  );
  const volumeMl = ((top ?? 0) - (bottom ?? 0)) * fills - pour.displacedMl;
  const massG = Math.max(1, Math.round((volumeMl * pour.intoMoldG) / pour.intoMoldMl));
  return withSizes(moved, (each, index) => (index === below ? { by: 'mass', massG } : each));
}

/** Pours that are not told as beside another, in their order. */
function leadsOf({ pours }: Plan): number[] {
  return pours.flatMap(({ way }, index) => (index === 0 || way?.besideShare === undefined ? [index] : []));
}

function withSizes(plan: Plan, sizeOf: (size: PourSize, index: number) => PourSize): Plan {
  return {
    ...plan,
    pours: plan.pours.map((pour, index): Pour => ({ ...pour, size: sizeOf(pour.size, index) })),
  };
}
