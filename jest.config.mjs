/** Unit tests stand beside what they test; browser tests live in tests/ and belong to Playwright. */
export default {
  testEnvironment: 'node',
  // Two cores are two workers: nothing else runs meanwhile.
  maxWorkers: '100%',
  // Slow machines are slow, not wrong.
  testTimeout: 600_000,
  // A global is looked up in the sandbox at each use, a hundred times slower than a name of the module.
  sandboxInjectedGlobals: [
    'Math',
    'Infinity',
    'Number',
    'Array',
    'Object',
    'Map',
    'Set',
    'JSON',
    'String',
    'Float64Array',
    'Float32Array',
    'Int32Array',
    'Uint32Array',
    'Uint16Array',
    'Uint8Array',
  ],
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testMatch: ['**/*.test.ts'],
  transform: {
    '^.+\\.(t|j)sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transformIgnorePatterns: ['/node_modules/(?!(culori|polygon-clipping)/)'],
};
