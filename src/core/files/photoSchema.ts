import { z } from '../zod';

/** SHA-256 of the bytes, hexadecimal. */
export const fileHash = z.string().regex(/^[0-9a-f]{64}$/);

/** Where something is on a piece: on its section or its face, as fractions from the left and from the top. */
export const spotSchema = z.strictObject({
  on: z.enum(['section', 'face']),
  x: z.number().min(0).max(1),
  y: z.number().min(0).max(1),
});

/** A photograph of a round's pieces, or of the whole run. */
export const photoSchema = z.strictObject({
  /** Chosen by whoever adds it, so that it can be named when it is taken back. */
  photoId: z.string().min(1).max(64),
  /** From 0; null where it is of no round by itself. */
  round: z.int().nonnegative().max(100_000).nullable(),
  hash: fileHash,
  widthPx: z.int().min(1).max(10_000),
  heightPx: z.int().min(1).max(10_000),
  note: z.string().max(500),
});
