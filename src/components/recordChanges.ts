import { differences } from '../core/plan/differences';
import { type ChangedField, changedFields, shortText } from '../formats/records/changedFields';
import type { TextContext } from '../formats/records/fieldText';
import { CHOICES } from '../islands/houseRules/choices';
import { FIGURES } from '../islands/houseRules/figures';
import type { VersionedKind } from '../server/recordVersions';

/** Where a version of a record differs from the one before it. */
export function recordChanges(
  kind: VersionedKind,
  before: unknown,
  after: unknown,
  context: TextContext,
): ChangedField[] {
  return kind === 'material' || kind === 'mold' || kind === 'lot'
    ? changedFields(kind, before, after, context)
    : byKey(before, after);
}

function byKey(before: unknown, after: unknown): ChangedField[] {
  return differences(before, after).map(({ path, mine, theirs }) => ({
    label: labelOf(path),
    was: shortText(valueText(path, mine)),
    is: shortText(valueText(path, theirs)),
  }));
}

/** What is called by its key alone, and by what is within it. */
function labelOf(path: readonly (string | number)[]): string {
  const label = LABELS[String(path[0])];
  if (label === undefined) return spelled(path);
  return path.length > 1 ? `${label}, ${spelled(path.slice(1))}` : label;
}

const LABELS: Record<string, string> = {
  ...Object.fromEntries(Object.entries(CHOICES).map(([key, { title }]) => [key, title])),
  ...Object.fromEntries(
    FIGURES.map(({ key, label, rule }) => [key, `${label}${rule.unit && `, ${rule.unit}`}`]),
  ),
  spareMoldId: 'What is left over goes into',
  currency: 'Currency',
  name: 'Name',
  maker: 'Maker',
  labelSheet: 'Sheets of stickers',
  form: 'Packed as',
  parts: 'In a pack',
  packaging: 'Packaging of the pack',
  words: 'What it says',
  rules: 'By the rules of',
  good: 'Good until',
  barcode: 'Number of the goods',
  orderedOn: 'Ordered on',
  postage: 'Postage of all of it',
  lines: 'What is ordered',
  note: 'Note',
  label: 'Label',
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
