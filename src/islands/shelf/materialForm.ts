import type { Material, MaterialKind } from '../../core/materials/material';
import type { TextContext } from '../../formats/records/fieldText';
import { firstTexts, writeMaterial } from '../../formats/records/materialText';
import type { TextForm } from '../shared/textForm';

/** A material as it is typed: every field of every kind, those of other kinds stay as they are. */
export interface MaterialTyped extends TextForm {
  /** Asked before all else. */
  kind: MaterialKind | '';
}

/** A material as text in its fields; `null` is an empty form, of a kind that may be known. */
export function typedMaterial(
  material: Material | null,
  context: TextContext,
  kind: MaterialKind | '' = '',
): MaterialTyped {
  if (material === null) return { kind, texts: firstTexts() };
  return { kind: material.kind, texts: { ...firstTexts(), ...writeMaterial(material, context) } };
}
