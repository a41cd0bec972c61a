import type { z } from '../zod';
import type { sizeFaultSchema } from './sizeFaultSchema';

/** What may be wrong with the sizes of a plan's pours. */
export const SIZE_FAULTS = [
  'over-brim',
  'over-fill',
  'below-fill',
  'nothing-left',
  'needs-shape',
  'already-higher',
  'no-such-disc',
  'spills',
  'embeds-outgrow',
] as const;

export type SizeFault = z.infer<typeof sizeFaultSchema>;
