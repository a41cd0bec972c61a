import { z } from '../zod';
import { SIZE_FAULTS } from './sizeFault';

/** What is wrong with the sizes of a plan's pours; one of the whole bar has no pour. */
export const sizeFaultSchema = z.strictObject({
  code: z.enum(SIZE_FAULTS),
  pourIndex: z.int().nonnegative().nullable(),
  /** By how much: mL in one cavity, and mm where the shape is known. */
  offMl: z.number(),
  offMm: z.number().nullable(),
});
