import { z } from '../zod';

/** A reading of a thermometer. */
export const readingSchema = z.strictObject({
  timeS: z.number().min(0).max(172_800),
  tempC: z.number().min(-30).max(120),
});

/** A fit against time: with one standard deviation of the loss scale to either side. */
export const fitMomentSchema = z.strictObject({
  timeS: z.number(),
  tempC: z.number(),
  lowC: z.number(),
  highC: z.number(),
});

/** The run that taught it; left out where somebody typed it. */
const ofRun = z.string().min(1).max(64).optional();

/** What a jug or a mold was taught: how readily it loses heat against the model, and where that came from. */
export const taughtSchema = z.strictObject({
  on: z.iso.date(),
  /** Its losses are so many times those of the model. */
  scale: z.number().min(0.2).max(5),
  /** One standard deviation of it, as a fraction of it. */
  spread: z.number().min(0).max(1),
  from: z.discriminatedUnion('is', [
    z.strictObject({
      is: z.literal('readings'),
      readings: z.array(readingSchema).min(3).max(2000),
      roomC: z.number().min(-30).max(60),
      /** In a jug: what it held. In a mold: how high it was poured. */
      contentG: z.number().min(1).max(100_000).nullable(),
      baseName: z.string().max(80),
      /** The fit as it was then, s from the first reading: base and mold may have changed since. */
      curve: z.array(fitMomentSchema).max(60).default([]),
      runId: ofRun,
    }),
    /** A layer carried, by touch, so long after it was poured. */
    z.strictObject({
      is: z.literal('touch'),
      carriedS: z.number().min(10).max(86_400),
      planName: z.string().max(120),
      runId: ofRun,
    }),
  ]),
});
