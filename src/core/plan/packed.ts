import type { z } from '../zod';
import type { packedSchema, sheetPackedSchema } from './packedSchema';

/** What pieces are wrapped in. */
export type Packed = z.infer<typeof packedSchema>;
export type SheetPacked = z.infer<typeof sheetPackedSchema>;

/** How many it takes for so many pieces: a set that is not full takes as many as a full one. */
export function packedCount(
  { count, forPieces }: Pick<Packed, 'count' | 'forPieces'>,
  pieces: number,
): number {
  return Math.max(0, Math.ceil(pieces / forPieces - 1e-9)) * count;
}
