import type { z } from '../zod';
import type { batchSchema } from './batchSchema';

/** The least and the most that is said as one batch, g. */
export const BATCH_LIMITS_G = [1, 1e6] as const;

/** Why a batch does not weigh what was said. */
export const BATCH_FAULTS = [
  /** More than the pieces hold, filled to the brim. */
  'over',
  /** Less than the pours that have a weight or a height of their own. */
  'under',
  /** Every pour has a size of its own, so nothing follows from the weight. */
  'sizes-fixed',
] as const;
export type BatchFault = (typeof BATCH_FAULTS)[number];

export type Batch = z.infer<typeof batchSchema>;
