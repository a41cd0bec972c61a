import { z } from '../zod';
import { MOST_POINTS, QUANTITIES } from './keptReadings';

export const sentReadingsSchema = z.strictObject({
  instrument: z.string().trim().min(1).max(64),
  quantity: z.enum(QUANTITIES),
  taskId: z.string().min(1).max(80).nullable(),
  points: z
    .array(
      z.strictObject({
        /** ISO 8601, by the bench's clock. */
        at: z.iso.datetime(),
        value: z.number().min(-1e6).max(1e6),
      }),
    )
    .min(1)
    .max(MOST_POINTS),
});

/** As kept: moments in tenths of a second from the first, each with its figure. */
export const keptPointsSchema = z.array(z.tuple([z.int().min(0), z.number()])).max(MOST_POINTS);
