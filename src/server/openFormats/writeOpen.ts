import { createWriteStream } from 'node:fs';
import { dirname } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { openDatabase } from '../../db/connection';
import { addFilesTo } from '../../db/copies/oneFile';
import { whatItHolds } from '../../db/copies/whatItHolds';
import {
  JSON_COLUMNS,
  OPEN_FORMAT,
  OPEN_README,
  OPEN_ROWS,
  OPEN_TABLES,
  OPEN_VERSION,
  type OpenTable,
  openFileName,
  openJsonSchema,
  UNREADABLE_FILE,
} from '../../formats/openFormats';
import { tablesOf, type Workshop } from '../openWorkshop';
import { csvFiles } from './csvFiles';
import { openRow, type Row } from './upcast';

/**
 * Writes a workshop in open formats.
 *
 * @param path of a copy of its database, which is brought up to today's step
 * @param to where the zip is put
 * @param at when it is made, ISO 8601
 * @param folder of the workshop, where its photographs and documents are
 */
export async function writeOpen(path: string, to: string, at: string, folder = dirname(path)): Promise<void> {
  const db = openDatabase(path, false);
  try {
    const open = tablesOf(db, null);
    const zip = new ZipFile();
    const about = { format: OPEN_FORMAT, version: OPEN_VERSION, at, holds: whatItHolds(path) };
    zip.addBuffer(Buffer.from(`${JSON.stringify(about, null, 2)}\n`), 'about.json');
    zip.addBuffer(Buffer.from(OPEN_README), 'README.txt');
    zip.addBuffer(Buffer.from(`${JSON.stringify(openJsonSchema())}\n`), 'schema.json');
    const unreadable: string[] = [];
    // Each is made when it is written, one after the other.
    for (const table of OPEN_TABLES)
      zip.addReadStreamLazy(`data/${openFileName(table)}`, (done) =>
        done(null, Readable.from(linesOf(open, table, unreadable))),
      );
    for (const { name, text } of csvFiles(open))
      zip.addReadStreamLazy(`csv/${name}`, (done) => done(null, Readable.from(text())));
    zip.addReadStreamLazy(`data/${UNREADABLE_FILE}`, (done) => done(null, Readable.from(unreadable)));
    addFilesTo(zip, folder);
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(to));
  } finally {
    db.close();
  }
}

function* linesOf(open: Workshop, table: OpenTable, unreadable: string[]): Generator<string> {
  const columns = Object.keys(OPEN_ROWS[table].shape);
  // By the keys of the table, so that the same workshop makes the same file.
  const rows = open.db.prepare<[], Row>(`SELECT ${columns.join(', ')} FROM ${table} ORDER BY 1, 2`);
  for (const row of rows.iterate()) {
    const read = openRow(open, table, row);
    if (read.success) yield `${JSON.stringify(read.data)}\n`;
    else unreadable.push(`${JSON.stringify({ table, reason: read.error, row })}\n`);
  }
}

/** A row for the database again: JSON as its text. */
export function databaseRow(row: Record<string, unknown>): Row {
  return Object.fromEntries(
    Object.entries(row).map(([column, value]) => [
      column,
      JSON_COLUMNS.has(column) ? JSON.stringify(value) : (value as string | number | null),
    ]),
  );
}
