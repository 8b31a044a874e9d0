/** The one-way imports between rooms. A room may import itself, what is listed for it, and packages. */
const rooms = {
  'src/core': [],
  'src/words': ['src/core'],
  'src/formats': ['src/core', 'src/words'],
  'src/store': ['src/core', 'src/formats', 'src/words'],
  'src/workers': ['src/core', 'src/formats', 'src/words', 'demo'],
  'src/services': ['src/core', 'src/words'],
  'src/session': ['src/store', 'src/workers', 'src/formats', 'src/core', 'src/words'],
  'src/ui': ['src/core', 'src/words'],
  'src/stations': [
    'src/session',
    'src/workers',
    'src/services',
    'src/ui',
    'src/core',
    'src/formats',
    'src/words',
  ],
  demo: ['src/core'],
  cases: ['src/core', 'src/formats'],
  bench: ['src/core', 'src/formats', 'demo'],
  study: ['src/core', 'demo'],
  hostile: ['src/core', 'src/formats', 'server', 'test'],
  server: [],
}
const roomRules = Object.entries(rooms).map(([room, allowed]) => ({
  name: `one-way: ${room}`,
  severity: 'error',
  from: { path: `^${room}/`, pathNot: '\\.test\\.tsx?$' },
  to: {
    path: '^(src|server|demo|cases|bench|study|e2e|test)/',
    pathNot: [room, ...allowed].map((r) => `^${r}/`),
  },
}))

module.exports = {
  forbidden: [
    ...roomRules,
    {
      name: 'no station imports another',
      severity: 'error',
      from: { path: '^src/stations/([^/]+)/' },
      to: { path: '^src/stations/([^/]+)/', pathNot: '^src/stations/$1/' },
    },
    {
      name: 'core is pure',
      comment:
        'No DOM library, no database, no framework in the computation: ids and digests alone come from packages.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'core'], pathNot: 'node_modules/(uuid|@noble/hashes)/' },
    },
    {
      name: 'only the store knows the database',
      severity: 'error',
      from: { pathNot: '^src/store/|\\.test\\.tsx?$' },
      to: { path: 'node_modules/(dexie|fake-indexeddb)/' },
    },
    { name: 'no cycles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'nothing unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(dist|node_modules/@types)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}
