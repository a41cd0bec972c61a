import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { cruise } from 'dependency-cruiser';
import extractTSConfig from 'dependency-cruiser/config-utl/extract-ts-config';
import { filesBelow } from './files.mjs';

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
    ...output.summary.violations.map(({ rule, from, to }) => `${rule.name}: ${from} → ${to}`),
    ...astroFilesThatReachTheDatabase(projectFolder),
  ];
}

/** The tool does not read .astro files; they reach the database through server only. @param {string} projectFolder */
function astroFilesThatReachTheDatabase(projectFolder) {
  return filesBelow([join(projectFolder, 'src')], '.astro')
    .filter((path) => /from '[./]+\/db\//.test(readFileSync(path, 'utf8')))
    .map((path) => `pages-through-server: ${path.slice(projectFolder.length + 1)} → src/db`);
}
