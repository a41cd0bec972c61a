import type { CsvStyle } from '../formats/csv';
import { type CsvContent, lotsCsv, materialsCsv, type ShelfNow } from '../formats/shelfCsv';
import { compute } from './compute/threads';
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
 * Takes a CSV file onto the shelf. It is read and judged in a thread; its records come in together.
 *
 * @param goodOnly leave out the rows that can't be read; otherwise one of them stops it all
 * @throws Problem 422 with the fault of the file, or with every row's
 */
export async function importCsv(
  workshop: Workshop,
  of: CsvContent,
  bytes: Uint8Array,
  goodOnly: boolean,
): Promise<Imported & { same: number; left: number }> {
  const judged = await compute('csv', { of, bytes, shelf: shelfNow(workshop) });
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
