import type Database from 'better-sqlite3';
import type { EntryOwner, StockEntry } from '../core/stock/stock';

interface EntryRow {
  id: string;
  lot_id: string;
  at: string;
  kind: StockEntry['kind'];
  change: number;
  owner_kind: EntryOwner['kind'] | null;
  owner_id: string | null;
  task_id: string | null;
  stands_at: string | null;
  paid: string | null;
  note: string;
}

const ENTRY =
  'SELECT id, lot_id, at, kind, change, owner_kind, owner_id, task_id, stands_at, paid, note FROM stock_entries';

/** The entries that explain what is left of a lot. They are only ever added to. */
export function entryTable(db: Database.Database) {
  const addEntry = db.prepare<Record<string, string | number | null>>(
    `INSERT INTO stock_entries (id, lot_id, at, kind, change, owner_kind, owner_id, task_id, stands_at, paid, note)
     VALUES (@id, @lotId, @at, @kind, @change, @ownerKind, @ownerId, @taskId, @standsAt, @paid, @note)`,
  );
  const entriesOfLot = db.prepare<[string], EntryRow>(`${ENTRY} WHERE lot_id = ? ORDER BY place`);
  const entriesOf = db.prepare<[string, string], EntryRow>(
    `${ENTRY} WHERE owner_kind = ? AND owner_id = ? ORDER BY place`,
  );
  const lotsOfPurchase = db.prepare<[string], { lot_id: string }>(
    `SELECT lot_id FROM stock_entries WHERE owner_kind = 'purchase' AND owner_id = ? AND kind = 'bought' ORDER BY place`,
  );
  const takenByRun = db.prepare<[string], { item_id: string; taken: number }>(
    `SELECT lots.item_id, -sum(e.change) AS taken FROM stock_entries e JOIN lots ON lots.id = e.lot_id
     WHERE e.owner_kind = 'run' AND e.owner_id = ? AND e.kind IN ('used', 'returned') GROUP BY lots.item_id`,
  );
  const places = db.prepare<[], { name: string }>(
    'SELECT DISTINCT stands_at AS name FROM stock_entries WHERE stands_at IS NOT NULL ORDER BY stands_at',
  );
  const packed = db
    .prepare<[string], number>(
      "SELECT coalesce(sum(change), 0) FROM stock_entries WHERE lot_id = ? AND kind = 'made'",
    )
    .pluck();
  const packsThere = db.prepare<
    [],
    { product_id: string; lot_id: string; stands_at: string | null; packs: number }
  >(
    `SELECT lots.item_id AS product_id, e.lot_id, e.stands_at, sum(e.change) AS packs
     FROM lots JOIN stock_entries e ON e.lot_id = lots.id
     WHERE lots.item_kind = 'product' GROUP BY e.lot_id, e.stands_at HAVING packs <> 0`,
  );
  const everyEntry = db.prepare<[], EntryRow>(`${ENTRY} ORDER BY place`);
  const entryById = db.prepare<[string], EntryRow>(`${ENTRY} WHERE id = ?`);
  const entry = (row: EntryRow): StockEntry => ({
    id: row.id,
    lotId: row.lot_id,
    at: row.at,
    kind: row.kind,
    change: row.change,
    owner:
      row.owner_kind === null || row.owner_id === null
        ? null
        : {
            kind: row.owner_kind,
            id: row.owner_id,
            ...(row.task_id === null ? {} : { taskId: row.task_id }),
          },
    ...(row.stands_at === null ? {} : { standsAt: row.stands_at }),
    ...(row.paid === null ? {} : { paid: row.paid }),
    note: row.note,
  });
  return {
    addEntry({ owner, standsAt, paid, ...entry }: StockEntry): void {
      addEntry.run({
        ...entry,
        ownerKind: owner?.kind ?? null,
        ownerId: owner?.id ?? null,
        taskId: owner?.taskId ?? null,
        standsAt: standsAt ?? null,
        paid: paid ?? null,
      });
    },
    entry(id: string): StockEntry | undefined {
      const row = entryById.get(id);
      return row && entry(row);
    },
    entriesOfLot: (lotId: string): StockEntry[] => entriesOfLot.all(lotId).map(entry),
    /** All of them, in the order they were made. */
    everyEntry: (): StockEntry[] => everyEntry.all().map(entry),
    entriesOfRun: (runId: string): StockEntry[] => entriesOf.all('run', runId).map(entry),
    /** How many packs of a lot were made, without what was taken back. */
    packsMade: (lotId: string): number => packed.get(lotId) ?? 0,
    /** Packs of finished goods that are there, and where. */
    packsThere: () =>
      packsThere.all().map(({ product_id, lot_id, stands_at, packs }) => ({
        ...{ productId: product_id, lotId: lot_id, change: packs },
        ...(stands_at === null ? {} : { standsAt: stands_at }),
      })),
    /** Where finished goods stand or stood, besides the workshop itself. */
    places: (): string[] => places.all().map(({ name }) => name),
    /** Those that belong to something. */
    entriesOf: ({ kind, id }: Pick<EntryOwner, 'kind' | 'id'>): StockEntry[] =>
      entriesOf.all(kind, id).map(entry),
    /** Ids of the lots that came of a purchase, in that order. */
    idsOfPurchase: (purchaseId: string): string[] =>
      lotsOfPurchase.all(purchaseId).map(({ lot_id }) => lot_id),
    /** What a run has taken of each material, what it gave back taken off. */
    takenByRun: (runId: string): ReadonlyMap<string, number> =>
      new Map(takenByRun.all(runId).map(({ item_id, taken }) => [item_id, taken])),
  };
}
