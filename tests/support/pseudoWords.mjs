// Builds the application in a language that nobody speaks: whatever `src/words` says stands between these marks.
// A text on a screen without them does not come from there.
import { fileURLToPath } from 'node:url';
import { build } from 'astro';

/** @returns {import('vite').Plugin} */
function pseudoWords() {
  return {
    name: 'pseudo-words',
    enforce: 'post',
    transform(code, id) {
      if (!/\/src\/words\/en\/.*\.ts$/.test(id)) return null;
      /** @type {string[]} */
      const names = [];
      const bare = code.replace(
        /^export (const|let|var|function|async function) (\w+)/gm,
        (_, kind, /** @type {string} */ name) => {
          names.push(name);
          return `${kind} ${name}`;
        },
      );
      if (/^export\b/m.test(bare)) throw new Error(`${id} exports in a way that is not wrapped`);
      const exports = names.map((name) => `const marked_${name} = marked(${name});`).join('\n');
      const list = names.map((name) => `marked_${name} as ${name}`).join(', ');
      return { code: `${bare}\n${MARKED}\n${exports}\nexport { ${list} };`, map: null };
    },
  };
}

/** Marks every text of a value; data of the core among it (it has a kind) is left as it is. */
const MARKED = `
function marked(value) {
  if (typeof value === 'string') return value.trim() === '' ? value : '⟦' + value + '⟧';
  if (typeof value === 'function') return (...words) => marked(value(...words));
  if (Array.isArray(value)) return value.map(marked);
  const isPlain = value !== null && typeof value === 'object' && Object.getPrototypeOf(value) === Object.prototype;
  if (!isPlain || 'kind' in value) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, marked(each)]));
}
`;

await build({
  root: fileURLToPath(new URL('../..', import.meta.url)),
  outDir: process.argv[2],
  logLevel: 'error',
  vite: { plugins: [pseudoWords()], build: { minify: 'esbuild' } },
});
