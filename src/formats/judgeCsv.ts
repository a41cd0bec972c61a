import { ok, type Result } from '../core/result';
import { type CsvFault, csvText, readCsv } from './csv';
import { type CsvContent, type CsvRow, importOf, judgeRows, type ShelfNow, usualMapping } from './shelfCsv';

/** A file whose rows were all judged. */
export interface JudgedCsv {
  /** What its good rows bring onto the shelf. */
  taken: ReturnType<typeof importOf>;
  /** Rows that say what the shelf has already. */
  same: number;
  bad: Pick<CsvRow, 'row' | 'faults'>[];
  count: number;
}

/** Reads a file of materials or lots and judges every row of it. Never throws. */
export function judgeCsv(of: CsvContent, bytes: Uint8Array, shelf: ShelfNow): Result<JudgedCsv, CsvFault> {
  const text = csvText(bytes);
  if (!text.success) return text;
  const table = readCsv(text.data);
  if (!table.success) return table;
  const mapping = usualMapping(of, table.data.header);
  const rows = judgeRows(of, table.data, mapping, shelf, () => crypto.randomUUID());
  return ok({
    taken: importOf(of, rows),
    same: rows.filter(({ verdict }) => verdict === 'same').length,
    bad: rows.filter(({ verdict }) => verdict === 'bad').map(({ row, faults }) => ({ row, faults })),
    count: rows.length,
  });
}
