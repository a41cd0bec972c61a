import { G_PER_OZ } from '../units/factors';
import type { UnitSystem } from '../units/showQuantity';
import { writeFigure } from '../units/writeQuantity';
import type { Batch } from './batch';
import type { Plan } from './plan';
import type { Sheet } from './sheet';

/** The plan said by weight; or, with null, as the pieces and the fill that its sheet came to. */
export function withBatch(
  plan: Plan,
  batch: Batch | null,
  sheet: Pick<Sheet, 'pieces' | 'fillFraction'> | null = null,
): Plan {
  const { batch: _, ...rest } = plan;
  if (batch) return { ...rest, batch };
  if (!sheet || !plan.batch) return rest;
  return { ...rest, pieces: sheet.pieces, fillFraction: Math.max(LEAST_FILL, sheet.fillFraction) };
}

/** A plan's own fill is never less. */
export const LEAST_FILL = 0.05;

/** What a plan comes to now, said by weight. */
export function batchFrom({ totals }: Sheet, by: Batch['by'], system: UnitSystem): Batch {
  const massG = by === 'base' ? totals.baseG : totals.jugG;
  const [unit, symbol, decimals] = system === 'us' ? [G_PER_OZ, 'oz', 2] : [1, 'g', 1];
  const figure = writeFigure(massG / unit, decimals);
  return { by, massG: Number(figure) * unit, text: `${figure} ${symbol}`, gives: 'pieces' };
}
