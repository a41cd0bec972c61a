import type { CsvContent, CsvMapping, CsvRow, ShelfNow } from '../formats/shelfCsv';

/** What the page asks of the CSV worker. */
export type CsvRequest =
  | { kind: 'read'; bytes: Uint8Array; of: CsvContent }
  | { kind: 'judge'; mapping: CsvMapping; of: CsvContent; shelf: ShelfNow };

/** What the worker answers. */
export type CsvAnswer =
  | { kind: 'fault'; reason: string }
  | { kind: 'read'; header: string[]; sample: string[][]; rowCount: number; mapping: CsvMapping }
  | { kind: 'progress'; done: number; of: number }
  | { kind: 'judged'; rows: CsvRow[] };
