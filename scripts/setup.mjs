import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { compressFiles } from './compressFiles.mjs';
import { filesBelow } from './files.mjs';

export const projectFolder = dirname(dirname(fileURLToPath(import.meta.url)));
const require = createRequire(import.meta.url);

/**
 * Ends the process with one sentence for a person.
 *
 * @param {string} sentence
 * @returns {never}
 */
export function stopWith(sentence) {
  console.error(sentence);
  process.exit(1);
}

/**
 * Why this Node.js is too old, or null when it is not.
 *
 * @param {string} version
 */
export function nodeFault(version) {
  const [major = 0, minor = 0] = version.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 10)) return null;
  return `Idle Tallow needs Node.js 20.10 or newer, and this is ${version}. Install a newer one and run this again.`;
}

export function checkNode() {
  const fault = nodeFault(process.versions.node);
  if (fault) stopWith(fault);
}

/** Installs exactly what the lock file names, when it is not there yet. */
export function ensureInstalled() {
  const lock = hashOf([join(projectFolder, 'package-lock.json')]);
  const mark = join(projectFolder, 'node_modules', '.installed-from');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock && databaseLoads()) return;
  console.log('Installing what Idle Tallow is built from. The first time takes a few minutes …');
  const env = {
    ...process.env,
    // Node's own headers where the system ships them, so that nothing more is fetched to compile.
    ...(existsSync('/usr/include/node/node.h') ? { npm_config_nodedir: '/usr' } : {}),
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
  };
  const done = run(npmCommand, ['ci', '--include=dev', '--loglevel=error'], { env });
  if (done.status !== 0) stopWith(whyNotInstalled(done.stderr));
  if (!databaseLoads()) stopWith(whyNotInstalled('better-sqlite3'));
  writeFileSync(mark, lock);
}

/** Here and not in a process of its own: it is needed next, and every start waits for it. */
function databaseLoads() {
  try {
    const Database = require('better-sqlite3');
    new Database(':memory:').close();
    return true;
  } catch {
    return false;
  }
}

/**
 * Why the installation failed, and what to do.
 *
 * @param {string} output what npm said
 * @param {(tool: string) => boolean} [isThere] whether a program can be run
 */
export function whyNotInstalled(output, isThere = canRun) {
  const missing = ['make', 'g++', 'python3'].filter((tool) => !isThere(tool));
  if (missing.length > 0 && /better-sqlite3|gyp/i.test(output)) {
    return `The database has to be compiled here, and ${missing.join(' and ')} ${missing.length > 1 ? 'are' : 'is'} missing. On Debian: apt-get install build-essential python3. Then run this again.`;
  }
  const last = output.trim().split('\n').slice(-3).join(' ');
  return `npm ci did not finish. Look at its words, mend it, and run this again: ${last}`;
}

/** @param {string} tool */
function canRun(tool) {
  return spawnSync(tool, ['--version'], { stdio: 'ignore' }).error === undefined;
}

/** Builds when the sources are not the ones the last build was made from. */
export function ensureBuilt() {
  const sources = [
    ...['package-lock.json', 'astro.config.mjs', 'tsconfig.json'].map((name) => join(projectFolder, name)),
    ...filesBelow([join(projectFolder, 'src'), join(projectFolder, 'public')], ''),
  ];
  const stamp = hashOf(sources);
  const mark = join(projectFolder, 'dist', '.built-from');
  const isBuilt = () => existsSync(mark) && readFileSync(mark, 'utf8') === stamp;
  if (isBuilt()) return;
  oneAtATime(() => {
    // Another start may have built it meanwhile.
    if (!isBuilt()) build(mark, stamp);
  });
}

const LONGEST_BUILD_MS = 600_000;

/**
 * Two builds into one folder leave a mixture that does not start. The second waits for the first, on a lock that the
 * system lets go of when its process ends, however it ends.
 *
 * @param {() => void} work
 */
function oneAtATime(work) {
  const Database = require('better-sqlite3');
  const lock = new Database(join(projectFolder, 'node_modules', '.building'), { timeout: LONGEST_BUILD_MS });
  try {
    lock.exec('BEGIN EXCLUSIVE');
    work();
  } finally {
    lock.close();
  }
}

/**
 * @param {string} mark the file that says what was built
 * @param {string} stamp
 */
function build(mark, stamp) {
  console.log('Building the pages …');
  const astro = join(dirname(require.resolve('astro/package.json')), 'astro.js');
  const done = run(process.execPath, [astro, 'build', '--silent'], {
    env: {
      ...process.env,
      ASTRO_TELEMETRY_DISABLED: '1',
      ASTRO_DISABLE_UPDATE_CHECK: 'true',
      NODE_ENV: 'production',
    },
  });
  if (done.status !== 0) stopWith(`The build failed. Its words: ${done.stderr.trim() || done.stdout.trim()}`);
  compressFiles(join(projectFolder, 'dist', 'client'));
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, stamp);
}

const npmCommand = process.platform === 'win32' ? 'npm.cmd' : 'npm';

/**
 * @param {string} command
 * @param {string[]} words
 * @param {{ env?: NodeJS.ProcessEnv }} [options]
 */
function run(command, words, { env = process.env } = {}) {
  const done = spawnSync(command, words, { cwd: projectFolder, env, encoding: 'utf8', maxBuffer: 1e8 });
  return {
    status: done.status,
    stdout: done.stdout ?? '',
    stderr: `${done.stderr ?? ''}${done.error?.message ?? ''}`,
  };
}

/** @param {string[]} paths */
function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths)
    hash.update(path.slice(projectFolder.length)).update('\0').update(readFileSync(path)).update('\0');
  return hash.digest('hex');
}
