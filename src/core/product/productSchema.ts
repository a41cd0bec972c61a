import { LABEL_LAYOUTS } from '../label/labelLayout';
import { LABEL_RULES, LIST_PLACES } from '../label/labelRules';
import { ALLERGEN_LISTS } from '../materials/allergenNames';
import { moneySchema } from '../units/moneySchema';
import { z } from '../zod';
import { isBarcode } from './barcode';
import { FORMS } from './product';

const id = z.string().min(1).max(64);
const words = z.string().trim().max(400);

/** What is sold. */
export const productSchema = z.strictObject({
  id,
  name: z.string().trim().min(1).max(80),
  form: z.enum(FORMS),
  /** What is in one pack: pieces of plans. */
  parts: z
    .array(z.strictObject({ planId: id, pieces: z.int().min(1).max(100) }))
    .min(1)
    .max(12)
    .refine((parts) => new Set(parts.map(({ planId }) => planId)).size === parts.length, {
      message: 'plans-once',
    }),
  /** What a pack takes besides what its pieces are wrapped in. */
  packaging: z
    .array(z.strictObject({ materialId: id, count: z.int().min(1).max(100) }))
    .max(12)
    .default([]),
  /** In the languages of the label, side by side. */
  words: z
    .array(
      z.strictObject({
        language: z.string().trim().min(1).max(20),
        /** What it is: “cleansing bar”. */
        identity: words,
        directions: words,
        cautions: words,
        origin: words,
      }),
    )
    .min(1)
    .max(4),
  rules: z.enum(LABEL_RULES),
  /** By which names allergens are told where the rules are the EU's. */
  allergenList: z.enum(ALLERGEN_LISTS).default('2023-1545'),
  /** How long it is good: until a date so many months after it was made, or so many after it is opened. */
  good: z.strictObject({ by: z.enum(['date', 'opened']), months: z.int().min(1).max(120) }),
  /** Of the pack, as goods carry them: EAN-13, UPC-A or EAN-8. */
  barcode: z.string().refine(isBarcode, { message: 'barcode' }).nullable().default(null),
  /** What a pack is sold for, with tax; null where the house has none. */
  prices: z
    .strictObject({ retail: moneySchema.nullable(), wholesale: moneySchema.nullable() })
    .default({ retail: null, wholesale: null }),
  label: z.strictObject({
    layout: z.enum(LABEL_LAYOUTS),
    widthMm: z.number().min(15).max(400),
    heightMm: z.number().min(10).max(300),
    /** The face of the pack that is shown, where it is larger than the label's front. */
    faceMm2: z.number().min(1).max(1e6).nullable().default(null),
    /** A square with the batch code in it. */
    hasQr: z.boolean().default(false),
    /** Its layers in their colours, along the edge of the front. */
    hasLayers: z.boolean().default(false),
    /** Where the ingredients stand, by the rules of the EU. */
    listOn: z.enum(LIST_PLACES).default('label'),
  }),
});

export const newProductSchema = productSchema.omit({ id: true });
