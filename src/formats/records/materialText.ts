import type { Material, MaterialKind, NewMaterial } from '../../core/materials/material';
import { newMaterialSchema } from '../../core/materials/materialSchema';
import type { Result } from '../../core/result';
import type { TextContext } from './fieldText';
import { fieldsOf, MATERIAL_FIELDS } from './materialFields';
import { type RecordTexts, readTexts, type TextFault, writeTexts } from './recordText';

/** A material as text; keys that its kind does not have are left out. */
export function writeMaterial(material: Material, context: TextContext): RecordTexts {
  return writeTexts(fieldsOf(material.kind), { ...material }, context);
}

/** The material that texts say, without an id. Keys that its kind does not have are not looked at. */
export function readMaterial(
  kind: MaterialKind,
  texts: RecordTexts,
  context: TextContext,
): Result<NewMaterial, TextFault[]> {
  return readTexts(fieldsOf(kind), newMaterialSchema, { kind }, texts, context);
}

/** An empty form: what is chosen at first, and nothing known. */
export function firstTexts(): RecordTexts {
  return Object.fromEntries(MATERIAL_FIELDS.map(({ key, first }) => [key, first]));
}
