import fc from 'fast-check';
import Papa from 'papaparse';
import { faultLine } from '../model/result';
import type { ShelfItem } from '../model/shelf';
import { genericShelf, onShelf, recoloured, renamed } from '../starter/shelf';
import { COLUMNS, readShelfCsv, writeShelfCsv } from './shelfCsv';

const shelf = () => genericShelf().map(onShelf);
const first = (text: string) => {
  const read = readShelfCsv(text);
  return read.ok ? 'taken' : faultLine(read.faults[0]!);
};
const named = (name: string): ShelfItem => onShelf({ ...genericShelf()[0]!, name });

describe('a shelf as CSV', () => {
  it('comes back as it went', () => {
    const items = shelf();
    items[0] = { ...items[0]!, count: 3, price: 9.5, opened_on: '2026-03-01' };
    const lit = items.findIndex(({ product }) => product.lamp);
    const { product } = items[lit]!;
    items[lit] = {
      ...items[lit]!,
      product: { ...product, lamp: { ...product.lamp!, thick: { from_um: 500, cure_s: 90 } } },
    };
    expect(readShelfCsv(writeShelfCsv(items))).toEqual({ ok: true, value: items });
  });

  it('holds any name, and none that a table program would take for a formula', () => {
    const name = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 40 })
      .map((text) => text.trim())
      .filter((text) => /\p{L}|\p{N}/u.test(text) && !/[\r\n]/.test(text));
    const risky = fc.constantFrom('=1+1', '+49', '-5 red', '@sum', "'quoted", '"a", b', '=HYPERLINK("x")');
    fc.assert(
      fc.property(fc.oneof(name, risky), (words) => {
        const text = writeShelfCsv([named(words)]);
        expect(readShelfCsv(text)).toEqual({ ok: true, value: [named(words)] });
        // As another reader sees it.
        const cells = Papa.parse<string[]>(text.trim()).data[1]!;
        for (const cell of cells) expect(cell).not.toMatch(/^[=+\-@]/);
      }),
      { numRuns: 300 },
    );
  });

  it('is read with semicolons and decimal commas, columns in any order, a mark before it', () => {
    const text = '\uFEFFfamily;id;name;coats_to_cover;colour\r\ngel-colour;red-1;Red;1,5;#aa1122\r\n';
    const read = readShelfCsv(text);
    expect(read.ok && read.value[0]!.product).toEqual({
      family: 'gel-colour',
      id: 'red-1',
      name: 'Red',
      coats_to_cover: 1.5,
      colour: '#aa1122',
    });
  });

  it.each<[string, string, RegExp]>([
    ['nothing', '', /^the file is empty/],
    ['wrong columns', 'id,name,family,brand\n', /^line 1: "brand" is no column of a shelf/],
    ['a column twice', 'id,id,name,family\n', /^line 1: the column "id" is there twice/],
    ['a column missing', 'id,name\n', /^line 1: the column "family" is missing/],
    ['an open quote', 'id,name,family\n1,"Red,gel-colour\n', /^line 2: its quotes do not close/],
    ['a word for a number', 'id,name,family,coat_um\nr,Red,gel-colour,thick\n', /^line 2, coat_um: "thick"/],
    [
      'half a second time',
      'id,name,family,cure_s,flash_s,depth_um,thick_from_um\nr,Red,gel-colour,60,10,90,400\n',
      /^line 2, thick_cure_s|^line 2, cure_s/,
    ],
    ['a broken colour', 'id,name,family,colour\nr,Red,gel-colour,red\n', /^line 2, colour: must be a colour/],
    ['an unknown family', 'id,name,family\nr,Red,paint\n', /^line 2, family: /],
    [
      'an id twice',
      'id,name,family\nr,Red,gel-colour\nr,Red,gel-colour\n',
      /^line 3, id: "r" is on line 2 already/,
    ],
    ['too many cells', 'id,name,family\nr,Red,gel-colour,4\n', /^line 2: has 4 cells for 3 columns/],
    ['a negative stock', 'id,name,family,count\nr,Red,gel-colour,-1\n', /^line 2, count: /],
    [
      'grains of no size',
      'id,name,family,grain_shape,grain_colour,grain_metallic,grains_per_cm2\nr,Red,gel-colour,round,#ffffff,true,9\n',
      /^line 2, grain_mm: /,
    ],
    ['no day', 'id,name,family,opened_on\nr,Red,gel-colour,last week\n', /^line 2, opened_on: must be a day/],
    [
      'a hundred thousand rows',
      `id,name,family\n${'r,Red,gel-colour\n'.repeat(100_000)}`,
      /^has 100000 rows; a shelf is refused beyond 5000/,
    ],
  ])('refuses %s by line and column', (_words, text, message) => expect(first(text)).toMatch(message));

  it('never throws, whatever text it is given', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (text) => {
        expect(typeof readShelfCsv(text).ok).toBe('boolean');
        expect(typeof readShelfCsv(`${COLUMNS.join(',')}\n${text}`).ok).toBe('boolean');
      }),
      { numRuns: 300 },
    );
  });
});

describe('the generic shelf', () => {
  it('has at least sixty products, each id once, colours round the wheel', () => {
    const products = genericShelf();
    expect(products.length).toBeGreaterThanOrEqual(60);
    expect(new Set(products.map((one) => one.id)).size).toBe(products.length);
    const items = products.map(onShelf);
    expect(readShelfCsv(writeShelfCsv(items))).toEqual({ ok: true, value: items });
  });

  it('gives a product in another colour an id of its own', () => {
    const product = genericShelf()[0]!;
    const made = recoloured(product, ' My red! ', '#aa0011', new Set(['my-red']));
    expect(made).toEqual({ ...product, id: 'my-red-2', name: 'My red!', colour: '#aa0011' });
    expect(recoloured(product, '紅', '#aa0011', new Set()).id).toBe('colour');
    // What is clear stays so when it is only duplicated.
    const clear = genericShelf().find((one) => one.colour === undefined)!;
    expect(renamed(clear, 'Another', new Set())).toEqual({ ...clear, id: 'another', name: 'Another' });
  });
});
