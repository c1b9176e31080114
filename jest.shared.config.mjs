import base from './jest.config.mjs';
import { SHARED, gatherSuites } from './scripts/shared.mjs';

/** All unit tests at once, as `npm test` runs them; `npx jest NAME` runs a suite by itself. */
gatherSuites();

export default {
  ...base,
  roots: [...base.roots, `<rootDir>/${SHARED}`],
  testMatch: [...base.testMatch, `<rootDir>/${SHARED}/*.test.js`],
  testPathIgnorePatterns: ['<rootDir>/src/core/'],
};
