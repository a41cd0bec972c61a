import Papa from 'papaparse';
import { fail, ok, type Result } from '../core/result';

/** How a file is written: the mark between cells and the mark of decimals. */
export interface CsvStyle {
  delimiter: ',' | ';';
  decimal: '.' | ',';
}

export interface CsvTable extends CsvStyle {
  header: string[];
  rows: string[][];
}

export const CSV_LIMITS = { bytes: 20_000_000, rows: 20_000, columns: 200, cell: 20_000 } as const;

/** One sentence on what is wrong with a file as a whole, and how to mend it. */
export interface CsvFault {
  code:
    | 'too-large'
    | 'not-text'
    | 'empty'
    | 'broken-quotes'
    | 'too-many-columns'
    | 'too-many-rows'
    | 'double-header'
    | 'cell-too-long';
  reason: string;
}

/** Text of a file's bytes, or why it is none. A byte order mark is taken off. */
export function csvText(bytes: Uint8Array): Result<string, CsvFault> {
  if (bytes.byteLength > CSV_LIMITS.bytes) {
    return fail({
      code: 'too-large',
      reason: `The file is over ${CSV_LIMITS.bytes / 1e6} MB. Split it and bring the parts in one after the other.`,
    });
  }
  const notText: CsvFault = {
    code: 'not-text',
    reason: 'This is not a text file. Save the table as CSV in UTF-8, and choose that file.',
  };
  // A spreadsheet or an archive begins so whatever it is called, and text has no NUL.
  if ((bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] ?? 99) < 9) || bytes.includes(0))
    return fail(notText);
  try {
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return fail(notText);
  }
}

/**
 * Reads a table. RFC 4180, Common Format and MIME Type for CSV Files; also with semicolons, as spreadsheets write it
 * where the comma is the decimal mark. Never throws.
 */
export function readCsv(text: string): Result<CsvTable, CsvFault> {
  const plain = text.replace(/^\uFEFF/, '');
  const firstLine = plain.slice(0, plain.search(/[\r\n]|$/));
  const delimiter = count(firstLine, ';') > count(firstLine, ',') ? ';' : ',';
  const tooMuch = overLimits(plain, delimiter);
  if (tooMuch) return fail(tooMuch);
  const { data, errors } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: 'greedy' });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) {
    return fail({
      code: 'broken-quotes',
      reason: `A quotation mark is not closed, from row ${(quotes.row ?? 0) + 1} on. Nothing was read.`,
    });
  }
  const [header = [], ...rows] = data.map((row) => row.map(fromSpreadsheet));
  if (header.length === 0 || rows.length === 0)
    return fail({ code: 'empty', reason: 'The file needs a line of headings and a row below it.' });
  const names = header.map((name) => name.trim().toLowerCase());
  const twice = names.find((name, index) => name !== '' && names.indexOf(name) < index);
  if (twice !== undefined) {
    return fail({
      code: 'double-header',
      reason: `Two columns are called “${twice.slice(0, 40)}”. Take one out, so that it is clear which one counts.`,
    });
  }
  const long = rows.findIndex((row) => row.some((cell) => cell.length > CSV_LIMITS.cell));
  if (long >= 0)
    return fail({
      code: 'cell-too-long',
      reason: `Row ${long + 2} has a cell that is longer than any field.`,
    });
  return ok({ header, rows, delimiter, decimal: decimalOf(rows, delimiter) });
}

/**
 * Whether a text has more cells in a row or more rows than are read. It is counted before anything is made of it: twenty
 * million commas would be as many cells.
 */
function overLimits(text: string, delimiter: string): CsvFault | null {
  let cells = 1;
  /** Lines with something on them, the heading among them. */
  let rows = 0;
  let isBlank = true;
  let isQuoted = false;
  let isCellStart = true;
  for (let at = 0; at < text.length; at++) {
    const mark = text[at];
    if (isQuoted) {
      if (mark === '"') {
        // Doubled, it belongs to the cell.
        if (text[at + 1] === '"') at++;
        else isQuoted = false;
      }
      continue;
    }
    const isEnd = mark === '\n' || mark === '\r';
    if (isBlank && !isEnd && mark !== ' ' && mark !== '\t') {
      isBlank = false;
      if (++rows > CSV_LIMITS.rows + 1)
        return {
          code: 'too-many-rows',
          reason: `There are more than ${CSV_LIMITS.rows} rows. Split the file.`,
        };
    }
    if (mark === '"' && isCellStart) isQuoted = true;
    isCellStart = mark === delimiter || isEnd;
    if (mark === delimiter && ++cells > CSV_LIMITS.columns)
      return {
        code: 'too-many-columns',
        reason: `Row ${rows} has over ${CSV_LIMITS.columns} columns, more than any record. Is the mark between the cells a comma or a semicolon?`,
      };
    if (isEnd) {
      cells = 1;
      isBlank = true;
    }
  }
  return null;
}

function count(text: string, mark: string): number {
  return text.split(mark).length - 1;
}

/** Semicolons go with decimal commas, unless a figure of the file has a point. */
function decimalOf(rows: string[][], delimiter: CsvStyle['delimiter']): CsvStyle['decimal'] {
  if (delimiter === ',') return '.';
  return rows.some((row) => row.some((cell) => /^\d+\.\d+$/.test(cell.trim()))) ? '.' : ',';
}

export function writeCsv(header: string[], rows: string[][], { delimiter }: CsvStyle): string {
  return `${Papa.unparse(
    { fields: header.map(forSpreadsheet), data: rows.map((row) => row.map(forSpreadsheet)) },
    { delimiter, newline: '\r\n' },
  )}\r\n`;
}

/** A spreadsheet runs a cell that begins so as a formula. */
const FORMULA = /^'*[=+\-@\t\r]/;

/** Makes a cell harmless with a leading apostrophe, which {@link fromSpreadsheet} takes off again. */
function forSpreadsheet(cell: string): string {
  return FORMULA.test(cell) ? `'${cell}` : cell;
}

function fromSpreadsheet(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell;
}
