import { z } from '../zod';
import { snapshotSchema } from './snapshot';

export const VERDICTS = ['good', 'fair', 'poor'] as const;
/** Whether the cavities came out as full as they were planned, as far as somebody looked. */
export const FILLS = ['as-planned', 'short'] as const;

const taskId = z.string().min(1).max(80);
const massG = z.number().positive().max(1e6);
const tempC = z.number().min(-30).max(150);
const id = z.string().min(1).max(64);

/** What happens at the bench. Events are only ever added; a mistake is answered by an `undone`. */
export const runEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('weighed'),
    taskId,
    massG,
    /** The lot it came from, where that was said at the scale. */
    lotId: id.optional(),
  }),
  z.strictObject({
    kind: z.literal('done'),
    taskId,
    /** How warm it was poured, where that was read. */
    tempC: tempC.optional(),
  }),
  /** An optional dose does not go in: none of its weighings in this load. */
  z.strictObject({ kind: z.literal('left-out'), taskId }),
  /** More base for a jug, beyond what was planned: a weighing of its own, which brings a dose that is over to its limit. */
  z.strictObject({ kind: z.literal('topped-up'), taskId, massG }),
  z.strictObject({ kind: z.literal('undone'), taskId }),
  /** A layer was touched while its skin forms; the task is that wait. */
  z.strictObject({ kind: z.literal('touched'), taskId, carries: z.boolean() }),
  /** The jug of a melt was read, °C. */
  z.strictObject({ kind: z.literal('measured'), taskId, tempC }),
  /** The last touch of a skin, or the last reading of a jug, was none. */
  z.strictObject({ kind: z.literal('forgotten'), taskId }),
  z.strictObject({
    kind: z.literal('finished'),
    verdict: z.enum(VERDICTS),
    goodPieces: z.int().min(0).max(1_000_000),
    note: z.string().max(4000),
    /** The lots that stood on the bench; for the others, the first to expire is taken. */
    lots: z
      .array(z.strictObject({ materialId: id, lotId: id }))
      .max(200)
      .optional(),
    /** What went into the scrap jar, g. */
    toScrapG: z.number().min(0).max(1e6).optional(),
    /** Left out where nobody looked. */
    fill: z.enum(FILLS).optional(),
  }),
  z.strictObject({ kind: z.literal('abandoned'), note: z.string().max(4000) }),
]);

/** Who and what an event comes from, as far as it is known. */
export const eventSourceSchema = z.strictObject({
  makerId: id.optional(),
  deviceId: id.optional(),
  instrumentId: id.optional(),
});

export const recordedEventSchema = z.strictObject({
  /** By the bench's clock. */
  occurredAt: z.iso.datetime(),
  /** When it was on the disk. */
  recordedAt: z.iso.datetime(),
  source: eventSourceSchema,
  event: runEventSchema,
});

/** One making of a plan: the snapshot it rests on, and what happened. */
export const runSchema = z.strictObject({
  id: z.string(),
  planId: z.string(),
  planVersion: z.int().positive(),
  startedAt: z.iso.datetime(),
  snapshot: snapshotSchema,
  events: z.array(recordedEventSchema),
});

export type Verdict = (typeof VERDICTS)[number];
export type Fill = (typeof FILLS)[number];
export type RunEvent = z.infer<typeof runEventSchema>;
export type EventSource = z.infer<typeof eventSourceSchema>;
export type RecordedEvent = z.infer<typeof recordedEventSchema>;
export type Run = z.infer<typeof runSchema>;
/** As much of a run as its progress follows from. */
export type RunSoFar = Pick<Run, 'snapshot' | 'events'>;
