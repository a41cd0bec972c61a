import { type CsvStyle, csvText, readCsv } from '../formats/csv';
import {
  type CsvContent,
  importOf,
  judgeRows,
  lotsCsv,
  materialsCsv,
  type ShelfNow,
  usualMapping,
} from '../formats/shelfCsv';
import { type Imported, importShelf } from './importShelf';
import { Problem } from './problem';
import type { Workshop } from './workshop';

function shelfNow({ materials, lots }: Workshop): ShelfNow {
  return { materials: materials.all(), lots: lots.all() };
}

export function shelfCsv(workshop: Workshop, of: CsvContent, style: CsvStyle): string {
  const shelf = shelfNow(workshop);
  return of === 'materials' ? materialsCsv(shelf.materials, style) : lotsCsv(shelf, style);
}

/**
 * Takes a CSV file onto the shelf.
 *
 * @param goodOnly leave out the rows that can't be read; otherwise one of them stops it all
 * @throws Problem 422 with the fault of the file, or with every row's
 */
export function importCsv(
  workshop: Workshop,
  of: CsvContent,
  bytes: Uint8Array,
  goodOnly: boolean,
): Imported & { same: number; left: number } {
  const text = csvText(bytes);
  if (!text.success) throw new Problem(422, text.error.code, text.error.reason);
  const table = readCsv(text.data);
  if (!table.success) throw new Problem(422, table.error.code, table.error.reason);
  const mapping = usualMapping(of, table.data.header);
  const rows = judgeRows(of, table.data, mapping, shelfNow(workshop), workshop.newId);
  const bad = rows.filter(({ verdict }) => verdict === 'bad');
  if (bad.length > 0 && !goodOnly) {
    throw new Problem(
      422,
      'bad-rows',
      `${bad.length} of ${rows.length} rows can’t be read. Nothing was taken.`,
      {
        errors: bad
          .slice(0, 50)
          .flatMap(({ row, faults }) =>
            faults.map(({ column, reason }) => ({ path: `${row}.${column}`, reason })),
          ),
      },
    );
  }
  const same = rows.filter(({ verdict }) => verdict === 'same').length;
  return { ...importShelf(workshop, importOf(of, rows)), same, left: bad.length };
}
