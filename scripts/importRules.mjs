import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { cruise } from 'dependency-cruiser';
import extractTSConfig from 'dependency-cruiser/config-utl/extract-ts-config';
import { filesBelow } from './files.mjs';
import { wordsInCore } from './wordsInCore.mjs';

const rules = createRequire(import.meta.url)('../.dependency-cruiser.cjs');

/** Less than this, and the tool has not really looked. */
const FEWEST_MODULES = 50;

/**
 * Checks the imports below `src` against the rooms of the house.
 *
 * @param {string} projectFolder the folder that holds `src`
 * @param {number} [fewest] how many modules must have been seen
 * @returns {Promise<string[]>} what breaks a rule, each as “rule: from → to”
 */
export async function brokenImports(projectFolder, fewest = FEWEST_MODULES) {
  const { output } = await cruise(
    ['src'],
    { ...rules.options, ruleSet: { forbidden: rules.forbidden }, validate: true, baseDir: projectFolder },
    undefined,
    { tsConfig: extractTSConfig('tsconfig.json') },
  );
  if (typeof output === 'string')
    throw new Error('dependency-cruiser answered text where its result was asked for');
  const seen = output.modules.filter(({ source }) => source.startsWith('src/')).length;
  if (seen < fewest) throw new Error(`only ${seen} modules were seen: the import rules checked nothing`);
  return [
    ...output.summary.violations
      .filter((violation) => !isOwnSchema(violation))
      .map(({ rule, from, to }) => `${rule.name}: ${from} → ${to}`),
    ...astroFilesThatReachTheDatabase(projectFolder),
    ...foldersInACircle(output.modules),
    ...wordsInCore(projectFolder),
  ];
}

/**
 * A file and the schema of what it holds may import each other, types only one way: no other circle is let pass.
 *
 * @param {{ rule: { name: string }, from: string, cycle?: { name: string, dependencyTypes: string[] }[] }} violation
 */
function isOwnSchema({ rule, from, cycle = [] }) {
  const held = (/** @type {string} */ path) => path.replace(/(Schema)?\.ts$/, '');
  return (
    rule.name === 'no-circles' &&
    cycle.length === 2 &&
    cycle.every(({ name }) => held(name) === held(from)) &&
    cycle.some(({ dependencyTypes }) => dependencyTypes.includes('type-only'))
  );
}

/** The tool does not read .astro files; they reach the database through server only. @param {string} projectFolder */
function astroFilesThatReachTheDatabase(projectFolder) {
  return filesBelow([join(projectFolder, 'src')], '.astro')
    .filter((path) => /from '[./]+\/db\//.test(readFileSync(path, 'utf8')))
    .map((path) => `pages-through-server: ${path.slice(projectFolder.length + 1)} → src/db`);
}

/**
 * Folders of core that import one another, straight or through others.
 *
 * @param {readonly { source: string, dependencies: readonly { resolved: string }[] }[]} modules
 */
function foldersInACircle(modules) {
  const folderOf = (/** @type {string} */ path) => /^src\/core\/([^/]+)\//.exec(path)?.[1];
  /** @type {Map<string, Set<string>>} */
  const below = new Map();
  for (const { source, dependencies } of modules) {
    const from = folderOf(source);
    if (from === undefined || source.endsWith('.test.ts')) continue;
    const reached = below.get(from) ?? new Set();
    for (const { resolved } of dependencies) {
      const to = folderOf(resolved);
      if (to !== undefined && to !== from) reached.add(to);
    }
    below.set(from, reached);
  }
  const reaches = (/** @type {string} */ from, /** @type {string} */ to, seen = new Set()) => {
    for (const next of below.get(from) ?? []) {
      if (next === to) return true;
      if (!seen.has(next) && reaches(next, to, seen.add(next))) return true;
    }
    return false;
  };
  return [...below.keys()]
    .filter((folder) => reaches(folder, folder))
    .map((folder) => `folder-circle: src/core/${folder} → src/core/${folder}`);
}
