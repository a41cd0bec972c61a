import assert from 'node:assert/strict';
import { createWriteStream, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import test from 'node:test';
import Database from 'better-sqlite3';
import { faultOf } from '../../src/db/copies/copyFolder';
import { oneFileOf } from '../../src/db/copies/oneFile';
import { copyFiles, FILES_FOLDER, filesIn, pathOfFile } from '../../src/db/files/fileStore';
import { addDocument, removeDocument } from '../../src/server/files/documents';
import { findFile, keepFile } from '../../src/server/files/keepFile';
import { importPlan } from '../../src/server/importPlan';
import { readOpen } from '../../src/server/openFormats/readOpen';
import { writeOpen } from '../../src/server/openFormats/writeOpen';
import { recordEvent } from '../../src/server/runs';
import { lookInto } from '../../src/server/wholeWorkshop';
import { openWorkshop } from '../../src/server/workshop';
import { jpegWithPlace } from '../support/jpegs';
import { BOX, planFile } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { temporaryFolder } from '../support/server';
import { problemFrom, problemOf } from '../support/workshops';

const pdf = new TextEncoder().encode('%PDF-1.7 a safety sheet');

test('photographs and documents are kept under their hash, go with every copy, and come back whole', async (t) => {
  const folders = [0, 1, 2, 3].map(() => temporaryFolder());
  t.after(() => {
    for (const { remove } of folders) remove();
  });
  const [home, whole, open, second] = folders.map(({ path }) => path) as [string, string, string, string];
  const workshop = openWorkshop(home);
  t.after(() => workshop.db.close());
  const stored = importPlan(workshop, planFile([{}], {}, BOX));
  const run = await makeInWorkshop(workshop, stored.id);
  // The same twice at one time is there once, and nothing of it is left over.
  const twice = await Promise.all([0, 1].map(() => keepFile(workshop, jpegWithPlace())));
  const photo = await keepFile(workshop, jpegWithPlace());
  assert.doesNotMatch((await findFile(workshop, photo.hash)).bytes.toString('latin1'), /GPS/);
  for (const { hash } of twice) assert.equal(hash, photo.hash);
  assert.deepEqual(readdirSync(join(home, FILES_FOLDER)), [photo.hash]);
  const taken = {
    ...{ kind: 'photographed' as const, photoId: 'p1', round: 0, widthPx: 4, heightPx: 3, note: '' },
    hash: photo.hash,
  };
  recordEvent(workshop, run.id, 'e1', taken);
  const unkept = problemFrom(() =>
    recordEvent(workshop, run.id, 'e2', { ...taken, photoId: 'p2', hash: '0'.repeat(64) }),
  );
  assert.deepEqual([unkept.status, /event.hash/.test(JSON.stringify(unkept) + unkept.detail)], [422, true]);
  const sheet = await keepFile(workshop, pdf);
  const document = {
    ...{ id: 'd1', hash: sheet.hash, kind: 'safety-sheet' as const, name: 'sheet.pdf', version: '4' },
    ofDay: '2026-01-05',
  };
  assert.equal(addDocument(workshop, 'base-1', document).length, 1);
  assert.equal(addDocument(workshop, 'base-1', document).length, 1);
  assert.equal(
    problemFrom(() => addDocument(workshop, 'base-1', { ...document, hash: 'f'.repeat(64) })).status,
    422,
  );
  assert.equal(problemFrom(() => addDocument(workshop, 'none', document)).status, 404);
  for (const [bytes, status] of [
    [new TextEncoder().encode('<svg onload="x">'), 415],
    [jpegWithPlace().subarray(0, 9), 415],
    [new Uint8Array(), 415],
    [Buffer.concat([jpegWithPlace(), Buffer.alloc(1_000_000)]), 413],
  ] as const)
    assert.equal((await problemOf(keepFile(workshop, bytes))).status, status);
  assert.deepEqual(filesIn(home).toSorted(), [photo.hash, sheet.hash].toSorted());

  // As one file, and in open formats: each brings back both.
  const zip = join(home, 'copy.zip');
  const { stream } = await oneFileOf(workshop.db, join(home, 'c.tmp'), workshop.now(), async (path) =>
    faultOf(path),
  );
  await pipeline(stream, createWriteStream(zip));
  const id = crypto.randomUUID();
  await lookInto(whole, zip, id);
  const openZip = join(home, 'open.zip');
  const copy = join(home, 'open.sqlite');
  workshop.db.prepare('VACUUM INTO ?').run(copy);
  await writeOpen(copy, openZip, workshop.now());
  await readOpen(openZip, join(open, 'workshop.sqlite'));
  await copyFiles(home, second);
  for (const folder of [whole, open, second])
    assert.deepEqual(filesIn(folder).toSorted(), filesIn(home).toSorted());
  const there = openWorkshop(open);
  assert.deepEqual(there.files.all(), workshop.files.all());
  assert.deepEqual(there.documents.ofMaterial('base-1'), workshop.documents.ofMaterial('base-1'));
  there.db.close();

  // One that is not what its name says is refused with the copy, and not served.
  const text = readFileSync(zip).toString('latin1').replace('a safety sheet', 'another sheet!');
  writeFileSync(join(home, 'changed.zip'), Buffer.from(text, 'latin1'));
  await assert.rejects(
    lookInto(whole, join(home, 'changed.zip'), crypto.randomUUID()),
    /another than it was|not whole/,
  );
  writeFileSync(pathOfFile(home, photo.hash), 'rotten');
  assert.equal((await problemOf(findFile(workshop, photo.hash))).status, 404);

  assert.deepEqual(removeDocument(workshop, 'base-1', 'd1'), []);
  assert.equal(problemFrom(() => removeDocument(workshop, 'base-1', 'd1')).status, 404);
  assert.equal(new Database(copy, { readonly: true }).pragma('integrity_check', { simple: true }), 'ok');
});
