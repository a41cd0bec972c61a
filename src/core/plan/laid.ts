import type { z } from '../zod';
import type { laidSchema } from './laidSchema';

/** Where a dose lies that is laid and not stirred in. */
export const LAID_WHERE = [
  /** On the mold's floor, or on what was poured before, under its pour. */
  'under',
  /** Between the goes of its pour. */
  'between-goes',
  /** On its pour while that is liquid. */
  'on-liquid',
  /** On its pour once that has skinned. */
  'on-skin',
] as const;
export type LaidWhere = (typeof LAID_WHERE)[number];

export type Laid = z.infer<typeof laidSchema>;
