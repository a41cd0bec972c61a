import type { Batch } from './batch';
import type { Plan } from './plan';

/** How much a plan makes, as it is said: fixed doses may have to follow it. */
export interface HowMuch {
  by: 'pieces' | Batch['by'];
  /** Pieces, or grams. */
  size: number;
}

export function howMuch({ pieces, batch }: Plan): HowMuch {
  return batch ? { by: batch.by, size: batch.massG } : { by: 'pieces', size: pieces };
}
