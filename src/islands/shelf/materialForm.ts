import type { Resolver, ResolverResult, ResolverSuccess } from 'react-hook-form';
import type { Material, MaterialKind, NewMaterial } from '../../core/materials/material';
import { firstTexts, readMaterial, writeMaterial } from '../../core/materials/materialText';
import type { TextContext } from '../../core/records/fieldText';
import type { RecordTexts } from '../../core/records/recordText';

/** A material as it is typed: every field of every kind, those of other kinds stay as they are. */
export interface MaterialTyped {
  kind: MaterialKind;
  texts: RecordTexts;
}

/** A material as text in its fields; `null` is an empty form. */
export function typedMaterial(material: Material | null, context: TextContext): MaterialTyped {
  if (material === null) return { kind: 'fragrance', texts: firstTexts() };
  return { kind: material.kind, texts: { ...firstTexts(), ...writeMaterial(material, context) } };
}

/** Checks a form, each reason beside its field. */
export function materialResolver(context: TextContext): Resolver<MaterialTyped, unknown, NewMaterial> {
  return ({ kind, texts }): ResolverResult<MaterialTyped, NewMaterial> => {
    const read = readMaterial(kind, texts, context);
    if (read.success) return { values: read.data, errors: {} } as ResolverSuccess<NewMaterial>;
    const errors = Object.fromEntries(
      read.error.map(({ key, reason }) => [key, { type: 'custom', message: reason }]),
    );
    return { values: {}, errors: { texts: errors } };
  };
}
