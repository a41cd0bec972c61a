import { AXES } from '../molds/solids/outline';
import { z } from '../zod';

/** How a pour is poured, where it is not simply poured level from a jug of its own. */
export const pourWaySchema = z.strictObject({
  /** The mold leans on an edge while it sets; below zero the other side is the deep one. */
  lean: z
    .strictObject({
      deg: z
        .number()
        .min(-60)
        .max(60)
        .refine((deg) => Math.abs(deg) >= 0.5, { message: 'lean-of-half-a-degree' }),
      along: z.enum(AXES),
    })
    .optional(),
  /** It goes in at the same time as the pour before, from the other side, and takes this share of their room. */
  besideShare: z.number().min(0.05).max(0.95).optional(),
  /** Poured in so many goes with something in between, without letting it set. */
  goes: z.int().min(2).max(9).optional(),
  /** Dripped on the pour before, and marbled by the one that follows. */
  dropped: z.literal(true).optional(),
  /** Cut off afterwards: it levels a floor or was poured over, and goes into the scrap jar. */
  trimmed: z.literal(true).optional(),
  /** It goes on in the jug of the pour before; only what is missing is added. */
  sameJug: z.literal(true).optional(),
});
