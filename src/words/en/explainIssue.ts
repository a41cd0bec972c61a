import type { z } from '../../core/zod';

type Issue = z.core.$ZodIssue;

/** Says what is wrong with a value and what would be right, without the field's name: “must be at least 1”. */
export function explainIssue(issue: Issue): string {
  const fault = SCHEMA_FAULTS.get(issue.message);
  if (fault) return fault(idOf(issue));
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? 'is missing'
        : `must be ${KIND_NAMES[issue.expected] ?? issue.expected}`;
    case 'too_small':
      if (issue.origin === 'string') return 'must not be empty';
      if (issue.origin === 'array') return `needs at least ${issue.minimum}`;
      return issue.inclusive === false
        ? `must be more than ${issue.minimum}`
        : `must be at least ${issue.minimum}`;
    case 'too_big':
      if (issue.origin === 'string') return `is too long: ${issue.maximum} characters at the most`;
      if (issue.origin === 'array') return `has too many: ${issue.maximum} at the most`;
      return `must be ${issue.maximum} at the most`;
    case 'invalid_value':
      if (issue.input === undefined) return `is missing: one of ${issue.values.map(String).join(', ')}`;
      return `must be one of: ${issue.values.map(String).join(', ')}`;
    case 'invalid_union':
      return saysWhich(issue.input, issue.path.at(-1)) ? 'is not one of the known kinds' : 'is missing';
    case 'unrecognized_keys':
      return `holds something unknown: ${issue.keys.map((key) => key.slice(0, 40)).join(', ')}. Take it out`;
    case 'invalid_format':
      return `doesn’t have the form of ${issue.format}`;
    default:
      return issue.message;
  }
}

/** The id that a fault is about, as far as a message needs it: one that is far too long is a fault of its own. */
function idOf(issue: Issue): string {
  const id: unknown = issue.code === 'custom' ? issue.params?.id : undefined;
  return typeof id === 'string' ? id.slice(0, 64) : '';
}

/** What tells the kinds of a record apart is reported with the whole record. */
function saysWhich(input: unknown, field: PropertyKey | undefined): boolean {
  if (typeof input !== 'object' || input === null || field === undefined) return input !== undefined;
  return Object.hasOwn(input, field);
}

const KIND_NAMES: Record<string, string> = {
  int: 'a whole number',
  number: 'a number',
  string: 'a text',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
};

/** Faults that the product's own schemas find, by the code that stands for their message. */
const SCHEMA_FAULTS: ReadonlyMap<string, (id: string) => string> = new Map<string, (id: string) => string>([
  ['barcode', () => 'must be 8, 12 or 13 digits, of which the last checks the others'],
  ['plans-once', () => 'must name each plan once'],
  ['materials-once', () => 'must name each material once'],
  ['currency-letters', () => 'must be three capital letters, such as EUR'],
  ['money', () => 'must be an amount of money as text, such as "12.50", with at most four decimals'],
  ['more-than-nothing', () => 'must be more than nothing'],
  ['colour-digits', () => 'must be # and six digits, such as #2f5d8a'],
  ['share-not-listed', (id) => `tells a share of “${id}”, which is not among the ingredients of the pack`],
  ['share-twice', (id) => `tells the share of “${id}” twice`],
  ['shares-above-all', () => 'adds up to more than 100 %'],
  [
    'shares-against-order',
    () =>
      'can’t be so in the order of the pack: from 1 % up each is as much as the next or more, and all of them are 100 %',
  ],
  ['no-semicolon', () => 'must not hold a semicolon'],
  ['profile-from-floor', () => 'must begin at the floor, at a height of 0'],
  ['profile-rises', () => 'must rise from point to point'],
  ['profile-stays-open', () => 'must not close between its ends'],
  ['profile-has-width', () => 'must be wider than nothing'],
  ['steps-rise', () => 'must rise in height and in volume from step to step'],
  ['pairs-of-points', () => 'must hold pairs of x and y'],
  ['levels-from-floor', () => 'must begin at the floor, with nothing'],
  ['levels-rise', () => 'must rise in height and in volume from level to level'],
  ['walls-meet', () => 'leans so far that the walls meet above the floor'],
  ['corners-too-round', () => 'has corners rounder than its floor is wide'],
  ['day-and-time', () => 'must be a day and a time of day, such as 2026-05-02T17:00'],
  ['day-that-there-is', () => 'must be a day that there is'],
  ['known-time-zone', () => 'is no time zone that is known'],
  ['lean-of-half-a-degree', () => 'must lean by half a degree or more'],
  [
    'id-twice',
    (id) => `“${id}” is there twice: a pour, a dose and what is set in each have an id of their own.`,
  ],
  ['weight-without-mold', () => 'must say a weight that gives pieces, where the plan has no mold.'],
  ['another-mold', (id) => `names the mold “${id}”, which is not the one in this file.`],
  ['materials-twice', () => 'holds two materials with the same id.'],
  ['no-such-base', (id) => `“${id}” is not a base among the materials of this file.`],
  ['no-such-made-piece', (id) => `“${id}” is not among the made pieces of this file.`],
  ['no-such-piece', (id) => `“${id}” is neither scrap nor a bought piece among the materials of this file.`],
  ['no-such-scrap', (id) => `“${id}” is not scrap among the materials of this file.`],
  ['no-such-packaging', (id) => `“${id}” is no packaging among the materials of this file.`],
  ['no-such-dose', (id) => `“${id}” is not a material that can be dosed among those of this file.`],
  ['no-such-dispersant', (id) => `“${id}” is not a dispersant among the materials of this file.`],
  ['blend-member-unknown', () => 'is not among the materials of this file.'],
  ['blend-member-not-a-fragrance', () => 'is not a fragrance, and a blend is of fragrances.'],
  [
    'blend-member-nested-too-deep',
    () => 'is a blend of blends. A blend may hold blends of fragrances, no deeper.',
  ],
]);
