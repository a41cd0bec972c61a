import { BASE_KINDS } from '../materials/base';
import { baseSchema, heatOfBaseSchema } from '../materials/baseSchema';
import { blendSchema } from '../materials/blendSchema';
import { ORIGINS, USES } from '../materials/fields';
import { hexColour } from '../materials/fieldsSchema';
import { dosedMaterialSchema } from '../materials/materialSchema';
import { heldSchema } from '../materials/scrapSchema';
import { moldSchema } from '../molds/moldSchema';
import { COUNT_UNITS } from '../units/counting';
import { z } from '../zod';
import { sheetBatchSchema } from './batchSchema';
import { laidSchema } from './laidSchema';
import { makingSchema, whenSchema } from './makingSchema';
import { sheetPackedSchema } from './packedSchema';
import { pourSizeSchema } from './pourSizeSchema';
import { pourWaySchema } from './pourWaySchema';
import { ASSUMPTIONS, SAID_AS } from './recipeDose';
import { RELATION_FAULTS } from './relations';
import { sizeFaultSchema } from './sizeFaultSchema';

const grams = z.number().nonnegative();

const millilitres = z.number().nonnegative();

const fraction = z.number().nonnegative();

export const sheetLineSchema = z.strictObject({
  /** Of the dose in the plan. */
  doseId: z.string(),
  /** Place of the dose in its pour of the plan. */
  doseIndex: z.int().nonnegative(),
  material: dosedMaterialSchema,
  /** As it was typed. */
  text: z.string(),
  /** In this pour. */
  massG: grams,
  /** What goes into the jug before this pour; another figure where it goes on in the jug of the one before. */
  addG: z.number(),
  volumeMl: millilitres,
  ofBase: fraction,
  ofProduct: fraction,
  /** In proportion to the base, as an amount, or in relation to another dose. */
  saidAs: z.enum(SAID_AS),
  /** A weight is exact; a spoon, a volume, a block or a drop is not. */
  exact: z.boolean(),
  assumed: z.array(z.enum(ASSUMPTIONS)),
  /** Name of the blend that was dosed; its fragrances are weighed one by one. */
  blend: z.string().nullable(),
  /** It is what the dose is wetted in. */
  wets: z.boolean(),
  /** It leaves the hot base again: to be measured, but in no sum and no share. */
  leaves: z.boolean(),
  /** How it is counted out, where it was said so: grams in one drop, block, scoop, capsule or millilitre. */
  counted: z
    .strictObject({ unit: z.enum(COUNT_UNITS), gPerOne: z.number().positive() })
    .nullable()
    .default(null),
  /** It begins with `massG` and goes by eye, up to so much at the most; null inside where nobody knows the most. */
  byEye: z.strictObject({ mostG: grams.nullable() }).nullable().default(null),
  /** It may be left out at the bench; it counts as being in until it was. */
  isOptional: z.boolean().default(false),
  /** The dose is what its pour holds, or what is added to a jug that later pours go on in. */
  counts: z.enum(['content', 'added']).default('content'),
});

/** What is laid and not stirred in. */
export const laidLineSchema = sheetLineSchema.extend({ laid: laidSchema });

/** A dose that came into the jug with an earlier pour, as far as it is in this one. */
export const carriedLineSchema = sheetLineSchema.extend({ fromPourIndex: z.int().nonnegative() });

/** What was dosed into something that is melted again: it is in the base's weight, and is weighed no more. */
export const inheritedLineSchema = sheetLineSchema.extend({ fromScrapId: z.string() });

/** What of a pour's base is melted again. */
export const remeltSchema = z.strictObject({
  scrapId: z.string(),
  name: z.string(),
  ofBase: fraction,
  /** How often it was melted before, as far as is known. */
  melts: z.int().positive(),
  holds: z.array(heldSchema),
  /** Bases that are in it, as far as they are on the shelf. */
  bases: z
    .array(
      z.strictObject({
        id: z.string(),
        name: z.string(),
        baseKind: z.enum(BASE_KINDS),
        origins: z.array(z.enum(ORIGINS)).nullable(),
      }),
    )
    .default([]),
  /** Somebody knows what it holds. */
  isKnown: z.boolean(),
  /** Names of what it holds that is no more on the shelf. */
  missing: z.array(z.string()),
});

/** What is set into a pour, for all cavities that are filled. */
export const sheetEmbedSchema = z.strictObject({
  /** Of what is set in, in the plan. */
  embedId: z.string(),
  /** Place in its pour of the plan. */
  embedIndex: z.int().nonnegative(),
  /** Of the plan, or of the material on the shelf. */
  id: z.string(),
  name: z.string(),
  kind: z.enum(['plan', 'scrap', 'piece']),
  /** How many go into each cavity; null for a filling. */
  perPiece: z.int().positive().nullable(),
  /** Into how many parts a whole one is cut; 1 where it goes in whole. */
  partsOfOne: z.int().positive().default(1),
  /** Of one, or of one part. A filling has none. */
  eachG: grams.nullable(),
  eachMl: millilitres.nullable(),
  massG: grams,
  volumeMl: millilitres,
  densityGPerMl: z.number().positive(),
  densityAssumed: z.boolean(),
  /** Share of the pour's room that a filling takes; null for pieces. */
  ofRoom: fraction.nullable(),
  /** How long one is the way it is looked at; null when only its weight or volume is known. */
  widthMm: z.number().positive().nullable(),
  isBall: z.boolean(),
  colour: hexColour.nullable(),
  /** What scrap holds; null where nobody knows, and of pieces. */
  holds: z.array(heldSchema).nullable().default(null),
  /** What it is of; null where nobody knows. */
  ofBase: heatOfBaseSchema.nullable().default(null),
  /** Where it stands over the floor of the cavity; null where its height or the shape is not known. */
  bottomMm: z.number().nullable(),
  topMm: z.number().nullable(),
});

export const sheetPourSchema = z.strictObject({
  /** Of the pour in the plan. */
  id: z.string(),
  letter: z.string(),
  base: baseSchema,
  baseG: grams,
  /** Base melted before this pour: for all pours that go on in its jug, or the least that is melted; nothing where it goes on itself. */
  meltG: grams,
  baseDensityAssumed: z.boolean(),
  additionsG: grams,
  additionsOfBase: fraction,
  /** Base and additions in the jug, with what will stay on its walls. */
  jugG: grams,
  jugVolumeMl: millilitres,
  intoMoldG: grams,
  intoMoldMl: millilitres,
  /** What is set into it takes up so much of its room, for all cavities. */
  displacedMl: millilitres,
  /** Where it lies over the middle of the cavity's floor; null where the mold's shape is not known. */
  fromMm: z.number().nonnegative().nullable(),
  toMm: z.number().nonnegative().nullable(),
  /** Height of its surface's plane over the middle; a wedge may not reach the middle. */
  surfaceMm: z.number().nullable(),
  way: pourWaySchema,
  embeds: z.array(sheetEmbedSchema),
  /** Names of what is set into it and has no size: in no weight. */
  embedsUnsized: z.array(z.string()),
  /** Those of them whose plan is set into itself. */
  embedsCircular: z.array(z.string()).default([]),
  /** How its size was said. */
  size: pourSizeSchema,
  when: whenSchema,
  /** What hands are told when they pour it. */
  note: z.string().default(''),
  lines: z.array(sheetLineSchema),
  /** In no jug, in no share of the base. */
  laid: z.array(laidLineSchema).default([]),
  /** What is still in its jug of the doses of earlier pours. */
  carried: z.array(carriedLineSchema).default([]),
  /** What of its base comes out of the scrap jar, and what was dosed into that. */
  remelt: remeltSchema.nullable().default(null),
  inherited: z.array(inheritedLineSchema).default([]),
  /** Doses whose text would be read otherwise now than when they were typed. */
  readOtherwise: z
    .array(z.strictObject({ doseIndex: z.int().nonnegative(), name: z.string(), text: z.string() }))
    .default([]),
  unreadable: z.array(
    z.strictObject({
      doseIndex: z.int().nonnegative(),
      material: z.discriminatedUnion('kind', [...dosedMaterialSchema.options, blendSchema]),
      text: z.string(),
      why: z.enum(['text', 'no-usual-least', 'laid-share', 'no-pieces', ...RELATION_FAULTS]),
    }),
  ),
});

/** Every computed weight and yield of a plan, with the facts it was computed from. */
export const sheetSchema = z.strictObject({
  version: z.literal(1),
  planName: z.string(),
  use: z.enum(USES),
  note: z.string(),
  mold: moldSchema,
  /** It takes what goes beyond the mold in a round, filled as full. */
  secondMold: moldSchema.nullable().default(null),
  /** Asked for: bars, where the mold is sliced. */
  pieces: z.int().positive(),
  /** Cavities that are filled, over all rounds, those of a second mold as so many of the first; the last may be filled in part. */
  fills: z.number().positive(),
  /** What they give: at least what is asked for. */
  piecesMade: z.int().positive(),
  fillFraction: fraction,
  /** Where the amount was said by weight. */
  batch: sheetBatchSchema.nullable().default(null),
  jugLossFraction: fraction,
  /** Less base than this is melted as this; 0 where any weight is melted. */
  leastMeltG: grams.default(0),
  making: makingSchema,
  /** What its pieces are wrapped in. */
  packaging: z.array(sheetPackedSchema).default([]),
  pours: z.array(sheetPourSchema).min(1),
  sizeFaults: z.array(sizeFaultSchema),
  totals: z.strictObject({
    baseG: grams,
    additionsG: grams,
    jugG: grams,
    leftInJugG: grams,
    intoMoldG: grams,
    intoMoldMl: millilitres,
    /** What is set into the pours. */
    embedsG: grams,
    /** What is laid on or under them. */
    laidG: grams.default(0),
    /** Pours that are cut off again. */
    trimmedG: grams,
    /** Of what comes out of one cavity, without what is cut off, with what is set in; and of one piece of it. */
    fillG: grams,
    pieceG: grams,
    /** The same of the second mold; nothing where it takes nothing. */
    secondFillG: grams.default(0),
    secondPieceG: grams.default(0),
    /** How often the molds are filled. */
    rounds: z.int().positive(),
  }),
});
