import type { CsvStyle } from '../formats/csv';
import { compute } from './compute/threads';
import { type Imported, importShelf, shelfImportSchema } from './importShelf';
import type { Workshop } from './openWorkshop';
import { parseBytes } from './readJson';
import { type CsvImported, type CsvSent, importCsv, type ShelfTable, shelfTable } from './shelfCsv';

/** What is smaller is soon taken: some two hundred records. */
const SMALL_BYTES = 60_000;

/**
 * Records as JSON onto the shelf, all of them or none. What is more than a few is read and written in a thread of its
 * own, so that whoever ticks meanwhile does not wait for all of it.
 *
 * @throws Problem 400, 409, 422, or 503 when it takes too long
 */
export async function takeShelf(workshop: Workshop, bytes: Uint8Array): Promise<Imported> {
  const { folder } = workshop;
  if (folder === null || bytes.length <= SMALL_BYTES)
    return importShelf(workshop, parseBytes(bytes, shelfImportSchema));
  return await compute('takeShelf', { folder, bytes });
}

/**
 * A CSV file onto the shelf, read, judged and written in a thread of its own.
 *
 * @throws Problem 422 with the fault of the file, or with every row's; 503 when it takes too long
 */
export async function takeCsv(workshop: Workshop, sent: CsvSent): Promise<CsvImported> {
  const { folder } = workshop;
  return folder === null ? importCsv(workshop, sent) : await compute('takeCsv', { folder, sent });
}

/**
 * The materials, the lots or what changed the stock as the text of a CSV file.
 *
 * @throws Problem 503 when it takes too long
 */
export async function shelfText(workshop: Workshop, of: ShelfTable, style: CsvStyle): Promise<string> {
  const { folder } = workshop;
  return folder === null
    ? shelfTable(workshop, of, style)
    : await compute('shelfTable', { folder, of, style });
}
