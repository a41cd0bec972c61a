import { LRUCache } from 'lru-cache';
import { fail, ok, type Result } from '../core/result';
import type { z } from '../core/zod';
import { explainIssue } from '../words/en/explainIssue';
import { KeptAWhile } from './keptAWhile';

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

/** Some ten thousand ordinary materials, or five thousand ordinary plans. */
export const MOST_CHARACTERS = 12_000_000;
/** What a record takes besides its text, in characters. */
const EACH = 500;

/** Characters from which on a text is long. */
const LONG = 1000;

/** @param upcasters the first brings a record of shape 1 to shape 2, and so on */
export function uncachedReader<Item>(
  schema: z.ZodType<Item>,
  upcasters: readonly Upcaster[] = [],
): RecordReader<Item> {
  const newest = upcasters.length + 1;
  return {
    shape: newest,
    read(id, text, shape) {
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
      if (read.success) return ok(read.data);
      const [issue] = read.error.issues;
      return fail({
        id,
        text,
        reason: issue ? `${issue.path.map(String).join('.')} ${explainIssue(issue)}` : 'it does not fit',
      });
    },
  };
}

/**
 * The same, of which each text is judged once for as long as it is kept.
 *
 * @param mostCharacters of the texts that are kept, the last asked for
 * @param isSoonReadAgain what nobody asks for is forgotten with time: not where a whole list is read at once
 */
export function recordReader<Item>(
  schema: z.ZodType<Item>,
  upcasters: readonly Upcaster[] = [],
  mostCharacters = MOST_CHARACTERS,
  isSoonReadAgain = false,
): RecordReader<Item> {
  const within = {
    maxSize: mostCharacters,
    sizeCalculation: ({ text }: { text: string }) => text.length + EACH,
  };
  const cache = isSoonReadAgain
    ? new KeptAWhile<string, { text: string; item: Item }>(within)
    : new LRUCache<string, { text: string; item: Item }>(within);
  const uncached = uncachedReader(schema, upcasters);
  // A long text is found by its id and compared: to look it up by itself would be to read all of it.
  const keyOf = (id: string, text: string, shape: number) =>
    text.length < LONG ? `${shape} ${text}` : `${id} ${shape} ${text.length}`;
  return {
    shape: uncached.shape,
    read(id, text, shape) {
      const key = keyOf(id, text, shape);
      const known = cache.get(key);
      if (known?.text === text) return ok(known.item);
      const read = uncached.read(id, text, shape);
      if (!read.success) return read;
      cache.set(key, { text, item: read.data });
      return read;
    },
  };
}

interface KeptRow {
  id: string;
  record: string;
  shape: number;
  revision: number;
}

/** Reads the rows of a list again and again: one that is as it was is not looked up among all records. */
export function listReader<Row extends KeptRow, Item>(
  read: (row: Row) => Result<Item, BrokenRecord>,
): (rows: readonly Row[]) => Result<Item, BrokenRecord>[] {
  let known = new Map<string, { row: Row; read: Result<Item, BrokenRecord> }>();
  return (rows) => {
    const before = known;
    known = new Map();
    return rows.map((row) => {
      const was = before.get(row.id);
      const each = was && isSameRow(was.row, row) ? was : { row, read: read(row) };
      known.set(row.id, each);
      return each.read;
    });
  };
}

function isSameRow(row: KeptRow, other: KeptRow): boolean {
  return row.record === other.record && row.shape === other.shape && row.revision === other.revision;
}

/** The item, or the reason thrown. */
export function itemOf<Item>(read: Result<Item, BrokenRecord>): Item {
  if (!read.success) throw new BrokenRecordError(read.error);
  return read.data;
}

/** The items that can be read. */
export function readable<Item>(reads: readonly Result<Item, BrokenRecord>[]): Item[] {
  const items: Item[] = [];
  for (const read of reads) if (read.success) items.push(read.data);
  return items;
}

/** Those that can't. */
export function broken<Item>(reads: readonly Result<Item, BrokenRecord>[]): BrokenRecord[] {
  const faults: BrokenRecord[] = [];
  for (const read of reads) if (!read.success) faults.push(read.error);
  return faults;
}

/** A page of what was read. */
export function pageOf<Item>(reads: readonly Result<Item, BrokenRecord>[], total: number): Page<Item> {
  return { items: readable(reads), broken: broken(reads), total };
}
