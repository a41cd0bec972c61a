import type { CsvContent, CsvMapping, CsvRow, ShelfNow } from '../formats/shelfCsv';

/** What the page asks of the CSV worker. */
export type CsvRequest =
  | { ask: 'read'; bytes: Uint8Array; of: CsvContent }
  | { ask: 'judge'; mapping: CsvMapping; of: CsvContent; shelf: ShelfNow };

/** What the worker answers. */
export type CsvAnswer =
  | { is: 'fault'; reason: string }
  | { is: 'read'; header: string[]; sample: string[][]; rowCount: number; mapping: CsvMapping }
  | { is: 'progress'; done: number; of: number }
  | { is: 'judged'; rows: CsvRow[] };
