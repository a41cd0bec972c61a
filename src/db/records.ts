import type Database from 'better-sqlite3';
import { ok } from '../core/result';
import { keptUntilWritten } from './keptUntilWritten';
import {
  asKept,
  type BrokenRecord,
  broken,
  itemOf,
  listReader,
  type RecordReader,
  readable,
} from './readRecord';
import type { KeptText } from './recordVersions';

/** A record with the count of its saves. */
export interface Stored<Item> {
  item: Item;
  revision: number;
}

interface Row {
  id: string;
  record: string;
  shape: number;
  revision: number;
  changed_at: string;
}

/**
 * Tables of records have the same columns, so they share their statements.
 *
 * @param table as it is called in the migrations; never a name from outside
 * @throws RangeError when it is no plain name
 */
export function recordTable<Item extends { id: string; name: string }>(
  db: Database.Database,
  table: string,
  reader: RecordReader<Item>,
) {
  if (!/^[a-z_]+$/.test(table)) throw new RangeError(`no table is called “${table}”`);
  const all = db.prepare<[], Row>(
    `SELECT id, record, shape, revision, changed_at FROM ${table} ORDER BY record ->> 'name' COLLATE NOCASE, id`,
  );
  const one = db.prepare<[string], Row>(
    `SELECT id, record, shape, revision, changed_at FROM ${table} WHERE id = ?`,
  );
  const insert = db.prepare<[string, string, number, number, string]>(
    `INSERT INTO ${table} (id, record, shape, revision, changed_at) VALUES (?, ?, ?, ?, ?)`,
  );
  const update = db.prepare<[string, number, string, string, number]>(
    `UPDATE ${table} SET record = ?, shape = ?, changed_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?`,
  );
  const remove = db.prepare<[string]>(`DELETE FROM ${table} WHERE id = ?`);
  const read = ({ id, record, shape, revision }: Row) => {
    const item = reader.read(id, record, shape);
    return item.success ? ok({ item: item.data, revision }) : item;
  };

  const readRows = listReader(read);
  const reads = keptUntilWritten(db, () => {
    const each = readRows(all.all());
    return { items: readable(each), broken: broken(each) };
  }, [table]);

  return {
    /** Those that can be read, by name. */
    all: (): Stored<Item>[] => [...reads().items],
    /** Those that can't. */
    broken: (): BrokenRecord[] => [...reads().broken],
    /** @throws BrokenRecordError */
    find(id: string): Stored<Item> | undefined {
      const row = one.get(id);
      return row && itemOf(read(row));
    },
    /** The record with an id, also where it can't be read. */
    asKept: (id: string) => asKept(reader, id, one.get(id)),
    /** The shape that is written today. */
    shape: reader.shape,
    /** What a record was before, as it can be read. */
    readVersion: (id: string, { record, shape }: KeptText) => reader.read(id, record, shape),
    /** @param revision from which its saves are counted on, where one of the id was there before */
    insert(item: Item, at: string, revision = 1): void {
      insert.run(item.id, JSON.stringify(item), reader.shape, revision, at);
    },
    /** False when there is none. */
    remove: (id: string): boolean => remove.run(id).changes === 1,
    /** False when the record is no longer at `revision`. */
    update(item: Item, revision: number, at: string): boolean {
      return update.run(JSON.stringify(item), reader.shape, at, item.id, revision).changes === 1;
    },
  };
}

export type RecordTable<Item extends { id: string; name: string }> = ReturnType<typeof recordTable<Item>>;
