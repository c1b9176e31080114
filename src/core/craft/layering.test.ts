import fc from 'fast-check';
import { compileNail } from '../compile/compile';
import { chance } from '../model/chance';
import { NAILS } from '../model/names';
import { randomSet } from '../testing/randomLooks';
import { wholePlace } from './context';
import { drawnAgain, meets, surfacesMet, workOf, WORKS } from './layering';
import { laidBy } from './operation';
import { surfaceWords } from './surface';
import { REASONS, TABLE } from './surfaces';

const surface = (words: string) => surfacesMet().find((one) => surfaceWords(one) === words)!;
const ask = (key: string, words: string) =>
  meets(
    WORKS.find((one) => one.key === key)!,
    surface(words),
  );

describe('the layering reference', () => {
  it('says just what the table of surfaces says, of every work on every surface', () => {
    fc.assert(
      fc.property(fc.constantFrom(...WORKS), fc.constantFrom(...surfacesMet()), (work, s) => {
        const row = TABLE[work.verb] as { refuses: (s: object, laid: string) => string | undefined };
        expect(meets(work, s).reason).toBe(row.refuses(s, work.laid));
      }),
      { numRuns: 2000 },
    );
  });

  it('knows the work of whatever looks are made of', () => {
    const unknown = new Set<string>();
    for (let seed = 1; seed <= 40; seed += 1) {
      const set = randomSet(chance(seed));
      const product = (id: string) => set.kit.products.find((one) => one.id === id)!;
      for (const nail of NAILS.slice(0, 2))
        for (const one of compileNail(set, nail).operations) {
          if (!one.deposit || one.stage !== 'surface') continue;
          const laid = laidBy(one, product);
          if (!workOf(one.verb, laid)) unknown.add(`${one.verb} ${laid}`);
        }
    }
    expect([...unknown]).toEqual([]);
  });

  // Facts of the trade (common practice).
  it.each([
    ['colour', 'cured gel, tacky', undefined],
    ['colour', 'cured top coat, slick, no-wipe', 'no-grip'],
    ['colour', 'cured lacquer, wiped', 'no-grip'],
    ['colour', 'wet gel', 'uncured-covered'],
    ['acrylic', 'cured gel, tacky', 'no-grip'],
    ['acrylic', 'cured art gel, slick, no-wipe', 'no-grip'],
    ['pearl', 'cured art gel, slick, no-wipe', 'no-grip'],
    ['colour', 'cured art gel, slick, no-wipe', undefined],
    ['acrylic', 'cured acrylic, keyed', undefined],
    ['acrylic', 'natural plate, keyed, primed', undefined],
    ['acrylic', 'natural plate, keyed, dehydrated', 'unprepared-plate'],
    ['mirror', 'cured top coat, slick, no-wipe', undefined],
    ['mirror', 'cured gel, tacky', 'no-grip'],
    ['pearl', 'cured gel, tacky', undefined],
    ['pearl', 'cured top coat, slick, no-wipe', 'no-grip'],
    ['top', 'cured top coat, powdered, dusty', 'powder-in-bottle'],
    ['top', 'cured top coat, powdered', undefined],
    ['file', 'cured clear gel, tacky', 'tacky-filed'],
    ['stones-top', 'wet top coat', undefined],
    ['stones-top', 'cured top coat, slick, no-wipe', 'needs-wet'],
    ['lacquer', 'natural plate, with its shine on, dehydrated', undefined],
  ])('%s on %s: %s', (key, words, reason) => {
    expect(ask(key, words).reason).toBe(reason);
  });

  it.each([
    ['pearl', 'cured top coat, slick, no-wipe', /thin base/],
    ['mirror', 'cured gel, tacky', /no-wipe top/],
    ['colour', 'natural plate, with its shine on', /lay base/],
    ['pieces', 'cured gel, tacky', /thin wet bed/],
    ['stones-top', 'cured top coat, slick, no-wipe', /wet top/],
    ['file', 'cured clear gel, tacky', /^Wipe it$/],
    ['top', 'cured top coat, powdered, dusty', /^Brush the dust off$/],
  ])('%s on %s is made to hold: %s', (key, words, way) => {
    expect(ask(key, words).ways[0]).toMatch(way);
  });

  it('says plainly where nothing makes it hold', () => {
    expect(ask('colour', 'cured lacquer, wiped').ways).toEqual([]);
  });

  it('names every reason that the table gives, somewhere among what right work comes by', () => {
    const given = new Set(WORKS.flatMap((work) => surfacesMet().flatMap((s) => meets(work, s).reason ?? [])));
    // The rest are asked of old product, and of a form that is taken off.
    const asked = REASONS.filter((one) => !['nothing-built', 'still-sealed', 'not-softened'].includes(one));
    expect(asked.filter((one) => !given.has(one))).toEqual([]);
  });

  it('what is drawn on slick can be wiped off until the lamp, on tack it is only tidied', () => {
    const drawn = {
      verb: 'draw' as const,
      element: 'petals',
      place: {
        ...wholePlace(),
        region: { kind: 'oval', across: 0, along: 1, width_mm: 3, length_mm: 3, turn_deg: 0 } as const,
      },
    };
    expect(drawnAgain(drawn, 'cured top coat, slick, no-wipe')).toMatch(/drawn again/);
    expect(drawnAgain(drawn, 'cured gel, tacky')).toMatch(/tidied only/);
    expect(drawnAgain({ ...drawn, place: wholePlace() }, 'cured gel, tacky')).toBeUndefined();
    expect(drawnAgain({ ...drawn, verb: 'top' }, 'cured gel, tacky')).toBeUndefined();
  });
});
