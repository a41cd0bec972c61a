import type Database from 'better-sqlite3';
import { costPerOne, type Lot } from '../core/stock/lot';
import type { LotStock, StockEntry } from '../core/stock/stock';
import type { Stored } from './records';

interface Row {
  record: string;
  revision: number;
}

interface StockRow {
  record: string;
  left: number;
}

interface EntryRow {
  id: string;
  lot_id: string;
  at: string;
  kind: StockEntry['kind'];
  change: number;
  run_id: string | null;
  note: string;
}

const ENTRY = 'SELECT id, lot_id, at, kind, change, run_id, note FROM stock_entries';

/** Lots and the entries that explain their stock. */
export function lotTable(db: Database.Database) {
  const one = db.prepare<[string], Row>('SELECT record, revision FROM lots WHERE id = ?');
  const ofMaterial = db.prepare<[string], Row>(
    `SELECT record, revision FROM lots WHERE material_id = ? ORDER BY record ->> 'boughtOn', id`,
  );
  const all = db.prepare<[], Row>(`SELECT record, revision FROM lots ORDER BY record ->> 'boughtOn', id`);
  const insert = db.prepare<[string, string, string, string]>(
    'INSERT INTO lots (id, material_id, record, revision, changed_at) VALUES (?, ?, ?, 1, ?)',
  );
  const update = db.prepare<[string, string, string, number]>(
    'UPDATE lots SET record = ?, changed_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?',
  );
  const stock = db.prepare<[], StockRow>(
    `SELECT lots.record, coalesce(sum(e.change), 0) AS left
     FROM lots LEFT JOIN stock_entries e ON e.lot_id = lots.id
     GROUP BY lots.id ORDER BY lots.record ->> 'boughtOn', lots.id`,
  );
  const addEntry = db.prepare<[string, string, string, string, number, string | null, string]>(
    'INSERT INTO stock_entries (id, lot_id, at, kind, change, run_id, note) VALUES (?, ?, ?, ?, ?, ?, ?)',
  );
  const entriesOfLot = db.prepare<[string], EntryRow>(`${ENTRY} WHERE lot_id = ? ORDER BY place`);
  const entriesOfRun = db.prepare<[string], EntryRow>(`${ENTRY} WHERE run_id = ? ORDER BY place`);
  const isKnown = db.prepare<[string], { known: number }>(
    'SELECT count(*) AS known FROM stock_entries WHERE id = ?',
  );
  const stored = (row: Row): Stored<Lot> => ({ item: JSON.parse(row.record), revision: row.revision });
  const entry = (row: EntryRow): StockEntry => ({
    id: row.id,
    lotId: row.lot_id,
    at: row.at,
    kind: row.kind,
    change: row.change,
    runId: row.run_id,
    note: row.note,
  });

  return {
    find(id: string): Stored<Lot> | undefined {
      const row = one.get(id);
      return row && stored(row);
    },
    all: (): Stored<Lot>[] => all.all().map(stored),
    /** In the order they were bought. */
    ofMaterial: (materialId: string): Stored<Lot>[] => ofMaterial.all(materialId).map(stored),
    insert(lot: Lot, at: string): void {
      insert.run(lot.id, lot.materialId, JSON.stringify(lot), at);
    },
    /** False when the lot is no longer at `revision`. */
    update(lot: Lot, revision: number, at: string): boolean {
      return update.run(JSON.stringify(lot), at, lot.id, revision).changes === 1;
    },
    /** What is left of every lot, by material, each in the order it was bought. */
    stock(): Map<string, LotStock[]> {
      const byMaterial = new Map<string, LotStock[]>();
      for (const { record, left } of stock.all()) {
        const lot: Lot = JSON.parse(record);
        const { id, materialId, number, bestBefore } = lot;
        const known = byMaterial.get(materialId) ?? [];
        known.push({ id, number, left, bestBefore, costPerOne: costPerOne(lot) });
        byMaterial.set(materialId, known);
      }
      return byMaterial;
    },
    addEntry({ id, lotId, at, kind, change, runId, note }: StockEntry): void {
      addEntry.run(id, lotId, at, kind, change, runId, note);
    },
    hasEntry: (id: string): boolean => isKnown.get(id)?.known === 1,
    entriesOfLot: (lotId: string): StockEntry[] => entriesOfLot.all(lotId).map(entry),
    entriesOfRun: (runId: string): StockEntry[] => entriesOfRun.all(runId).map(entry),
  };
}
