// `npm run -s count`: how much of the code is tests, by lines that are not blank.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { projectFolder } from './setup.mjs';

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], {
  cwd: projectFolder,
  encoding: 'utf8',
})
  .split('\n')
  .filter((name) => /\.(ts|tsx|mjs|cjs|astro|css)$/.test(name));

let code = 0;
let tests = 0;
for (const name of files) {
  const lines = readFileSync(`${projectFolder}/${name}`, 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '').length;
  if (name.startsWith('tests/') || /\.test\.ts$/.test(name)) tests += lines;
  else code += lines;
}
console.log(
  `${code} lines of code, ${tests} lines of tests: tests are ${((100 * tests) / (code + tests)).toFixed(1)} % of all.`,
);
