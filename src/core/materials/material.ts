import { z } from '../zod';
import { readingSchema } from './reading';

/** `null` is a value of its own: nobody has told us. It is never read as zero. */
const unknownOr = <Schema extends z.ZodType>(schema: Schema) => schema.nullable();

const id = z.string().min(1).max(64);
const name = z.string().trim().min(1).max(80);
const densityGPerMl = unknownOr(z.number().min(0.05).max(5));
const fraction = z.number().min(0).max(1);
const note = z.string().max(2000);

/** Whether a supplier releases a material for products that touch skin. */
export const SKIN_RELEASES = ['released', 'not-released', 'unknown'] as const;
export const BASE_KINDS = ['soap', 'detergent-free', 'syndet'] as const;
export const BASE_LOOKS = ['clear', 'translucent', 'white', 'ivory', 'tinted'] as const;
export const COLORANT_FORMS = ['mica', 'pigment', 'dye'] as const;
export const ADDITIVE_ROLES = [
  'grit',
  'botanical',
  'oil',
  'liquid',
  'active',
  'stabiliser',
  'other',
] as const;

const common = { id, name, note };
const dosed = {
  ...common,
  /** Of the material itself: what it displaces in the jug, and what a volume of it weighs. */
  densityGPerMl,
  skin: z.enum(SKIN_RELEASES),
  /** The supplier's or safety limit, as a fraction of the finished product. */
  maxOfProduct: unknownOr(fraction),
  /** What was weighed of this very bottle, spoon or block; the newest last. */
  readings: z.array(readingSchema).max(200),
};

export const baseSchema = z.strictObject({
  ...common,
  kind: z.literal('base'),
  baseKind: z.enum(BASE_KINDS),
  look: z.enum(BASE_LOOKS),
  densityGPerMl,
  /** Most fragrance the base holds, as a fraction of the base's weight. */
  fragranceCapOfBase: unknownOr(fraction),
  /** Most additions of all kinds, grit apart for soap bases, as a fraction of the base's weight. */
  additionsCapOfBase: unknownOr(fraction),
  /** The base is spoilt when it gets hotter than this. */
  ceilingC: unknownOr(z.number().min(30).max(120)),
});

export const fragranceSchema = z.strictObject({ ...dosed, kind: z.literal('fragrance') });

export const colorantSchema = z.strictObject({
  ...dosed,
  kind: z.literal('colorant'),
  form: z.enum(COLORANT_FORMS),
  /** What a levelled spoon of a powder weighs a millilitre; air between the grains makes it lighter. */
  bulkDensityGPerMl: densityGPerMl,
});

export const additiveSchema = z.strictObject({
  ...dosed,
  kind: z.literal('additive'),
  role: z.enum(ADDITIVE_ROLES),
  bulkDensityGPerMl: densityGPerMl,
});

export const dosedMaterialSchema = z.discriminatedUnion('kind', [
  fragranceSchema,
  colorantSchema,
  additiveSchema,
]);

export const materialSchema = z.discriminatedUnion('kind', [
  baseSchema,
  fragranceSchema,
  colorantSchema,
  additiveSchema,
]);

/** A record that has no id yet. */
export const newMaterialSchema = z.discriminatedUnion('kind', [
  baseSchema.omit({ id: true }),
  fragranceSchema.omit({ id: true }),
  colorantSchema.omit({ id: true }),
  additiveSchema.omit({ id: true }),
]);

export type Base = z.infer<typeof baseSchema>;
/** Anything that is dosed into a base. */
export type DosedMaterial = z.infer<typeof dosedMaterialSchema>;
export type Material = z.infer<typeof materialSchema>;
export type MaterialKind = Material['kind'];

export const MATERIAL_KINDS = ['base', 'fragrance', 'colorant', 'additive'] as const;
