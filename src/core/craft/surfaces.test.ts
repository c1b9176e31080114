import {
  decode,
  encode,
  FINISHES,
  lookup,
  PHASES,
  REASONS,
  rowOf,
  SURFACE_COUNT,
  surfaceWords,
  VERBS,
  type Surface,
  type Verb,
} from './surfaces';

const surface = (over: Partial<Surface>): Surface => ({
  material: 'gel',
  phase: 'cured',
  finish: 'tacky',
  soil: 'clean',
  prep: 'none',
  ...over,
});

describe('the table of surfaces', () => {
  it('has a code for every surface, there and back', () => {
    const codes = Array.from({ length: SURFACE_COUNT }, (_, code) => code);
    expect(codes.map((code) => encode(decode(code)))).toEqual(codes);
  });

  it('answers the same from its typed tables as from its rows', () => {
    for (const verb of VERBS) {
      const { refuses, leaves } = lookup(verb);
      const codes = Array.from({ length: SURFACE_COUNT }, (_, code) => code);
      const reasons = codes.map((code) => rowOf(verb).refuses(decode(code)));
      expect(Array.from(refuses)).toEqual(
        reasons.map((reason) => (reason ? REASONS.indexOf(reason) + 1 : 0)),
      );
      expect(Array.from(leaves)).toEqual(codes.map((code) => encode(rowOf(verb).leaves(decode(code)))));
    }
  });

  // Common practice, row by row: what each is laid on, and whether it holds.
  it.each<[Verb, Partial<Surface>, string | undefined]>([
    ['base', { material: 'plate', phase: 'bare', finish: 'shine' }, 'unprepared-plate'],
    ['base', { material: 'plate', phase: 'bare', finish: 'keyed', prep: 'primed' }, undefined],
    ['base', { material: 'tip', finish: 'shine' }, 'no-grip'],
    ['coat', { finish: 'tacky' }, undefined],
    ['coat', { finish: 'wiped' }, undefined],
    ['coat', { material: 'top', finish: 'slick' }, 'no-grip'],
    ['coat', { material: 'plate', phase: 'bare', finish: 'keyed', prep: 'primed' }, 'unprepared-plate'],
    ['coat', { phase: 'wet' }, 'uncured-covered'],
    ['coat', { finish: 'wiped', soil: 'oil' }, 'oil-before-layer'],
    ['coat', { finish: 'keyed', soil: 'dust' }, 'dust-under-layer'],
    ['draw', { material: 'top', finish: 'slick' }, undefined],
    ['top', { finish: 'matte', material: 'top' }, undefined],
    ['top', { finish: 'slick', material: 'top' }, 'no-grip'],
    ['matte-top', { finish: 'slick', material: 'top' }, undefined],
    ['top', { material: 'stone', finish: 'slick' }, 'top-over-stones'],
    ['set-in-top', { material: 'top', phase: 'wet' }, undefined],
    ['set-in-top', { material: 'top', finish: 'slick' }, 'needs-wet'],
    ['set-in-bead', { phase: 'wet' }, undefined],
    ['place', { phase: 'wet' }, undefined],
    ['place', {}, 'needs-wet'],
    ['cap', { material: 'piece', phase: 'gelled' }, undefined],
    ['file', { finish: 'tacky' }, 'tacky-filed'],
    ['file', { finish: 'wiped' }, undefined],
    ['wipe', { phase: 'wet' }, 'wet-touched'],
    ['oil', { phase: 'wet' }, 'wet-touched'],
  ])('%s on %j: %s', (verb, over, reason) => {
    expect(rowOf(verb).refuses(surface(over))).toBe(reason);
  });

  it('lets no film onto oil, whatever else the surface is', () => {
    const films: Verb[] = ['base', 'coat', 'draw', 'bed', 'cap', 'top', 'matte-top', 'bead', 'press-on'];
    for (const verb of films) {
      for (const finish of FINISHES) {
        for (const phase of PHASES) {
          expect(rowOf(verb).refuses(surface({ finish, phase, soil: 'oil' }))).toBeDefined();
        }
      }
    }
  });

  it('says surfaces in words', () => {
    expect(surfaceWords(surface({ material: 'top', finish: 'slick', soil: 'dust' }))).toBe(
      'cured top coat, slick, no-wipe, dusty',
    );
  });
});
