/**
 * The arrows of docs/architecture.md: app → ui → data, devices, workers → core; cli → core. Inside the core the
 * rooms stand along the flow of a set, and each imports only from rooms before it.
 */
const outside = (from, allowed) => ({
  name: `${from}-points-down`,
  severity: 'error',
  from: { path: `^src/${from}/` },
  to: { path: '^src/', pathNot: [from, ...allowed].map((name) => `^src/${name}/`) },
});

/** The tower, lowest room first. */
const TOWER = [
  'model',
  'geometry',
  'regions',
  'colour',
  'craft',
  'document',
  'compile',
  'simulate',
  'timing',
  'judge',
  'plan',
];
/** Rooms that stand beside the tower, each with the rooms it needs. A new room is placed here on purpose. */
const BESIDE = {
  picture: ['model', 'geometry', 'regions', 'colour', 'craft', 'document', 'compile', 'simulate'],
  compose: ['model', 'colour', 'craft', 'document', 'compile', 'simulate', 'judge', 'plan'],
  stock: ['model', 'craft', 'document', 'compile', 'timing', 'judge', 'plan'],
  wear: ['model', 'craft', 'document', 'compile', 'simulate', 'timing', 'judge', 'plan', 'bench', 'files'],
  files: ['model', 'craft', 'document', 'bench', 'stock'],
  starter: ['model', 'geometry', 'colour', 'craft', 'document'],
  demo: ['model', 'craft', 'document', 'starter'],
  bench: ['model', 'craft', 'document', 'compile', 'timing'],
  testing: [...TOWER, 'starter'],
};
const rooms = {
  ...Object.fromEntries(TOWER.map((room, i) => [room, TOWER.slice(0, i)])),
  ...BESIDE,
};
// Tests may reach up for what they need to build a case.
const TESTS = '\\.test\\.ts$';
const room = (name, allowed) => ({
  name: `core-${name}-stands-on-earlier-rooms`,
  severity: 'error',
  from: { path: `^src/core/${name}/`, pathNot: TESTS },
  to: { path: '^src/core/', pathNot: [name, ...allowed].map((one) => `^src/core/${one}/`) },
});

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      comment: 'types count as well: two files that need each other are one idea',
      from: {},
      to: { circular: true },
    },
    outside('core', []),
    outside('cli', ['core']),
    outside('data', ['core']),
    outside('devices', ['core']),
    outside('server', ['core']),
    outside('offline', []),
    outside('workers', ['core']),
    outside('ui', ['data', 'devices', 'workers', 'core']),
    outside('app', ['ui', 'server', 'data', 'workers', 'core']),
    ...Object.entries(rooms).map(([name, allowed]) => room(name, allowed)),
    {
      name: 'core-has-only-placed-rooms',
      severity: 'error',
      from: { path: '^src/', pathNot: TESTS },
      to: { path: '^src/core/', pathNot: Object.keys(rooms).map((name) => `^src/core/${name}/`) },
    },
    {
      name: 'core-stays-pure',
      severity: 'error',
      comment: 'core runs in page, worker, server and command line alike',
      from: { path: '^src/core/', pathNot: TESTS },
      to: {
        path: '^(react|react-dom|next|dexie|@mantine|zustand|zundo|comlink|fs|path|os|process|node:.*)|node_modules/(react|react-dom|next|dexie|@mantine|zustand|zundo|comlink)/',
      },
    },
    {
      name: 'only-data-touches-dexie',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/data/' },
      to: { path: 'node_modules/dexie/' },
    },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\.css$' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
