// `npm run restore -- FILE [--data FOLDER] [--yes]`: looks into a copy, asks, and puts it in the workshop's place.
import { existsSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { bringBack } from '../src/db/copies/bringBack';
import { COPIES_FOLDER } from '../src/db/copies/copyFolder';
import { FolderInUseError, lockFolder } from '../src/db/dataFolder.mjs';
import { makeFolder } from '../src/db/makeFolder';
import { Problem } from '../src/server/problem';
import { lookInto } from '../src/server/wholeWorkshop';
import { stopWith } from './setup.mjs';

const { values, positionals } = parseArgs({
  options: { data: { type: 'string', default: 'data/workshop' }, yes: { type: 'boolean', default: false } },
  allowPositionals: true,
});
const [file] = positionals;
if (file === undefined || positionals.length > 1)
  stopWith('Say which copy to bring back: npm run restore -- FILE [--data FOLDER].');
if (!existsSync(file)) stopWith(`There is no file ${file}.`);
const folder = resolve(values.data);
makeFolder(folder);

try {
  const letGo = lockFolder(folder);
  const { path, at, holds } = await lookInto(folder, file, crypto.randomUUID());
  console.log(
    `${file} holds ${holds.plans} plans, ${holds.molds} molds, ${holds.materials} materials and ${holds.runs} runs, last changed ${holds.changedAt ?? 'never'}${at === null ? '' : `, copied ${at}`}.`,
  );
  if (values.yes || (await isAgreed())) {
    const kept = bringBack(folder, path, new Date().toISOString());
    console.log(
      `It is the workshop in ${folder} now.${kept === null ? '' : ` What was there is kept as ${join(folder, COPIES_FOLDER, kept)}.`}`,
    );
  } else {
    rmSync(path, { force: true });
    console.log('Nothing was changed.');
  }
  letGo();
} catch (error) {
  if (error instanceof FolderInUseError)
    stopWith(`${error.message} A copy is brought back while it is closed.`);
  stopWith(error instanceof Problem ? error.detail : String(error));
}

async function isAgreed(): Promise<boolean> {
  const asked = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await asked.question('Bring it back in place of what is there now? (yes/no) ');
  asked.close();
  return /^y(es)?$/i.test(answer.trim());
}
