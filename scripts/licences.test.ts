import { readFileSync } from 'node:fs';

interface Locked {
  version?: string;
  license?: string;
  dev?: boolean;
  optional?: boolean;
  resolved?: string;
}

const read = (file: string) => JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>;
const locked = Object.entries(read('package-lock.json').packages as Record<string, Locked>).filter(
  ([path]) => path !== '',
);

/** Licences that were looked at: all let the program be given on, with their notice. */
const KNOWN = [
  // Of parts under each of them.
  'MIT AND ISC AND BSD-3-Clause',
  'MIT',
  'ISC',
  '0BSD',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'CC-BY-4.0',
  'OFL-1.1',
  '(MIT AND Zlib)',
  '(MIT OR CC0-1.0)',
  // Of single files, which are given on unchanged but for being packed; the notices say where they come from.
  'MPL-2.0',
];
/** Optional image libraries of the framework: the program does not use them, and nothing of them is given on. */
const NOT_USED = /^node_modules\/(?:@img\/|sharp$)/;

describe('what the program is built with', () => {
  it('has every version pinned', () => {
    const { dependencies, devDependencies } = read('package.json') as Record<string, Record<string, string>>;
    for (const [name, version] of Object.entries({ ...dependencies, ...devDependencies }))
      expect([name, version]).toEqual([name, expect.stringMatching(/^(npm:[\w-]+@)?\d+\.\d+\.\d+$/)]);
  });

  it('is under licences that are known; a new one is looked at first', () => {
    const shipped = locked.filter(([path, one]) => !one.dev && !NOT_USED.test(path));
    expect(shipped.length).toBeGreaterThan(80);
    const unknown = shipped.filter(([, { license }]) => !KNOWN.includes(license ?? 'none'));
    expect(unknown.map(([path, { license }]) => `${path}: ${license}`)).toEqual([]);
    for (const [path, one] of locked)
      if (/LGPL|GPL|SSPL|BUSL/.test(one.license ?? '')) expect(path).toMatch(NOT_USED);
  });
});
