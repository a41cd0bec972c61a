import type { CsvStyle } from '../formats/csv';
import { judgeCsv } from '../formats/judgeCsv';
import { type CsvContent, lotsCsv, materialsCsv, type ShelfNow } from '../formats/shelfCsv';
import { type Imported, importShelf } from './importShelf';
import { stockText } from './openFormats/csvFiles';
import type { Workshop } from './openWorkshop';
import { Problem } from './problem';

function shelfNow({ materials, lots }: Workshop): ShelfNow {
  return { materials: materials.all(), lots: lots.ofShelf() };
}

export interface CsvSent {
  of: CsvContent;
  bytes: Uint8Array;
  /** Leave out the rows that can't be read; otherwise one of them stops it all. */
  goodOnly: boolean;
}

export interface CsvImported extends Imported {
  same: number;
  left: number;
}

export type ShelfTable = CsvContent | 'stock';

/** The materials, the lots or what changed the stock as the text of a CSV file. */
export function shelfTable(workshop: Workshop, of: ShelfTable, style: CsvStyle): string {
  if (of === 'stock') return stockText(workshop, style);
  const shelf = shelfNow(workshop);
  // A byte order mark tells spreadsheets that this is UTF-8.
  return `\uFEFF${of === 'materials' ? materialsCsv(shelf.materials, style) : lotsCsv(shelf, style)}`;
}

/**
 * Takes a CSV file onto the shelf; its records come in together.
 *
 * @throws Problem 422 with the fault of the file, or with every row's
 */
export function importCsv(workshop: Workshop, { of, bytes, goodOnly }: CsvSent): CsvImported {
  const judged = judgeCsv(of, bytes, shelfNow(workshop));
  if (!judged.success) throw new Problem(422, judged.error.code, judged.error.reason);
  const { taken, same, bad, count } = judged.data;
  if (bad.length > 0 && !goodOnly) {
    throw new Problem(422, 'bad-rows', `${bad.length} of ${count} rows can’t be read. Nothing was taken.`, {
      errors: bad
        .slice(0, 50)
        .flatMap(({ row, faults }) =>
          faults.map(({ column, reason }) => ({ path: `${row}.${column}`, reason })),
        ),
    });
  }
  return { ...importShelf(workshop, taken), same, left: bad.length };
}
