import { z } from '../zod';
import { ORIGINS, SKIN_RELEASES, USES, unknownOr } from './fields';
import { readingSchema } from './readingSchema';

export const fraction = z.number().min(0).max(1);

export const density = unknownOr(z.number().min(0.05).max(5));

export const temperatureC = unknownOr(z.number().min(20).max(120));

/** A colour as a page writes it: # and six digits of sRGB. */
export const hexColour = z.string().regex(/^#[0-9a-f]{6}$/, 'colour-digits');

export const materialId = z.string().min(1).max(64);

/** A name in a list; a semicolon parts lists in files. */
export const nameText = (longest: number) =>
  z
    .string()
    .trim()
    .min(1)
    .max(longest)
    .regex(/^[^;]*$/, 'no-semicolon');

/** What every record of the shelf has. */
export const common = {
  id: materialId,
  name: nameText(80),
  note: z.string().max(2000),
  /** Ingredient names in the order of the pack. */
  inci: unknownOr(z.array(nameText(120)).max(80)),
  /** Shares of some of them that the pack or its data sheet tells, of the material's weight. */
  inciShares: unknownOr(
    z.array(z.strictObject({ name: nameText(120), ofMaterial: fraction })).max(80),
  ).default(null),
  /** An empty list says that none of these is in it. */
  origins: unknownOr(z.array(z.enum(ORIGINS)).max(ORIGINS.length)),
  /** Stock at which more should be bought: grams, or pieces of what is counted. */
  lowStock: unknownOr(z.number().min(0).max(1e6)),
  /** Kept for the records, not offered any more. */
  archived: z.boolean(),
};

/** What everything has that is dosed into a base. */
export const dosed = {
  ...common,
  /** Of the material itself: what it displaces in the jug, and what a volume of it weighs. */
  densityGPerMl: density,
  skin: z.enum(SKIN_RELEASES),
  /** The supplier's or safety limit, as a fraction of the finished product. */
  maxOfProduct: unknownOr(fraction),
  /** Limits of their own for some uses; the plain one stands for all others. */
  maxByUse: unknownOr(
    z
      .array(z.strictObject({ use: z.enum(USES), maxOfProduct: fraction }))
      .min(1)
      .max(USES.length),
  ).default(null),
  /** The range in which it does its work, as fractions of the base's weight. */
  usualLeastOfBase: unknownOr(fraction),
  usualMostOfBase: unknownOr(fraction),
  /** What was weighed of this very bottle, spoon or block; the newest last. */
  readings: z.array(readingSchema).max(200),
};
