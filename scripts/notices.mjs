import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/*
 * Whose work is in this program, and under which licence: public/notices.txt, made at build from the lock file and what is
 * installed. Optional image libraries of the framework are not used, and are left out.
 */
const NOT_USED = /^(?:@img\/|sharp$|detect-libc$)/;
const LICENCE_FILE = /^(?:licen[cs]e|copying|notice|ofl)(?:[.-].*)?$/i;

/** Packages that the program stands on at run time, by name. */
function shipped(root) {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  return Object.entries(packages)
    .filter(([path, one]) => path && !one.dev && !one.devOptional)
    .map(([path, { version, license }]) => ({
      name: path.split('node_modules/').at(-1),
      path,
      version,
      license,
    }))
    .filter(({ name, path }) => !NOT_USED.test(name) && existsSync(join(root, path)))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
}

export function writeNotices(root) {
  const all = shipped(root).map(({ name, path, version, license }) => {
    const files = readdirSync(join(root, path)).filter((file) => LICENCE_FILE.test(file));
    const texts = files.map((file) => readFileSync(join(root, path, file), 'utf8').trim());
    return [`${name} ${version}: ${license}`, ...texts].join('\n\n');
  });
  const head = `Merry Lacquer is built with the work of others: ${all.length} packages, each under its own licence.`;
  writeFileSync(join(root, 'public', 'notices.txt'), `${[head, ...all].join(`\n\n${'-'.repeat(78)}\n\n`)}\n`);
}
