import { z } from '../zod';
import { additiveSchema } from './additive';
import { baseSchema } from './base';
import { blendSchema } from './blend';
import { colorantSchema } from './colorant';
import { dispersantSchema } from './dispersant';
import { fragranceSchema } from './fragrance';
import { packagingSchema } from './packaging';
import { pieceSchema } from './piece';
import { scrapSchema } from './scrap';

/** What is weighed into a jug by itself. A blend is weighed as its members. */
export const dosedMaterialSchema = z.discriminatedUnion('kind', [
  fragranceSchema,
  colorantSchema,
  additiveSchema,
  dispersantSchema,
]);

export const materialSchema = z.discriminatedUnion('kind', [
  baseSchema,
  fragranceSchema,
  blendSchema,
  colorantSchema,
  additiveSchema,
  dispersantSchema,
  scrapSchema,
  pieceSchema,
  packagingSchema,
]);

/** A record that has no id yet. */
export const newMaterialSchema = z.discriminatedUnion('kind', [
  baseSchema.omit({ id: true }),
  fragranceSchema.omit({ id: true }),
  blendSchema.omit({ id: true }),
  colorantSchema.omit({ id: true }),
  additiveSchema.omit({ id: true }),
  dispersantSchema.omit({ id: true }),
  scrapSchema.omit({ id: true }),
  pieceSchema.omit({ id: true }),
  packagingSchema.omit({ id: true }),
]);

export type DosedMaterial = z.infer<typeof dosedMaterialSchema>;
export type Material = z.infer<typeof materialSchema>;
export type MaterialKind = Material['kind'];
export type NewMaterial = z.infer<typeof newMaterialSchema>;
/** What a dose of a plan may name. */
export type DoseableMaterial = Extract<Material, DosedMaterial | { kind: 'blend' }>;

export const MATERIAL_KINDS = [
  'base',
  'fragrance',
  'blend',
  'colorant',
  'additive',
  'dispersant',
  'scrap',
  'piece',
  'packaging',
] as const satisfies readonly MaterialKind[];

const DOSEABLE: ReadonlySet<MaterialKind> = new Set([
  'fragrance',
  'blend',
  'colorant',
  'additive',
  'dispersant',
] satisfies DoseableMaterial['kind'][]);

/** What is counted in pieces; everything else is weighed. */
export function isCounted(kind: MaterialKind): boolean {
  return kind === 'piece' || kind === 'packaging';
}

export function isDoseable(material: Material): material is DoseableMaterial {
  return DOSEABLE.has(material.kind);
}
