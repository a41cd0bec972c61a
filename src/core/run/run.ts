import { findingSchema } from '../checks/finding';
import { sheetSchema } from '../plan/sheet';
import { z } from '../zod';

export const VERDICTS = ['good', 'fair', 'poor'] as const;

const stepId = z.string().min(1).max(40);
const massG = z.number().positive().max(1e6);

/** What happens at the bench. Events are only ever added; a mistake is answered by an `undone`. */
export const runEventSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('weighed'), stepId, massG }),
  z.strictObject({ type: z.literal('done'), stepId }),
  z.strictObject({ type: z.literal('undone'), stepId }),
  z.strictObject({
    type: z.literal('finished'),
    verdict: z.enum(VERDICTS),
    goodPieces: z.int().min(0).max(100_000),
    note: z.string().max(4000),
    /** The lots that stood on the bench; for the others, the first to expire is taken. */
    lots: z
      .array(z.strictObject({ materialId: z.string().max(64), lotId: z.string().max(64) }))
      .max(200)
      .optional(),
    /** What went into the scrap jar, g. */
    toScrapG: z.number().min(0).max(1e6).optional(),
  }),
  z.strictObject({ type: z.literal('abandoned'), note: z.string().max(4000) }),
]);

export const recordedEventSchema = z.strictObject({ at: z.iso.datetime(), event: runEventSchema });

/** One making of a plan: the sheet frozen as it was, and what happened. */
export const runSchema = z.strictObject({
  id: z.string(),
  planId: z.string(),
  planVersion: z.int().positive(),
  startedAt: z.iso.datetime(),
  sheet: sheetSchema,
  findings: z.array(findingSchema),
  events: z.array(recordedEventSchema),
});

export type Verdict = (typeof VERDICTS)[number];
export type RunEvent = z.infer<typeof runEventSchema>;
export type RecordedEvent = z.infer<typeof recordedEventSchema>;
export type Run = z.infer<typeof runSchema>;
