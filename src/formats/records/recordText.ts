import { fail, ok, type Result } from '../../core/result';
import type { z } from '../../core/zod';
import { explainIssue } from '../../words/en/explainIssue';
import type { FieldWords } from '../../words/en/records/fieldWords';
import type { FieldText, TextContext } from './fieldText';

/** A record as text, key by key. */
export type RecordTexts = Record<string, string>;

/** One field of a record: its key, what it is called, and how it is written and read as text. */
export interface RecordField extends FieldWords {
  key: string;
  // biome-ignore lint/suspicious/noExplicitAny: each field has its own type of value, and the record's schema checks it
  text: FieldText<any>;
  /** What stands for an empty text: the first choice, or nothing known. */
  first: string;
}

/** A field whose text can't be read, with the sentence that says why. */
export interface TextFault {
  key: string;
  reason: string;
}

/** Fields with what each is called. One without words does not compile. */
export function worded<Key extends string, Field extends { key: Key }>(
  fields: readonly Field[],
  words: Readonly<Record<Key, FieldWords>>,
): (Field & FieldWords)[] {
  return fields.map((field) => ({ ...field, ...words[field.key] }));
}

export function writeTexts(
  fields: readonly RecordField[],
  record: Readonly<Record<string, unknown>>,
  context: TextContext,
): RecordTexts {
  return Object.fromEntries(fields.map(({ key, text }) => [key, text.write(record[key], context)]));
}

/**
 * The record that texts say, checked by its schema. A key that is missing or empty has its first choice.
 *
 * @param given what the record holds besides its fields
 * @returns the record, or every field that can't be read
 */
export function readTexts<Schema extends z.ZodType>(
  fields: readonly RecordField[],
  schema: Schema,
  given: Record<string, unknown>,
  texts: RecordTexts,
  context: TextContext,
): Result<z.infer<Schema>, TextFault[]> {
  const record = { ...given };
  const faults: TextFault[] = [];
  for (const { key, text, first } of fields) {
    const typed = texts[key] ?? '';
    const read = text.read(typed.trim() === '' ? first : typed, context);
    if (read.success) record[key] = read.data;
    else faults.push({ key, reason: read.error });
  }
  if (faults.length > 0) return fail(faults);
  const checked = schema.safeParse(record, { reportInput: true });
  if (checked.success) return ok(checked.data);
  return fail(
    checked.error.issues.map((issue) => ({
      key: String(issue.path[0] ?? ''),
      reason: `${explainIssue(issue)}.`,
    })),
  );
}
