import type { Material } from '../core/materials/material';
import type { Mold } from '../core/molds/mold';
import { differences } from '../core/plan/differences';
import type { Lot } from '../core/stock/lot';
import type { TextContext } from '../formats/records/fieldText';
import { LOT_FIELDS, writeLot } from '../formats/records/lotText';
import { MATERIAL_FIELDS } from '../formats/records/materialFields';
import { writeMaterial } from '../formats/records/materialText';
import { MOLD_FIELDS, typedMold } from '../formats/records/moldText';
import type { RecordField, RecordTexts } from '../formats/records/recordText';
import { CHOICES } from '../islands/houseRules/choices';
import { FIGURES } from '../islands/houseRules/figures';
import type { VersionedKind } from '../server/recordVersions';
import { KIND_NAMES } from '../words/en/materials/kindNames';

/** One field that differs between two versions of a record, as a person reads it. */
export interface RecordChange {
  label: string;
  was: string;
  is: string;
}

/** Longer texts, of a model or of what was taught, are not for reading. */
const LONGEST = 120;

/** Where a version of a record differs from the one before it. */
export function recordChanges(
  kind: VersionedKind,
  before: unknown,
  after: unknown,
  context: TextContext,
): RecordChange[] {
  const told =
    kind === 'material' || kind === 'mold' || kind === 'lot'
      ? byField(FIELDS[kind], textsOf(kind, before, context), textsOf(kind, after, context))
      : byKey(before, after);
  return told.map(({ label, was, is }) => ({ label, was: short(was), is: short(is) }));
}

const FIELDS: Record<'material' | 'mold' | 'lot', readonly RecordField[]> = {
  material: MATERIAL_FIELDS,
  mold: MOLD_FIELDS,
  lot: LOT_FIELDS,
};

function textsOf(kind: 'material' | 'mold' | 'lot', item: unknown, context: TextContext): RecordTexts {
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

function byField(fields: readonly RecordField[], before: RecordTexts, after: RecordTexts): RecordChange[] {
  const named = [{ key: 'kind', label: 'Kind' }, ...fields];
  return named
    .map(({ key, label }) => ({ label, was: before[key] ?? '', is: after[key] ?? '' }))
    .filter(({ was, is }) => was !== is);
}

function byKey(before: unknown, after: unknown): RecordChange[] {
  return differences(before, after).map(({ path, mine, theirs }) => ({
    label: LABELS[String(path[0])] ?? spelled(path),
    was: valueText(path, mine),
    is: valueText(path, theirs),
  }));
}

const LABELS: Record<string, string> = {
  ...Object.fromEntries(Object.entries(CHOICES).map(([key, { title }]) => [key, title])),
  ...Object.fromEntries(
    FIGURES.map(({ key, label, rule }) => [key, `${label}${rule.unit && `, ${rule.unit}`}`]),
  ),
  spareMoldId: 'What is left over goes into',
  currency: 'Currency',
  name: 'Name',
  holdsMl: 'Holds, mL',
  stepG: 'Step, g',
  gramsStepG: 'Step when switched to grams, g',
  capacityG: 'Capacity, g',
};

function valueText(path: readonly (string | number)[], value: unknown): string {
  const key = String(path[0]);
  const options: Record<string, string> = Object.hasOwn(CHOICES, key)
    ? CHOICES[key as keyof typeof CHOICES].options
    : {};
  const figure = FIGURES.find((each) => each.key === key);
  if (figure && typeof value === 'number') return String(Number((value / figure.perOne).toPrecision(12)));
  if (value === null || value === undefined) return '';
  return options[String(value)] ?? (typeof value === 'object' ? JSON.stringify(value) : String(value));
}

/** `taught 0 scale` of a key without a label. */
function spelled(path: readonly (string | number)[]): string {
  return path.map((part) => (typeof part === 'number' ? part + 1 : part)).join(' ');
}

function short(text: string): string {
  return text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text;
}
