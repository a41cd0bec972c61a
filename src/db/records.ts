import type Database from 'better-sqlite3';

/** A record of the shelf or the mold book, with the count of its saves. */
export interface Stored<Item> {
  item: Item;
  revision: number;
}

interface Row {
  record: string;
  revision: number;
}

/** The tables `materials` and `molds` have the same columns, so they share their statements. */
export function recordTable<Item extends { id: string; name: string }>(
  db: Database.Database,
  table: 'materials' | 'molds',
) {
  const all = db.prepare<[], Row>(
    `SELECT record, revision FROM ${table} ORDER BY record ->> 'name' COLLATE NOCASE, id`,
  );
  const one = db.prepare<[string], Row>(`SELECT record, revision FROM ${table} WHERE id = ?`);
  const insert = db.prepare<[string, string, string]>(
    `INSERT INTO ${table} (id, record, revision, changed_at) VALUES (?, ?, 1, ?)`,
  );
  const update = db.prepare<[string, string, string, number]>(
    `UPDATE ${table} SET record = ?, changed_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?`,
  );
  const remove = db.prepare<[string]>(`DELETE FROM ${table} WHERE id = ?`);
  const stored = (row: Row): Stored<Item> => ({ item: JSON.parse(row.record), revision: row.revision });

  return {
    all: (): Stored<Item>[] => all.all().map(stored),
    find(id: string): Stored<Item> | undefined {
      const row = one.get(id);
      return row && stored(row);
    },
    insert(item: Item, at: string): void {
      insert.run(item.id, JSON.stringify(item), at);
    },
    remove(id: string): void {
      remove.run(id);
    },
    /** False when the record is no longer at `revision`. */
    update(item: Item, revision: number, at: string): boolean {
      return update.run(JSON.stringify(item), at, item.id, revision).changes === 1;
    },
  };
}

export type RecordTable<Item extends { id: string; name: string }> = ReturnType<typeof recordTable<Item>>;
