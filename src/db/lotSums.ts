import type Database from 'better-sqlite3';

interface AddedRow {
  place: number;
  lot_id: string;
  change: number;
}

/** As SQLite sums: what is too small for the sum is kept beside it. */
interface Sum {
  rounded: number;
  rest: number;
}

/**
 * What the entries of each lot come to, another map only where there are more of them: entries are only ever added to,
 * so that those before are summed once. Inside a transaction nothing is kept: what is read there may be taken back.
 */
export function lotSums(db: Database.Database): () => ReadonlyMap<string, number> {
  const added = db.prepare<[number], AddedRow>(
    'SELECT place, lot_id, change FROM stock_entries WHERE place > ? ORDER BY place',
  );
  // What the schema says never changes may change only with it.
  const schema = db.prepare<[], number>('PRAGMA schema_version').pluck();
  const nothing = { schema: -1, place: 0, sums: new Map<string, Sum>(), left: new Map<string, number>() };
  let known = nothing;
  return () => {
    const schemaNow = schema.get() ?? 0;
    const before = known.schema === schemaNow ? known : nothing;
    const rows = added.all(before.place);
    if (rows.length === 0 && before === known) return known.left;
    const now = {
      schema: schemaNow,
      place: rows.at(-1)?.place ?? before.place,
      sums: new Map(before.sums),
      left: new Map(before.left),
    };
    for (const { lot_id, change } of rows) {
      const sum = plus(now.sums.get(lot_id), change);
      now.sums.set(lot_id, sum);
      now.left.set(lot_id, sum.rounded + sum.rest);
    }
    if (!db.inTransaction) known = now;
    return now.left;
  };
}

/** Neumaier, Rundungsfehleranalyse einiger Verfahren zur Summation endlicher Summen, ZAMM 54 (1974). */
function plus({ rounded, rest }: Sum = { rounded: 0, rest: 0 }, change: number): Sum {
  const sum = rounded + change;
  const lost = Math.abs(rounded) > Math.abs(change) ? rounded - sum + change : change - sum + rounded;
  return { rounded: sum, rest: rest + lost };
}
