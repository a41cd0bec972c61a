import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import type { Lot } from '../../core/stock/lot';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import type { TextContext } from './fieldText';
import { LOT_FIELDS, writeLot } from './lotText';
import { MATERIAL_FIELDS } from './materialFields';
import { writeMaterial } from './materialText';
import { MOLD_FIELDS, typedMold } from './moldText';
import type { RecordField, RecordTexts } from './recordText';

/** One field in which two records differ, as a person reads it. */
export interface ChangedField {
  label: string;
  was: string;
  is: string;
}

/** Kinds of records that are written field by field. */
export type FieldedKind = 'material' | 'mold' | 'lot';

/** Longer texts, of a model or of what was taught, are not for reading. */
const LONGEST = 120;

export function shortText(text: string): string {
  return text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text;
}

/** Where one record of a kind differs from another. */
export function changedFields(
  kind: FieldedKind,
  before: unknown,
  after: unknown,
  context: TextContext,
): ChangedField[] {
  const [was, is] = [textsOf(kind, before, context), textsOf(kind, after, context)];
  return [{ key: 'kind', label: 'Kind', unit: undefined }, ...FIELDS[kind]]
    .map(({ key, label, unit }) => ({
      label: unit ? `${label}, ${unit}` : label,
      was: shortText(was[key] ?? ''),
      is: shortText(is[key] ?? ''),
    }))
    .filter((field) => field.was !== field.is);
}

const FIELDS: Record<FieldedKind, readonly RecordField[]> = {
  material: MATERIAL_FIELDS,
  mold: MOLD_FIELDS,
  lot: LOT_FIELDS,
};

function textsOf(kind: FieldedKind, item: unknown, context: TextContext): RecordTexts {
  switch (kind) {
    case 'material': {
      const material = item as Material;
      return { ...writeMaterial(material, context), kind: KIND_NAMES[material.kind] };
    }
    case 'mold':
      return typedMold(item as Mold);
    case 'lot':
      return writeLot(item as Lot, context);
  }
}
