import { dirname } from 'node:path';
import { createInterface } from 'node:readline';
import yauzl from 'yauzl';
import type { z } from '../../core/zod';
import { openDatabase } from '../../db/connection';
import { keepFileOf } from '../../db/copies/oneFile';
import { NoWorkshopError } from '../../db/copies/whatItHolds';
import {
  OPEN_ROWS,
  OPEN_TABLES,
  type OpenTable,
  openFileName,
  UNREADABLE_FILE,
  unreadableSchema,
} from '../../formats/openFormats';
import { explainIssue } from '../../words/en/explainIssue';
import type { Row } from './upcast';
import { databaseRow } from './writeOpen';

/** Of one file of the zip, unpacked: what a zip says of itself may be far less than what comes out of it. */
const LARGEST_FILE = 4_000_000_000;

/**
 * Makes a database of a workshop in open formats.
 *
 * @param path of the zip
 * @param to where the database is put
 * @throws NoWorkshopError with the file and the line that does not fit
 */
export async function readOpen(path: string, to: string): Promise<void> {
  const db = openDatabase(to);
  const zip = await yauzl.openPromise(path, { lazyEntries: true });
  const inserts = new Map<string, (row: Row) => void>();
  /** Its columns come from the schema of its table, or are compared with it. */
  const insert = (table: OpenTable, row: Row) => {
    let run = inserts.get(table);
    if (!run) {
      const columns = Object.keys(OPEN_ROWS[table].shape);
      const statement = db.prepare(
        `INSERT INTO ${table} (${columns.join(', ')}) VALUES (${columns.map((name) => `@${name}`).join(', ')})`,
      );
      run = (values) => void statement.run(values);
      inserts.set(table, run);
    }
    run(row);
  };
  try {
    db.exec('BEGIN IMMEDIATE');
    // What names another may come before it.
    db.pragma('defer_foreign_keys = ON');
    for await (const entry of zip.eachEntry()) {
      const table = OPEN_TABLES.find((each) => entry.fileName === `data/${openFileName(each)}`);
      const isUnreadable = entry.fileName === `data/${UNREADABLE_FILE}`;
      if (!table && !isUnreadable) {
        await keepFileOf(zip, entry, dirname(to));
        continue;
      }
      if (entry.uncompressedSize > LARGEST_FILE) throw new NoWorkshopError(`${entry.fileName} is too large`);
      let number = 0;
      for await (const line of createInterface({ input: await zip.openReadStreamPromise(entry) })) {
        number++;
        const where = `line ${number} of ${entry.fileName}`;
        if (table)
          insert(table, databaseRow(parsed(OPEN_ROWS[table], line, where) as Record<string, unknown>));
        else {
          const { table: of, row } = parsed(unreadableSchema, line, where);
          insert(of, row);
        }
      }
    }
    db.exec('COMMIT');
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.pragma('journal_mode = DELETE');
  } catch (error) {
    if (error instanceof NoWorkshopError) throw error;
    throw new NoWorkshopError(`it does not fit together: ${error instanceof Error ? error.message : error}`);
  } finally {
    db.close();
    zip.close();
  }
}

function parsed<Schema extends z.ZodType>(schema: Schema, line: string, where: string): z.infer<Schema> {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw new NoWorkshopError(`${where} is no JSON`);
  }
  const read = schema.safeParse(value, { reportInput: true });
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new NoWorkshopError(
    `${where}: ${issue ? `${issue.path.map(String).join('.')} ${explainIssue(issue)}` : 'it does not fit'}`,
  );
}
