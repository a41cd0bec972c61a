import { photoSchema } from '../files/photoSchema';
import { inspectionSchema } from '../inspection/inspectionSchema';
import { asideSchema } from '../pieces/asideSchema';
import { cutSchema } from '../pieces/cutSchema';
import { z } from '../zod';
import { snapshotSchema } from './snapshot';

export const VERDICTS = ['good', 'fair', 'poor'] as const;
/** Whether the cavities came out as full as they were planned, as far as somebody looked. */
export const FILLS = ['as-planned', 'short'] as const;

const taskId = z.string().min(1).max(80);
const massG = z.number().positive().max(1e6);
const tempC = z.number().min(-30).max(150);
const id = z.string().min(1).max(64);
const reason = z.string().max(500);

/** What a bar is like in its mold or under the knife: as it should be, still a little warm, soft inside, or it does not come out. */
export const FEELS = ['firm', 'warm', 'soft', 'stuck'] as const;

/** What happens at the bench and after it. Events are only ever added; a mistake is answered by an `undone`. */
export const runEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('weighed'),
    taskId,
    massG,
    /** The lot it came from, where that was said at the scale; else the first to expire. */
    lotId: id.optional(),
    /** How many drops, blocks, scoops, capsules or mL of spoons that was, where they were counted onto a scale. */
    count: z.number().positive().max(10_000).optional(),
    /** Why it stays as it is, where that was said. */
    note: reason.optional(),
  }),
  /** More of a dose went in after it was weighed, before its jug was poured; `massG` is what came to it. */
  z.strictObject({ kind: z.literal('added'), taskId, massG, lotId: id.optional() }),
  /** A weighing was another than it was ticked as: all of it, and the lot it was from. */
  z.strictObject({
    kind: z.literal('corrected'),
    taskId,
    massG,
    lotId: id.optional(),
    note: reason.optional(),
  }),
  z.strictObject({
    kind: z.literal('done'),
    taskId,
    /** How warm it was poured, where that was read. */
    tempC: tempC.optional(),
    /** How many cavities a pour filled, and what was left in its jug, g, where that was said. */
    cavities: z.number().min(0).max(100_000).optional(),
    leftG: z.number().min(0).max(1e6).optional(),
  }),
  /** An optional dose does not go in: none of its weighings in this load. Or a pour, with all that is only for it. */
  z.strictObject({ kind: z.literal('left-out'), taskId }),
  /** More base for a jug, beyond what was planned: a weighing of its own, which brings a dose that is over to its limit. */
  z.strictObject({ kind: z.literal('topped-up'), taskId, massG }),
  /** The last that was said of a task counts no longer: what was added or corrected, else its tick. */
  z.strictObject({ kind: z.literal('undone'), taskId }),
  /** The air of the room, °C and a fraction of what it can hold. */
  z.strictObject({ kind: z.literal('room-read'), tempC, humidity: z.number().min(0).max(1).nullable() }),
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
    /** The lots of what was not taken when it was weighed; for the others, the first to expire is taken. */
    lots: z
      .array(z.strictObject({ materialId: id, lotId: id }))
      .max(200)
      .optional(),
    /** What went into the scrap jar, g. */
    toScrapG: z.number().min(0).max(1e6).optional(),
    /** Left out where nobody looked. */
    fill: z.enum(FILLS).optional(),
  }),
  /** What sets was felt, before it is taken out or cut; the task is the one that it is felt for. */
  z.strictObject({ kind: z.literal('felt'), taskId, how: z.enum(FEELS) }),
  z.strictObject({ kind: z.literal('inspected'), ...inspectionSchema.shape }),
  /** An inspection counts no longer. */
  z.strictObject({ kind: z.literal('withdrawn'), inspectionId: id }),
  /** Blocks or pieces of a round were cut. */
  z.strictObject({ kind: z.literal('cut'), ...cutSchema.shape }),
  z.strictObject({ kind: z.literal('photographed'), ...photoSchema.shape }),
  /** Something goes into a scrap jar, is kept, or is thrown away. */
  z.strictObject({ kind: z.literal('set-aside'), ...asideSchema.shape }),
  /** A cut, a photograph, or what was set aside, counts no longer. */
  z.strictObject({ kind: z.literal('taken-back'), entryId: id }),
  /** A complaint or a reaction that came back: what was said, by whom where that is known, and what was done. */
  z.strictObject({
    kind: z.literal('complained'),
    words: z.string().trim().min(1).max(4000),
    from: z.string().max(200),
    done: z.string().max(4000),
  }),
  /** A word that came later. */
  z.strictObject({ kind: z.literal('remarked'), note: z.string().trim().min(1).max(4000) }),
  z.strictObject({
    kind: z.literal('abandoned'),
    note: z.string().max(4000),
    /** What was weighed goes back onto the shelf. */
    isPutBack: z.boolean().optional(),
  }),
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
  /** What its bars are written on with; null for runs of before there were codes. */
  code: z.string().nullable(),
  snapshot: snapshotSchema,
  events: z.array(recordedEventSchema),
});

export type Verdict = (typeof VERDICTS)[number];
export type Feel = (typeof FEELS)[number];
export type Fill = (typeof FILLS)[number];
export type RunEvent = z.infer<typeof runEventSchema>;
export type EventSource = z.infer<typeof eventSourceSchema>;
export type RecordedEvent = z.infer<typeof recordedEventSchema>;
export type Run = z.infer<typeof runSchema>;
/** As much of a run as its progress follows from. */
export type RunSoFar = Pick<Run, 'snapshot' | 'events'>;
