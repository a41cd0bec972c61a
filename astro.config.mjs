import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

/**
 * Scripts of the pages. Their names are short: a page that can load a hundred others names them all. What the plan's
 * page needs at once goes into few files: sixty small ones travel in a fifteenth more.
 */
const scriptFiles = {
  name: 'script-files',
  config: (_, { isSsrBuild }) =>
    isSsrBuild
      ? {}
      : {
          build: {
            rollupOptions: { output: { chunkFileNames: '_astro/[hash:7].js', manualChunks: fewFiles() } },
          },
        },
};

/** The file that a module goes into, or nothing: then the bundler finds one. */
function fewFiles() {
  /** @type {Map<string, string> | undefined} */
  let fileOf;
  return (id, graph) => {
    fileOf ??= filesOfThePlan(graph);
    if (id.includes('vite/preload-helper')) return 'preload';
    if (/commonjsHelpers|node_modules\/(react|react-dom|scheduler|@astrojs\/react)\//.test(id))
      return 'react';
    return fileOf.get(id);
  };
}

/** What the plan's page needs at once goes into the first of these files that one of its pages needs at once too. */
const PLAN_FILES = [
  { file: 'all', pages: ['/Copies', '/Devices', '/RunLessons'] },
  { file: 'forms', pages: ['/HouseRulesForm', '/Shelf', '/NewPlan'] },
  { file: 'section', pages: ['/MoldBook', '/Rack', '/Knows'] },
  { file: 'making', pages: ['/Bench', '/InspectRound'] },
];

/** Files of what the plan's page needs at once, by module; what calls on every page stays apart. */
function filesOfThePlan({ getModuleIds, getModuleInfo }) {
  const neededBy = (id, later = false, found = new Set()) => {
    if (found.has(id)) return found;
    found.add(id);
    const { importedIds = [], dynamicallyImportedIds = [] } = getModuleInfo(id) ?? {};
    for (const next of later ? [...importedIds, ...dynamicallyImportedIds] : importedIds)
      neededBy(next, later, found);
    return found;
  };
  const entries = [...getModuleIds()].filter((id) => getModuleInfo(id)?.isEntry);
  const neededAt = (page, later) => {
    const entry = entries.find((id) => id.includes(page));
    if (!entry) throw new Error(`There is no page ${page} to find the files of scripts by.`);
    return neededBy(entry, later);
  };
  const rail = neededAt('/Rail.astro', false);
  const onEveryPage = neededAt('/Rail.astro', true);
  const needed = PLAN_FILES.map(({ file, pages }) => ({ file, byPage: pages.map((page) => neededAt(page)) }));
  // What another page asks for later must not bring all of the plan's page with it.
  const later = entries.filter((id) => !id.includes('/PlanWorkspace')).map((id) => neededBy(id, true));
  const fileFor = (id) =>
    needed.find(({ byPage }) => byPage.some((ids) => ids.has(id)))?.file ??
    (later.some((ids) => ids.has(id)) ? 'making' : 'plan');
  return new Map([
    ...[...onEveryPage].filter((id) => !rail.has(id)).map((id) => [id, 'rail']),
    ...[...neededAt('/PlanWorkspace')].filter((id) => !onEveryPage.has(id)).map((id) => [id, fileFor(id)]),
  ]);
}

/** What the server works out in threads of its own is built as a file of its own. */
const threadFile = {
  name: 'thread-file',
  enforce: 'pre',
  apply: 'build',
  transform(code, _, options) {
    const named = "new URL('./work.ts', import.meta.url)";
    if (!options?.ssr || !code.includes(named)) return null;
    const file = this.emitFile({ type: 'chunk', id: 'src/server/compute/work.ts', name: 'work' });
    return { code: code.replace(named, `new URL(import.meta.ROLLUP_FILE_URL_${file})`), map: null };
  },
};

export default defineConfig({
  output: 'server',
  // Our own server serves the files.
  adapter: node({ mode: 'middleware' }),
  integrations: [react()],
  devToolbar: { enabled: false },
  server: { host: '127.0.0.1' },
  // The middleware compares Origin and Host itself, for JSON bodies too.
  security: { checkOrigin: false, allowedDomains: [{ hostname: 'localhost' }, { hostname: '127.0.0.1' }] },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
  vite: {
    plugins: [tailwindcss(), scriptFiles, threadFile],
    build: {
      // What a view needs is asked for when it is opened; the server is on the same machine.
      modulePreload: false,
      // Browsers that the styles need anyway read it.
      target: 'es2022',
      // Some 4 % less for every page than the bundler's own, for a build that takes longer.
      minify: 'terser',
      // Notices of licences stay with their packages: the pages are built where those are.
      terserOptions: {
        module: true,
        ecma: 2022,
        compress: { passes: 3, keep_fargs: false, pure_getters: true },
        format: { comments: false },
      },
    },
    ssr: {
      external: ['better-sqlite3', 'piscina', 'pdf-lib', '@pdf-lib/fontkit', 'bwip-js'],
      // Else Node reads a thousand icons to draw a few of them.
      noExternal: ['lucide-react'],
    },
  },
});
