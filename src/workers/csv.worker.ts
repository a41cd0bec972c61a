import { type CsvTable, csvText, readCsv } from '../formats/csv';
import { judgeRows, usualMapping } from '../formats/shelfCsv';
import { newId } from '../islands/shared/newId';
import type { CsvAnswer, CsvRequest } from './csvProtocol';

/** Reads a CSV file and judges its rows beside the page, so that the page never waits. */
let table: CsvTable | undefined;
const EVERY = 200;

const answer = (message: CsvAnswer) => postMessage(message);

self.onmessage = ({ data }: MessageEvent<CsvRequest>) => {
  if (data.kind === 'read') {
    const text = csvText(data.bytes);
    if (!text.success) return answer({ kind: 'fault', reason: text.error.reason });
    const read = readCsv(text.data);
    if (!read.success) return answer({ kind: 'fault', reason: read.error.reason });
    table = read.data;
    const { header, rows } = table;
    return answer({
      kind: 'read',
      header,
      sample: rows.slice(0, 3),
      rowCount: rows.length,
      mapping: usualMapping(data.of, header),
    });
  }
  if (!table) return;
  const of = table.rows.length;
  const rows = judgeRows(
    data.of,
    table,
    data.mapping,
    data.shelf,
    () => newId(),
    (done) => {
      if (done % EVERY === 0) answer({ kind: 'progress', done, of });
    },
  );
  answer({ kind: 'judged', rows });
};
