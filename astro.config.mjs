import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

/** Scripts of the pages under short names: a page that can load a hundred others names them all. */
const shortNames = {
  name: 'short-names',
  config: (_, { isSsrBuild }) =>
    isSsrBuild ? {} : { build: { rollupOptions: { output: { chunkFileNames: '_astro/[hash:7].js' } } } },
};

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
  adapter: node({ mode: 'standalone' }),
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
    plugins: [tailwindcss(), shortNames, threadFile],
    build: {
      // What a view needs is asked for when it is opened; the server is on the same machine.
      modulePreload: false,
      // Some 4 % less for every page than the bundler's own, for a build that takes longer.
      minify: 'terser',
      // Notices of licences stay with their packages: the pages are built where those are.
      terserOptions: { module: true, ecma: 2020, compress: { passes: 3 }, format: { comments: false } },
    },
    ssr: { external: ['better-sqlite3', 'piscina'] },
  },
});
