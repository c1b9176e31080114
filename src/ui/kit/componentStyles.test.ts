import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

const PACKAGE = 'node_modules/@mantine/core';
const ESM = `${PACKAGE}/esm`;

/** Variables and resets, which no part asks for by name. */
const ALWAYS = ['default-css-variables', 'baseline', 'global'];

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory()
      ? sources(path)
      : /(?<!\.test)\.tsx?$/.test(path)
        ? [readFileSync(path, 'utf8')]
        : [];
  });

/** The parts of the component kit that the screens name, types aside. */
function named(): string[] {
  const found = new Set<string>(['Notification']);
  for (const text of sources('src'))
    for (const [, names] of text.matchAll(/import \{([^}]*)\} from '@mantine\/core'/g))
      for (const name of names!.split(',').map((one) => one.trim()))
        if (name && !name.startsWith('type ')) found.add(name);
  return [...found];
}

/** The style sheets that these parts reach through what they are made of. */
function reached(parts: readonly string[]): Set<string> {
  const index = readFileSync(`${ESM}/index.mjs`, 'utf8');
  const home = new Map<string, string>();
  for (const [, names, from] of index.matchAll(/import \{([^}]*)\} from "(.*?)"/g))
    for (const name of names!.split(',')) home.set(name.trim(), resolve(ESM, from!));
  const styles = new Set<string>();
  const seen = new Set<string>();
  const visit = (file: string) => {
    if (seen.has(file)) return;
    seen.add(file);
    const own = /([A-Za-z]+)\.module\.mjs$/.exec(file);
    if (own) styles.add(own[1]!);
    else
      for (const [, from] of readFileSync(file, 'utf8').matchAll(/(?:import|export)[^"]*?from "(\.[^"]*)"/g))
        visit(resolve(dirname(file), from!));
  };
  for (const part of parts) {
    const file = home.get(part);
    if (!file) throw new Error(`${part} is not in the component kit`);
    visit(file);
  }
  return styles;
}

const stylesIn = (file: string) =>
  [...readFileSync(`src/ui/kit/${file}.ts`, 'utf8').matchAll(/styles\/([\w-]+)\.css'/g)].map(
    ([, name]) => name!,
  );
/** Those of every page, and those that come with the parts that need them. */
const first = stylesIn('componentStyles');
const late = stylesIn('tableStyles');

describe('styles of the component kit', () => {
  it('are those of the parts that are used, and no others', () => {
    expect([...first, ...late].sort()).toEqual([...ALWAYS, ...reached(named())].sort());
  });

  it('of tables come with each part that holds one', () => {
    for (const text of sources('src'))
      if (/import \{[^}]*\b(Table|Tabs)\b[^}]*\} from '@mantine\/core'/.test(text))
        expect(text).toContain("import '../kit/tableStyles';");
  });

  it.each([
    ['of every page', first],
    ['of tables', late],
  ])('%s stand in the order of the whole sheet: later ones overrule earlier ones', (_of, imported) => {
    const whole = readFileSync(`${PACKAGE}/styles.css`, 'utf8');
    const at = imported.map((name) => {
      const css = readFileSync(`${PACKAGE}/styles/${name}.css`, 'utf8');
      return whole.indexOf(css.slice(0, 200).trim());
    });
    expect(at).not.toContain(-1);
    expect(at).toEqual([...at].sort((a, b) => a - b));
  });
});
