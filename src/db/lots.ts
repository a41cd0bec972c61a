import type Database from 'better-sqlite3';
import { ok } from '../core/result';
import type { StockByMaterial } from '../core/stock/fromShelf';
import { type Lot, minorPerOne } from '../core/stock/lot';
import { lotSchema } from '../core/stock/lotSchema';
import type { EntryOwner, LotStock, StockEntry } from '../core/stock/stock';
import { keptUntilWritten } from './keptUntilWritten';
import { asKept, type BrokenRecord, broken, itemOf, readable, recordReader } from './readRecord';
import type { Stored } from './records';
import type { KeptText } from './recordVersions';
import { sameWhileEqual } from './sameWhileEqual';
import { lotOfItem } from './upcasters/lot';

const READER = recordReader(lotSchema, [lotOfItem]);

interface Row {
  id: string;
  record: string;
  shape: number;
  revision: number;
  changed_at: string;
}

interface StockRow {
  id: string;
  record: string;
  shape: number;
  left: number;
}

interface EntryRow {
  id: string;
  lot_id: string;
  at: string;
  kind: StockEntry['kind'];
  change: number;
  owner_kind: EntryOwner['kind'] | null;
  owner_id: string | null;
  note: string;
}

const COLUMNS = 'id, record, shape, revision, changed_at';
const ENTRY = 'SELECT id, lot_id, at, kind, change, owner_kind, owner_id, note FROM stock_entries';

/** Lots and the entries that explain their stock. */
export function lotTable(db: Database.Database) {
  const one = db.prepare<[string], Row>(`SELECT ${COLUMNS} FROM lots WHERE id = ?`);
  const ofMaterial = db.prepare<[string], Row>(
    `SELECT ${COLUMNS} FROM lots
     WHERE item_kind = 'material' AND item_id = ? ORDER BY record ->> 'boughtOn', id`,
  );
  const all = db.prepare<[], Row>(`SELECT ${COLUMNS} FROM lots ORDER BY record ->> 'boughtOn', id`);
  const insertItem = db.prepare<[string, string]>(
    'INSERT INTO stock_items (kind, id) VALUES (?, ?) ON CONFLICT DO NOTHING',
  );
  const insert = db.prepare<[string, string, string, string, number, string]>(
    `INSERT INTO lots (id, item_kind, item_id, record, shape, revision, changed_at)
     VALUES (?, ?, ?, ?, ?, 1, ?)`,
  );
  const update = db.prepare<[string, number, string, string, number]>(
    `UPDATE lots SET record = ?, shape = ?, changed_at = ?, revision = revision + 1
     WHERE id = ? AND revision = ?`,
  );
  const stock = db.prepare<[], StockRow>(
    `SELECT lots.id, lots.record, lots.shape, coalesce(sum(e.change), 0) AS left
     FROM lots LEFT JOIN stock_entries e ON e.lot_id = lots.id
     WHERE lots.item_kind = 'material'
     GROUP BY lots.id ORDER BY lots.record ->> 'boughtOn', lots.id`,
  );
  const addEntry = db.prepare<[string, string, string, string, number, string | null, string | null, string]>(
    `INSERT INTO stock_entries (id, lot_id, at, kind, change, owner_kind, owner_id, note)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  const entriesOfLot = db.prepare<[string], EntryRow>(`${ENTRY} WHERE lot_id = ? ORDER BY place`);
  const entriesOfRun = db.prepare<[string], EntryRow>(
    `${ENTRY} WHERE owner_kind = 'run' AND owner_id = ? ORDER BY place`,
  );
  const everyEntry = db.prepare<[], EntryRow>(`${ENTRY} ORDER BY place`);
  const entryById = db.prepare<[string], EntryRow>(`${ENTRY} WHERE id = ?`);
  const read = ({ id, record, shape, revision }: Row) => {
    const lot = READER.read(id, record, shape);
    return lot.success ? ok<Stored<Lot>>({ item: lot.data, revision }) : lot;
  };
  const entry = (row: EntryRow): StockEntry => ({
    id: row.id,
    lotId: row.lot_id,
    at: row.at,
    kind: row.kind,
    change: row.change,
    owner:
      row.owner_kind === null || row.owner_id === null ? null : { kind: row.owner_kind, id: row.owner_id },
    note: row.note,
  });

  const readStock = sameWhileEqual(() => {
    const byMaterial = new Map<string, LotStock[]>();
    for (const { id: lotId, record, shape, left } of stock.all()) {
      const known = READER.read(lotId, record, shape);
      if (!known.success) continue;
      const lot = known.data;
      const { id, item, number, bestBefore } = lot;
      const ofMaterial = byMaterial.get(item.id) ?? [];
      ofMaterial.push({ id, number, left, bestBefore, minorPerOne: minorPerOne(lot) });
      byMaterial.set(item.id, ofMaterial);
    }
    return byMaterial;
  });
  const stockNow = keptUntilWritten(db, readStock);

  return {
    find(id: string): Stored<Lot> | undefined {
      const row = one.get(id);
      return row && itemOf(read(row));
    },
    /** The lot with an id, also where it can't be read. */
    asKept: (id: string) => asKept(READER, id, one.get(id)),
    /** The shape that is written today. */
    shape: READER.shape,
    /** What a lot was before, as it can be read. */
    readVersion: (id: string, { record, shape }: KeptText) => READER.read(id, record, shape),
    /** Those that can be read, in the order they were bought. */
    all: (): Stored<Lot>[] => readable(all.all().map(read)),
    broken: (): BrokenRecord[] => broken(all.all().map(read)),
    /** In the order they were bought. */
    ofMaterial: (materialId: string): Stored<Lot>[] => readable(ofMaterial.all(materialId).map(read)),
    insert(lot: Lot, at: string): void {
      insertItem.run(lot.item.kind, lot.item.id);
      insert.run(lot.id, lot.item.kind, lot.item.id, JSON.stringify(lot), READER.shape, at);
    },
    /** False when the lot is no longer at `revision`. */
    update(lot: Lot, revision: number, at: string): boolean {
      return update.run(JSON.stringify(lot), READER.shape, at, lot.id, revision).changes === 1;
    },
    /** What is left of every lot of the shelf, by material, each in the order it was bought. */
    stock: (): StockByMaterial => stockNow(),
    addEntry({ id, lotId, at, kind, change, owner, note }: StockEntry): void {
      addEntry.run(id, lotId, at, kind, change, owner?.kind ?? null, owner?.id ?? null, note);
    },
    entry(id: string): StockEntry | undefined {
      const row = entryById.get(id);
      return row && entry(row);
    },
    entriesOfLot: (lotId: string): StockEntry[] => entriesOfLot.all(lotId).map(entry),
    /** All of them, in the order they were made. */
    everyEntry: (): StockEntry[] => everyEntry.all().map(entry),
    entriesOfRun: (runId: string): StockEntry[] => entriesOfRun.all(runId).map(entry),
  };
}
