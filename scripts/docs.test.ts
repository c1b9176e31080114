import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { withParts } from './formatParts';
import { layeringDoc } from './layeringDoc';
import { techniquesDoc } from './techniquesDoc';

/* What README and docs say of files, commands and folders, held against the files themselves. */

const DOCS = [
  'README.md',
  ...readdirSync('docs').flatMap((one) => (one.endsWith('.md') ? [`docs/${one}`] : [])),
];
const textOf = (file: string) => readFileSync(file, 'utf8');
/** Every file of the project, as the end of whose path the docs name it. */
const FILES = ['src', 'scripts', 'tests', 'docs']
  .flatMap((folder) =>
    readdirSync(folder, { recursive: true, withFileTypes: true }).map((one) =>
      join(one.parentPath, one.name),
    ),
  )
  .concat(readdirSync('.'));
const isThere = (path: string) => FILES.some((file) => file === path || file.endsWith(`/${path}`));
/** What a backup is made of, and the pattern of a set's file: no files of the project. */
const MADE = [
  'backup.json',
  'clients.json',
  'supplies.json',
  'motifs.json',
  'sittings.json',
  'taken.json',
  'photos.json',
  'references.json',
  'prices.json',
  'worn.json',
];

it.each(DOCS)('every file that %s names is there', (doc) => {
  const named = [...textOf(doc).matchAll(/`([\w./[\]-]+\.(?:tsx?|mjs|cjs|md|json))`/g)].map((one) => one[1]!);
  expect(named.filter((path) => !/NAME|ID/.test(path) && !MADE.includes(path) && !isThere(path))).toEqual([]);
});

it.each(DOCS)('every command that %s names is one', (doc) => {
  const { scripts } = JSON.parse(textOf('package.json')) as { scripts: Record<string, string> };
  const named = [...textOf(doc).matchAll(/npm run ([\w:]+)/g)].map((one) => one[1]!);
  expect(named.filter((one) => !(one in scripts))).toEqual([]);
});

it('the house stands as its plan says: what may import what', () => {
  const require = createRequire(join(process.cwd(), 'scripts/docs.test.ts'));
  const { forbidden } = require('../.dependency-cruiser.cjs') as {
    forbidden: { name: string; to: { pathNot?: string[] | string } }[];
  };
  const rows = [...textOf('docs/architecture.md').matchAll(/^\| `src\/(\w+)`\s+\|[^|]*\|([^|]*)\|$/gm)];
  expect(rows.map((row) => row[1]).sort()).toEqual(
    readdirSync('src', { withFileTypes: true })
      .flatMap((one) => (one.isDirectory() ? [one.name] : []))
      .sort(),
  );
  for (const [, folder, says] of rows) {
    const rule = forbidden.find((one) => one.name === `${folder}-points-down`)!;
    const held = ([] as string[])
      .concat(rule.to.pathNot ?? [])
      .map((path) => /src\/(\w+)/.exec(path)![1]!)
      .filter((one) => one !== folder)
      .sort();
    const said = says!.trim();
    const words = /^nothing/.test(said)
      ? []
      : said
          .split(',')
          .map((one) => one.trim())
          .sort();
    expect([folder, words]).toEqual([folder, held]);
  }
});

it('every rule and technique is in the list that runs it', () => {
  for (const [folder, index] of [
    ['src/core/judge/rules', 'index.ts'],
    ['src/core/craft/techniques', 'index.ts'],
  ] as const) {
    const listed = textOf(join(folder, index));
    const files = readdirSync(folder).filter((one) => /^\w+\.ts$/.test(one) && one !== index);
    const used = files.map((one) => one.replace('.ts', ''));
    const others = files.map((one) => textOf(join(folder, one))).join('\n');
    const alone = used.filter((one) => !listed.includes(`'./${one}'`) && !others.includes(`'./${one}'`));
    expect([folder, alone]).toEqual([folder, []]);
  }
});

it('docs/format.md shows every region, element, build and product as it begins', () => {
  const said = textOf('docs/format.md');
  expect(withParts(said)).toBe(said);
});

/** Columns are set out by the formatter. */
const plain = (text: string) => text.replaceAll(/ +/g, ' ').replaceAll(/-+/g, '-').replaceAll(/[_*]/g, '');

it('docs/layering.md says what the table of surfaces says', () => {
  expect(plain(textOf('docs/layering.md'))).toBe(plain(layeringDoc()));
});

it('docs/techniques.md says how each technique is worked', () => {
  expect(plain(textOf('docs/techniques.md'))).toBe(plain(techniquesDoc()));
});
