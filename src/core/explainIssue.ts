import type { z } from './zod';

type Issue = z.core.$ZodIssue;

/** Says what is wrong with a value and what would be right, without the field's name: “must be at least 1”. */
export function explainIssue(issue: Issue): string {
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
