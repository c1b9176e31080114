import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { root } from './machine.mjs';

/** Written anew on each run, never kept. */
export const SHARED = '.shared-tests';
/** Some for each of two workers, so that neither is idle for long at the end. */
const REALMS = 8;

/**
 * Suites of the core gathered into a few files, each of which is one realm: a realm loads the core and warms up
 * once, and both cost more than most suites do. The core knows no environment, so no suite can leave anything behind
 * for the next. Every suite still stands in a `describe` of its own.
 */
export function gatherSuites() {
  const core = join(root, 'src', 'core');
  const suites = readdirSync(core, { recursive: true })
    .filter((file) => file.endsWith('.test.ts'))
    .sort()
    .map((file) => join(core, file));
  rmSync(join(root, SHARED), { recursive: true, force: true });
  mkdirSync(join(root, SHARED));
  for (let realm = 0; realm < REALMS; realm += 1) {
    const text = suites
      // In turns: suites of one folder are of a kind, and so they are shared out.
      .filter((_, i) => i % REALMS === realm)
      .map((file) => {
        const words = JSON.stringify(relative(root, file).split(sep).join('/'));
        return `describe(${words}, () => { require(${JSON.stringify(file)}); });\n`;
      })
      .join('');
    writeFileSync(join(root, SHARED, `realm${realm + 1}.test.js`), text);
  }
}
