import type { z } from '../zod';

/** `null` is a value of its own: nobody has told us. It is never read as zero. */
export const unknownOr = <Schema extends z.ZodType>(schema: Schema) => schema.nullable();

/** What a bar is for. */
export const USES = ['body', 'hands', 'face', 'hair', 'head-to-toe', 'gift', 'embeds'] as const;

export type Use = (typeof USES)[number];

/** Where a material comes from, as far as somebody may not bear it or not want it. */
export const ORIGINS = ['nut', 'soy', 'milk', 'cereal', 'bee', 'animal'] as const;

/** Whether a supplier releases a material for products that touch skin. */
export const SKIN_RELEASES = ['released', 'not-released', 'candle-only', 'unknown'] as const;
