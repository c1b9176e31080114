import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { TECHNIQUES } from '.';

const SRC = join(__dirname, '../../..');

/** Documents written out, tested or brought up to date, and the registries of bodies and supplies, which share a name. */
const DATA = /^core\/(craft\/(techniques|bodies|supplies)|demo|starter|testing|document\/migrations)/;

/** Places of a source that ask for a technique, or a technique's element, by its name. */
function namings(source: string): string[] {
  const kinds = TECHNIQUES.map(({ kind }) => kind).join('|');
  const asked = new RegExp(`(kind [!=]== |case |techniqueOf\\(|kind: )'(${kinds})'`, 'g');
  return source.match(asked) ?? [];
}

describe('techniques are asked for by nothing but their registry', () => {
  it('tells a place that does', () => {
    expect(namings("if (element.kind === 'ombre') return;")).toHaveLength(1);
    expect(namings("techniqueOf('inlay').plan")).toHaveLength(1);
    expect(namings("const words = 'ombre';")).toHaveLength(0);
  });

  it('finds none', () => {
    const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
      .map((file) => relative(SRC, join(SRC, file)))
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file) && !DATA.test(file));
    expect(files.length).toBeGreaterThan(300);
    const found = files.flatMap((file) =>
      namings(readFileSync(join(SRC, file), 'utf8')).map((place) => `${file}: ${place}`),
    );
    expect(found).toEqual([]);
  });
});
