import type { z } from '../zod';
import type { dosedMaterialSchema, materialSchema, newMaterialSchema } from './materialSchema';

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
