import type Database from 'better-sqlite3';
import { ok } from '../core/result';
import type { StockByMaterial } from '../core/stock/fromShelf';
import { type Lot, lotStock } from '../core/stock/lot';
import { lotSchema } from '../core/stock/lotSchema';
import type { LotStock } from '../core/stock/stock';
import { z } from '../core/zod';
import { keptUntilWritten } from './keptUntilWritten';
import { lotSums } from './lotSums';
import { asKept, type BrokenRecord, broken, itemOf, listReader, readable, recordReader } from './readRecord';
import type { Stored } from './records';
import type { KeptText } from './recordVersions';
import { entryTable } from './stockEntries';
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

const COLUMNS = 'id, record, shape, revision, changed_at';

/** Lots and the entries that explain their stock. */
export function lotTable(db: Database.Database) {
  const one = db.prepare<[string], Row>(`SELECT ${COLUMNS} FROM lots WHERE id = ?`);
  const ofItem = db.prepare<[string, string], Row>(
    `SELECT ${COLUMNS} FROM lots
     WHERE item_kind = ? AND item_id = ? ORDER BY record ->> 'boughtOn', id`,
  );
  const all = db.prepare<[], Row>(`SELECT ${COLUMNS} FROM lots ORDER BY record ->> 'boughtOn', id`);
  const numbered = db.prepare<[string], { id: string }>(
    "SELECT id FROM lots WHERE item_kind = 'material' AND record ->> 'number' = ? ORDER BY id",
  );
  const like = db.prepare<[string, number], { id: string; number: string; item_id: string }>(
    `SELECT id, record ->> 'number' AS number, item_id FROM lots
     WHERE item_kind = 'material' AND instr(folded(record ->> 'number'), ?) > 0 ORDER BY id LIMIT ?`,
  );
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
  const stockOf = db.prepare<[string], StockRow>(
    `SELECT lots.id, lots.record, lots.shape,
       (SELECT coalesce(sum(e.change), 0) FROM stock_entries e WHERE e.lot_id = lots.id) AS left
     FROM lots WHERE lots.item_kind = 'material' AND lots.item_id = ?
     ORDER BY lots.record ->> 'boughtOn', lots.id`,
  );
  const read = ({ id, record, shape, revision }: Row) => {
    const lot = READER.read(id, record, shape);
    return lot.success ? ok<Stored<Lot>>({ item: lot.data, revision }) : lot;
  };
  const stockOfRow = ({ id, record, shape, left }: StockRow): LotStock[] => {
    const lot = READER.read(id, record, shape);
    return lot.success ? [lotStock(lot.data, left)] : [];
  };

  const readRows = listReader(read);
  const reads = keptUntilWritten(db, () => {
    const each = readRows(all.all());
    const items = readable(each);
    const faults = broken(each);
    return { items, broken: faults, withRuns: byRuns(items), brokenPacks: faults.map(packOf) };
  }, ['lots']);
  const sums = lotSums(db);
  const entries = entryTable(db);
  const stockNow = stockOfLots(() => reads().items, sums);

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
    all: (): Stored<Lot>[] => [...reads().items],
    /** Those of materials, without finished goods. */
    ofShelf: (): Stored<Lot>[] => reads().items.filter(({ item }) => item.item.kind === 'material'),
    broken: (): BrokenRecord[] => [...reads().broken],
    /** In the order they were bought, or packed. */
    of: ({ kind, id }: Lot['item']): Stored<Lot>[] => readable(ofItem.all(kind, id).map(read)),
    /** Finished goods with pieces of a run, in the order they were packed. */
    withRun: (runId: string): readonly Stored<Lot>[] => reads().withRuns.get(runId) ?? [],
    /** Pieces of a run that are in packs, also in those whose lot can't be read. */
    piecesPacked(runId: string): number {
      const { withRuns, brokenPacks } = reads();
      const packs = [...(withRuns.get(runId) ?? []).map(({ item }) => item), ...brokenPacks];
      return packs
        .flatMap(({ id, madeOf = [] }) =>
          madeOf.map((part) => (part.runId === runId ? part.pieces * entries.packsMade(id) : 0)),
        )
        .reduce((sum, pieces) => sum + pieces, 0);
    },
    /** Ids of the lots with a number. */
    idsNumbered: (number: string): string[] => numbered.all(number).map(({ id }) => id),
    /** Lots whose number has a text in it, which is folded. */
    numberedLike: (text: string, limit: number) =>
      like.all(text, limit).map(({ id, number, item_id }) => ({ id, number, materialId: item_id })),
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
    /** What is left of the lots of one material, in the order they were bought. */
    stockOf: (materialId: string): LotStock[] => stockOf.all(materialId).flatMap(stockOfRow),
    ...entries,
  };
}

const packSchema = z.object({ madeOf: lotSchema.shape.madeOf });

/** What a lot that can't be read is made of, as far as it says so. */
function packOf({ id, text }: BrokenRecord): Pick<Lot, 'id' | 'madeOf'> {
  try {
    return { id, madeOf: packSchema.parse(JSON.parse(text)).madeOf };
  } catch {
    return { id };
  }
}

/** Finished goods by the runs that they have pieces of. */
function byRuns(lots: readonly Stored<Lot>[]): ReadonlyMap<string, readonly Stored<Lot>[]> {
  const byRun = new Map<string, Stored<Lot>[]>();
  for (const stored of lots)
    for (const { runId } of stored.item.madeOf ?? []) {
      const ofRun = byRun.get(runId);
      if (!ofRun) byRun.set(runId, [stored]);
      else if (ofRun.at(-1) !== stored) ofRun.push(stored);
    }
  return byRun;
}

/**
 * What is left of every lot of the shelf, by material. What stands as it stood is the same object, so that what goes by it
 * can tell at a glance that nothing changed.
 */
function stockOfLots(
  lotsNow: () => readonly Stored<Lot>[],
  sumsNow: () => ReadonlyMap<string, number>,
): () => StockByMaterial {
  let last: {
    lots: readonly Stored<Lot>[];
    sums: ReadonlyMap<string, number>;
    stock: StockByMaterial;
  } | null = null;
  let each = new Map<string, { lot: Lot; stock: LotStock }>();
  return () => {
    const [lots, sums] = [lotsNow(), sumsNow()];
    if (last?.lots === lots && last.sums === sums) return last.stock;
    const before = each;
    each = new Map();
    const byMaterial = new Map<string, LotStock[]>();
    for (const { item: lot } of lots) {
      if (lot.item.kind !== 'material') continue;
      const left = sums.get(lot.id) ?? 0;
      const known = before.get(lot.id);
      const stock = known?.lot === lot && known.stock.left === left ? known.stock : lotStock(lot, left);
      each.set(lot.id, { lot, stock });
      const ofMaterial = byMaterial.get(lot.item.id);
      if (ofMaterial) ofMaterial.push(stock);
      else byMaterial.set(lot.item.id, [stock]);
    }
    const stock = asBefore(byMaterial, last?.stock);
    last = { lots, sums, stock };
    return stock;
  };
}

/** The lists that are the same as before, and all of them where none is another. */
function asBefore(now: Map<string, LotStock[]>, before: StockByMaterial | undefined): StockByMaterial {
  if (!before) return now;
  let isOther = before.size !== now.size;
  const same = new Map<string, readonly LotStock[]>(now);
  for (const [id, lots] of now) {
    const were = before.get(id);
    if (were?.length === lots.length && were.every((lot, place) => lot === lots[place])) same.set(id, were);
    else isOther = true;
  }
  return isOther ? same : before;
}
