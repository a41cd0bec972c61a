import { BONDS } from '../heat/bond';
import { roomSchema } from '../plan/makingSchema';
import { z } from '../zod';
import { rangeSchema } from './range';
import { scheduledTaskSchema } from './scheduledTask';

const tempC = z.number();
const seconds = z.number();
const share = z.number().min(0).max(1);

/** A layer and when it may be poured. Times are from when the layer before was poured, but for its skin. */
export const pourLayerSchema = z.strictObject({
  pourIndexes: z.array(z.int().nonnegative()).min(1),
  letters: z.string(),
  thicknessM: z.number().positive(),
  atC: tempC,
  /** Hotter its base is spoilt; cooler its jug is too thick. */
  ceilingC: tempC,
  tooThickC: tempC,
  /** Poured so long after the layer before. */
  afterS: seconds,
  /** The crafter chose it; else the pour plan did. */
  chosen: z.boolean(),
  /** When it may be poured; null for the first, which finds nothing below it. */
  window: z.strictObject({ earliest: rangeSchema, idealS: seconds, latest: rangeSchema }).nullable(),
  /** How it meets the layer below: most likely, and in how many of the samples. */
  bond: z
    .strictObject({
      likely: z.enum(BONDS),
      shares: z.strictObject({ weak: share, good: share, deep: share, broken: share }),
      remeltMm: rangeSchema,
    })
    .nullable(),
  /** Where it is weak: poured so hot it would bond after all; null where nothing helps but scoring. */
  rewarm: z.strictObject({ fromC: tempC, toC: tempC }).nullable(),
  /** Until it carries, from when it is poured. */
  skin: rangeSchema,
  jugs: z
    .array(
      z.strictObject({
        pourIndex: z.int().nonnegative(),
        /** Empty, as its name is, where the workshop has told of no jug. */
        id: z.string(),
        name: z.string(),
        taught: z.boolean(),
        contentG: z.number().positive(),
        /** From melted. */
        pouredAfterS: seconds,
        pourS: seconds,
        /** From melted until it is as warm as it is poured, and until it is too thick. */
        ready: rangeSchema,
        tooThick: rangeSchema,
        /** In the jug when the last cavity is poured. */
        lastC: rangeSchema,
        /** From melted on. */
        curve: z.array(z.strictObject({ timeS: seconds, tempC: rangeSchema })),
      }),
    )
    .min(1),
  /** From when it was poured: its warmest place, and its top. */
  curve: z.array(z.strictObject({ timeS: seconds, coreC: tempC, topC: tempC })),
});

/** A grain of a pour, and where it ends up. */
export const grainSchema = z.strictObject({
  pourIndex: z.int().nonnegative(),
  /** null where it came with base that is melted again. */
  doseIndex: z.int().nonnegative().nullable(),
  name: z.string(),
  /** Down is above zero; never more than there is room for. */
  movesMm: z.number(),
  /** Poured no hotter it stays; null where it moves even when the jug is nearly too thick. */
  staysBelowC: tempC.nullable(),
});

/** What is set into a pour, and how thin a part of it stays set. */
export const tipSchema = z.strictObject({
  pourIndex: z.int().nonnegative(),
  embedIndex: z.int().nonnegative(),
  name: z.string(),
  /** Thinner parts melt; null where all of it does. */
  thinnestMm: z.number().nonnegative().nullable(),
  /** Poured no hotter, even its points stay. */
  pointsStayBelowC: tempC,
  /** Nobody knows what it is of: usual soap stands in. */
  soapAssumed: z.boolean(),
});

/** When to melt, pour, wait and unmold. All times in s. */
export const pourPlanSchema = z.strictObject({
  version: z.literal(1),
  room: roomSchema,
  /** How many samples its ranges are from: none yet, while only the middle is known. */
  samples: z.int().nonnegative(),
  layers: z.array(pourLayerSchema).min(1),
  /** From the first action on, in the order they begin. */
  tasks: z.array(scheduledTaskSchema),
  /** Rounds whose tasks are listed; the plan may have more, which follow in the same beat. */
  rounds: z.int().positive(),
  roundsInAll: z.int().positive(),
  /** From the last pour of a filling. */
  unmold: rangeSchema,
  unmoldC: tempC,
  cutC: tempC.nullable(),
  /** What its core never gets cold enough for in this room; null where it does. */
  never: z.enum(['unmold', 'cut']).nullable(),
  cut: rangeSchema.nullable(),
  /** From the first action to the last, but for hardening; and until the last bar is out of its mold. */
  done: rangeSchema,
  out: rangeSchema,
  handsS: seconds,
  dew: z
    .strictObject({
      dewPointC: tempC,
      above: rangeSchema,
      dry: rangeSchema,
      mostGM2: z.number().nonnegative(),
    })
    .nullable(),
  /** Above this humidity the topmost base draws water. */
  waterActivity: share,
  shapeAssumed: z.boolean(),
  moldTaught: z.boolean(),
  grains: z.array(grainSchema),
  tips: z.array(tipSchema),
});

export type PourPlan = z.infer<typeof pourPlanSchema>;
export type PourLayer = z.infer<typeof pourLayerSchema>;
export type Grain = z.infer<typeof grainSchema>;
export type Tip = z.infer<typeof tipSchema>;
