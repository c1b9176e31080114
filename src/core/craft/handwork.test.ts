import { compileNail } from '../compile/compile';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import { colourOn, element, setWearing } from '../testing/sets';
import { buildKindOf, type Build } from './builds';
import { motifRegion, MOTIFS } from './motifs';
import type { Verb } from './surfaces';

const ground = colourOn('natural-gel');

/** Hand seconds of such work on a nail, all of it together. */
function seconds(set: SetDocument, verb: Verb, nail: NailName = 'left-middle'): number {
  return compileNail(set, nail)
    .operations.filter((one) => one.verb === verb)
    .reduce((sum, one) => sum + one.hand_s, 0);
}

/** What such work takes on a nail at the table, least and most (common practice, rough). */
const AT_THE_TABLE: readonly (readonly [string, () => number, number, number])[] = [
  ['loose glitter patted on', () => seconds(setWearing([ground, element('glitter')]), 'strew'), 10, 20],
  ['mirror powder burnished', () => seconds(setWearing([ground, element('powder')]), 'burnish'), 35, 80],
  [
    'mirror powder over raised lines',
    () => seconds(setWearing([ground, element('relief'), element('powder')]), 'burnish'),
    60,
    100,
  ],
  [
    'transfer foil rubbed on',
    () => seconds(setWearing([ground, element('sheets', { what: 'foil' })]), 'lay-sheet'),
    20,
    45,
  ],
  [
    'eight letters',
    () =>
      seconds(
        setWearing([
          ground,
          element('colour', {
            region: {
              kind: 'letters',
              text: 'PLAYBILL',
              height_mm: 2,
              width_mm: 0.3,
              turn_deg: 0,
              across: 0,
              along: 0.6,
            },
            passes: 1,
          }),
        ]),
        'coat',
      ),
    100,
    300,
  ],
];

describe('hand times', () => {
  it.each(AT_THE_TABLE)('%s', (_work, took, least_s, most_s) => {
    const taken_s = took();
    expect(taken_s).toBeGreaterThanOrEqual(least_s);
    expect(taken_s).toBeLessThanOrEqual(most_s);
  });

  it('a colour of a motif is about a minute', () => {
    const each = MOTIFS.flatMap((one) =>
      one.colours
        .slice(0, 1)
        .map((part) =>
          seconds(
            setWearing([
              ground,
              element('motif', { colours: [{ product: 'velvet-04', region: motifRegion(part) }], spots: [] }),
            ]),
            'draw',
          ),
        ),
    ).sort((a, b) => a - b);
    const middle = each[Math.floor(each.length / 2)]!;
    expect(middle).toBeGreaterThanOrEqual(40);
    expect(middle).toBeLessThanOrEqual(80);
  });

  it('filing goes by length and by what is filed', () => {
    const filing = (material: string, length_mm: number) =>
      seconds(
        setWearing([], (set) => {
          const form = { ...buildKindOf('sculpted-form').fresh('form'), material, length_mm };
          set.builds = [form as Build];
          for (const name of NAILS) set.nails[name].build = 'form';
        }),
        'file',
      );
    expect(filing('builder', 5)).toBeGreaterThanOrEqual(60);
    expect(filing('builder', 20)).toBeLessThanOrEqual(170);
    expect(filing('builder', 20)).toBeGreaterThan(filing('builder', 5) * 1.3);
    expect(filing('acrylic', 12)).toBeGreaterThan(filing('builder', 12) * 1.1);
  });
});
