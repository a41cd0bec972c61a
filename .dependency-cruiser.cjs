/** The rooms of docs/architecture.md: imports run one way. `reachable` also catches the way round through a third room. */
const below = (room) => `^src/${room}/`;

/** Everything that a browser loads. */
const BROWSER = ['islands', 'workers'];

module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      severity: 'error',
      comment: 'core imports nothing outside core, zod and a small triangulation package apart',
      from: { path: below('core'), pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^src/core/', 'node_modules/zod/', 'node_modules/earcut/'] },
    },
    {
      name: 'formats-and-devices-on-core',
      severity: 'error',
      from: { path: below('(formats|devices)') },
      to: { path: below('(db|server|islands|components|layouts|pages|workers)') },
    },
    {
      name: 'db-on-core',
      severity: 'error',
      from: { path: below('db') },
      to: { path: below('(server|islands|components|layouts|pages|workers|devices)') },
    },
    {
      name: 'server-below-pages',
      severity: 'error',
      from: { path: below('server') },
      to: { path: below('(islands|components|layouts|pages|workers)') },
    },
    {
      name: 'browser-never-reaches-server',
      severity: 'error',
      from: { path: below(`(${BROWSER.join('|')})`), pathNot: '\\.test\\.ts$' },
      to: { path: [below('(db|server)'), '^(node:|better-sqlite3)'], reachable: true },
    },
    {
      name: 'nobody-imports-pages',
      severity: 'error',
      from: { path: '^src/(?!pages/)' },
      to: { path: below('pages') },
    },
    {
      name: 'words-on-core',
      severity: 'error',
      comment: 'what a person reads is made of what core returns, and of nothing else',
      from: { path: below('words'), pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^src/(core|words)/'] },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-missing',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^astro(:|$)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.mjs', '.js'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
