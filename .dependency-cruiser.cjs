/**
 * The arrows of docs/architecture.md: app → ui → data, devices, workers → core; cli → core.
 * Nothing in core reaches out, and no file takes part in a circle.
 */
const outside = (from, allowed) => ({
  name: `${from}-points-down`,
  severity: 'error',
  from: { path: `^src/${from}/` },
  to: { path: '^src/', pathNot: [from, ...allowed].map((name) => `^src/${name}/`) },
});

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    outside('core', []),
    outside('cli', ['core']),
    outside('data', ['core']),
    outside('devices', ['core']),
    outside('workers', ['core']),
    outside('ui', ['data', 'devices', 'workers', 'core']),
    outside('app', ['ui', 'data', 'workers', 'core']),
    {
      name: 'core-stays-pure',
      severity: 'error',
      comment: 'core runs in page, worker, server and command line alike',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
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
