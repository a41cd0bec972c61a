import { taughtSchema } from '../heat/taughtSchema';
import { z } from '../zod';
import { MEASURED_BY, MOLD_MATERIALS } from './mold';
import { boxFault } from './solids/box';

const millimetres = z.number().min(1).max(2000);

const heightMm = z.number().min(0).max(2000);

/** Points of a profile rise from the floor to the brim, and are never closed in between. */
const profileSchema = z
  .array(z.strictObject({ heightMm, halfWidthMm: z.number().min(0).max(1000) }))
  .min(2)
  .max(200)
  .superRefine((points, context) => {
    const issue = (message: string) => context.addIssue({ code: 'custom', message });
    if (points[0]?.heightMm !== 0) issue('profile-from-floor');
    if (
      points.some(({ heightMm: height }, place) => place > 0 && height <= (points[place - 1]?.heightMm ?? 0))
    )
      issue('profile-rises');
    if (points.slice(1, -1).some(({ halfWidthMm }) => halfWidthMm <= 0)) issue('profile-stays-open');
    if (points.every(({ halfWidthMm }) => halfWidthMm <= 0)) issue('profile-has-width');
  });

const waterStepsSchema = z
  .array(z.strictObject({ heightMm: millimetres, volumeMl: z.number().min(0.01).max(50_000) }))
  .min(2)
  .max(100)
  .refine(
    (steps) =>
      steps.every(
        (step, place) =>
          place === 0 ||
          (step.heightMm > (steps[place - 1]?.heightMm ?? 0) &&
            step.volumeMl > (steps[place - 1]?.volumeMl ?? 0)),
      ),
    { message: 'steps-rise' },
  );

const ringSchema = z
  .array(z.number().min(-2000).max(2000))
  .min(6)
  .max(500)
  .refine((ring) => ring.length % 2 === 0, { message: 'pairs-of-points' });

const ringsSchema = z.array(ringSchema).max(64);

const squareMillimetres = z.number().min(0).max(4e6);

/** Volumes rise with the heights, so that a height follows from a volume. */
const contoursSchema = z
  .array(
    z.strictObject({
      heightMm,
      volumeMl: z.number().min(0).max(50_000),
      areaBelowMm2: squareMillimetres,
      areaAboveMm2: squareMillimetres,
      rings: ringsSchema,
      ringsBelow: ringsSchema.optional(),
    }),
  )
  .min(2)
  .max(200)
  .superRefine((levels, context) => {
    const issue = (message: string) => context.addIssue({ code: 'custom', message });
    if (levels[0]?.heightMm !== 0 || levels[0].volumeMl !== 0) issue('levels-from-floor');
    const rises = levels.every(
      (level, place) =>
        place === 0 ||
        (level.heightMm > (levels[place - 1]?.heightMm ?? 0) &&
          level.volumeMl > (levels[place - 1]?.volumeMl ?? 0)),
    );
    if (!rises) issue('levels-rise');
  });

/** The inside of one cavity. `capacity-only` has been measured by volume, and its shape is not known. */
export const shapeSchema = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('box'),
      lengthMm: millimetres,
      widthMm: millimetres,
      depthMm: millimetres,
      draftDeg: z.number().min(0).max(45),
      cornerMm: z.number().min(0).max(500),
    })
    .superRefine((shape, context) => {
      const fault = boxFault(shape);
      if (fault) context.addIssue({ code: 'custom', message: fault });
    }),
  z.strictObject({ kind: z.literal('cylinder'), diameterMm: millimetres, depthMm: millimetres }),
  z.strictObject({
    kind: z.literal('frustum'),
    floorDiameterMm: millimetres,
    diameterMm: millimetres,
    depthMm: millimetres,
  }),
  z.strictObject({ kind: z.literal('hemisphere'), diameterMm: millimetres }),
  z.strictObject({ kind: z.literal('sphere'), diameterMm: millimetres }),
  z.strictObject({ kind: z.literal('half-cylinder'), diameterMm: millimetres, lengthMm: millimetres }),
  z.strictObject({ kind: z.literal('revolved'), points: profileSchema }),
  z.strictObject({ kind: z.literal('drawn-out'), points: profileSchema, lengthMm: millimetres }),
  z.strictObject({ kind: z.literal('water-steps'), steps: waterStepsSchema }),
  /** The inside of a model file, as contours from the floor to the brim. */
  z.strictObject({ kind: z.literal('model'), levels: contoursSchema }),
  z.strictObject({ kind: z.literal('capacity-only') }),
]);

/** One measuring of a cavity: what it came to, and how. */
export const measureSchema = z.strictObject({
  by: z.enum(MEASURED_BY),
  on: z.iso.date(),
  capacityMl: z.number().min(0.5).max(50_000),
});

export const moldSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1).max(80),
  cavities: z.int().min(1).max(500),
  /** How many molds like this one there are; a round fills all of them. */
  copies: z.int().min(1).max(100).default(1),
  /** What one cavity holds to the brim. */
  capacityMl: z.number().min(0.5).max(50_000),
  /** How its capacity was found; `usual` is one that nobody measured. */
  measuredBy: z.enum([...MEASURED_BY, 'usual']),
  /** Every measuring that is remembered, the newest last. */
  measures: z.array(measureSchema).max(100),
  shape: shapeSchema,
  madeOf: z.enum(MOLD_MATERIALS),
  /** It warps or melts when it gets hotter than this. */
  highestC: z.number().min(30).max(400).nullable(),
  /** How full it is usually poured. */
  usualFillFraction: z.number().min(0.05).max(1),
  /** How much a piece shrinks on cooling, as a fraction of its length. */
  shrinkageFraction: z.number().min(0).max(0.2).nullable(),
  /** Thickness of a bar that is sliced off a loaf or a log; null when it is not sliced. */
  sliceMm: z.number().min(1).max(500).nullable(),
  /** Width of the strips that a slab is cut into first; null when it is as wide as its bars are long. */
  stripMm: z.number().min(1).max(500).nullable().default(null),
  /** What is cut off at each end first. */
  endTrimMm: z.number().min(0).max(500),
  /** How readily it loses heat, as it was taught, the newest last. */
  taught: z.array(taughtSchema).max(20).default([]),
  boughtFrom: z.string().max(200),
  note: z.string().max(2000),
});

/** A record that has no id yet. */
export const newMoldSchema = moldSchema.omit({ id: true });
