import { fail, ok, type Result } from '../core/result';
import type { z } from '../core/zod';
import { explainIssue } from '../words/en/explainIssue';

/** Brings a record up by one shape. What it is given has passed no schema. */
export type Upcaster = (record: unknown) => unknown;

/** A record that can't be read: what is wrong with it, in one sentence, and its text as it is kept. */
export interface BrokenRecord {
  id: string;
  reason: string;
  text: string;
}

/** Reads what is kept as text: brought up from its shape, then judged by its schema. */
export interface RecordReader<Item> {
  /** The shape that is written today. */
  shape: number;
  read(id: string, text: string, shape: number): Result<Item, BrokenRecord>;
  /** Whether this text is kept as it was read. */
  has(id: string, text: string, shape: number): boolean;
  /** Keeps what was read of a text elsewhere. */
  keep(id: string, text: string, shape: number, item: Item): void;
}

/** A page of a list, and how many there are in all. */
export interface Page<Item> {
  items: Item[];
  broken: BrokenRecord[];
  total: number;
}

/** A record as it can be read, or not, with the count and the moment of its last save. */
export interface AsKept<Item> {
  revision: number;
  changedAt: string;
  read: Result<Item, BrokenRecord>;
}

/** A row of a record, also where it can't be read. */
export function asKept<Item>(
  reader: RecordReader<Item>,
  id: string,
  row: { record: string; shape: number; revision: number; changed_at: string } | undefined,
): AsKept<Item> | undefined {
  if (!row) return undefined;
  return {
    revision: row.revision,
    changedAt: row.changed_at,
    read: reader.read(id, row.record, row.shape),
  };
}

/** A record that is asked for by its id and can't be read. */
export class BrokenRecordError extends Error {
  constructor(readonly broken: BrokenRecord) {
    super(`The record “${broken.id}” can’t be read: ${broken.reason}.`);
    this.name = 'BrokenRecordError';
  }
}

/** So many records are kept as they were read; their texts tell whether they still are. */
const MOST_CACHED = 20_000;

/** Characters from which on a text is long. */
const LONG = 1000;

/**
 * @param upcasters the first brings a record of shape 1 to shape 2, and so on
 * @param mostCharacters that are kept as they were read, of all records together: for long ones that no list reads whole
 */
export function recordReader<Item>(
  schema: z.ZodType<Item>,
  upcasters: readonly Upcaster[] = [],
  mostCharacters = Number.POSITIVE_INFINITY,
): RecordReader<Item> {
  const cache = new Map<string, { text: string; item: Item }>();
  let characters = 0;
  const newest = upcasters.length + 1;
  // A long text is found by its id and compared: to look it up by itself would be to read all of it.
  const keyOf = (id: string, text: string, shape: number) =>
    text.length < LONG ? `${shape} ${text}` : `${id} ${shape} ${text.length}`;
  const keptOf = (id: string, text: string, shape: number) => {
    const known = cache.get(keyOf(id, text, shape));
    return known?.text === text ? known : undefined;
  };
  function keep(id: string, text: string, shape: number, item: Item): void {
    characters += text.length;
    if (cache.size >= MOST_CACHED || characters > mostCharacters) {
      cache.clear();
      characters = text.length;
    }
    cache.set(keyOf(id, text, shape), { text, item });
  }
  return {
    shape: newest,
    has: (id, text, shape) => keptOf(id, text, shape) !== undefined,
    keep,
    read(id, text, shape) {
      const known = keptOf(id, text, shape);
      if (known) return ok(known.item);
      if (shape > newest)
        return fail({ id, text, reason: `it was written by a newer version, in shape ${shape}` });
      let record: unknown;
      try {
        record = upcasters
          .slice(shape - 1)
          .reduce((older, upcast) => upcast(older), JSON.parse(text) as unknown);
      } catch {
        return fail({ id, text, reason: 'it is not whole' });
      }
      const read = schema.safeParse(record, { reportInput: true });
      if (!read.success) {
        const [issue] = read.error.issues;
        return fail({
          id,
          text,
          reason: issue ? `${issue.path.map(String).join('.')} ${explainIssue(issue)}` : 'it does not fit',
        });
      }
      keep(id, text, shape, read.data);
      return ok(read.data);
    },
  };
}

/** The item, or the reason thrown. */
export function itemOf<Item>(read: Result<Item, BrokenRecord>): Item {
  if (!read.success) throw new BrokenRecordError(read.error);
  return read.data;
}

/** The items that can be read. */
export function readable<Item>(reads: readonly Result<Item, BrokenRecord>[]): Item[] {
  return reads.flatMap((read) => (read.success ? [read.data] : []));
}

/** Those that can't. */
export function broken<Item>(reads: readonly Result<Item, BrokenRecord>[]): BrokenRecord[] {
  return reads.flatMap((read) => (read.success ? [] : [read.error]));
}
