// `npm run backup -- FILE [--data FOLDER]`: the whole workshop as one file, also while a server is using it.
import { createWriteStream, existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { parseArgs } from 'node:util';
import Database from 'better-sqlite3';
import { faultOf } from '../src/db/copies/copyFolder';
import { oneFileOf } from '../src/db/copies/oneFile';
import { DATABASE_FILE } from '../src/db/dataFolder.mjs';
import { writeWhole } from '../src/db/writeWhole';
import { stopWith } from './setup.mjs';

const { values, positionals } = parseArgs({
  options: { data: { type: 'string', default: 'data/workshop' } },
  allowPositionals: true,
});
const [to] = positionals;
if (to === undefined || positionals.length > 1)
  stopWith('Say which file to write: npm run backup -- workshop.zip [--data FOLDER].');
if (existsSync(to)) stopWith(`${to} is there already. Choose another name; nothing was written.`);
const database = join(resolve(values.data), DATABASE_FILE);
if (!existsSync(database)) stopWith(`There is no workshop in ${resolve(values.data)}.`);

const db = new Database(database, { readonly: true });
let fault: string | null = null;
try {
  const check = async (path: string) => faultOf(path, true);
  const { stream, holds } = await oneFileOf(db, `${to}.database.tmp`, new Date().toISOString(), check);
  await writeWhole(to, (part) => pipeline(stream, createWriteStream(part)));
  console.log(
    `${to} holds ${holds.plans} plans, ${holds.molds} molds, ${holds.materials} materials and ${holds.runs} runs.`,
  );
} catch (error) {
  fault = error instanceof Error ? error.message : String(error);
}
db.close();
if (fault !== null) stopWith(`The copy was not made: ${fault}.`);
