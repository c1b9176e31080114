import { LAID, type Laid } from './families';
import { decode, encode, FINISHES, PHASES, SURFACE_COUNT, surfaceWords, type Surface } from './surface';
import { lookup, REASONS, rowOf, VERBS, wantsFor, type Verb } from './surfaces';
import { WORKS } from './layering';

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
    const codes = Array.from({ length: SURFACE_COUNT }, (_, code) => code);
    for (const verb of VERBS) {
      for (const laid of LAID) {
        const { refuses, leaves } = lookup(verb, laid);
        const otherwise = codes.filter((code) => {
          const row = rowOf(verb);
          const reason = row.refuses(decode(code), laid);
          return (
            refuses[code] !== (reason ? REASONS.indexOf(reason) + 1 : 0) ||
            leaves[code] !== encode(row.leaves(decode(code), laid))
          );
        });
        expect([verb, laid, otherwise.map(decode)]).toEqual([verb, laid, []]);
      }
    }
  });

  // Common practice, row by row: what each is laid on, and whether it holds.
  const plate = { material: 'plate', phase: 'bare' } as const;
  const primed = { ...plate, finish: 'keyed', prep: 'primed' } as const;
  it.each<[Verb, Laid, Partial<Surface>, string | undefined]>([
    ['base', 'base', { ...plate, finish: 'shine' }, 'unprepared-plate'],
    ['base', 'base', primed, undefined],
    ['base', 'base', { material: 'tip', finish: 'shine' }, 'no-grip'],
    ['coat', 'gel', { finish: 'tacky' }, undefined],
    ['coat', 'gel', { finish: 'wiped' }, undefined],
    ['coat', 'gel', { material: 'top', finish: 'slick' }, 'no-grip'],
    ['coat', 'gel', { phase: 'wet' }, 'uncured-covered'],
    ['coat', 'gel', { finish: 'wiped', soil: 'oil' }, 'oil-before-layer'],
    ['coat', 'gel', { finish: 'keyed', soil: 'dust' }, 'dust-under-layer'],
    // What lies on a prepared plate without a base: two-stage colour and structure gels, no ordinary colour.
    ['coat', 'gel', primed, 'no-grip'],
    ['coat', 'two-stage', primed, undefined],
    ['coat', 'two-stage', { ...plate, finish: 'shine' }, 'unprepared-plate'],
    ['press-on', 'structure', primed, undefined],
    // Art gel cures slick and is open to the next gel; a no-wipe top is not, save to another top.
    ['coat', 'gel', { material: 'art', finish: 'slick' }, undefined],
    ['coat', 'art', { material: 'top', finish: 'slick' }, undefined],
    ['top', 'top', { material: 'top', finish: 'slick' }, undefined],
    ['top', 'top', { material: 'top', finish: 'powdered' }, undefined],
    ['coat', 'gel', { material: 'top', finish: 'powdered' }, 'no-grip'],
    ['draw', 'gel', { material: 'top', finish: 'slick' }, undefined],
    ['burnish', 'powder', { material: 'top', finish: 'slick' }, undefined],
    ['burnish', 'powder', { finish: 'tacky' }, 'no-grip'],
    // Lacquer dries under nothing and holds no gel.
    ['coat', 'lacquer', { finish: 'tacky' }, 'no-grip'],
    ['coat', 'lacquer', { material: 'lacquer', finish: 'wiped' }, undefined],
    ['coat', 'gel', { material: 'lacquer', finish: 'wiped' }, 'no-grip'],
    ['top', 'top', { finish: 'matte', material: 'top' }, undefined],
    ['matte-top', 'top', { finish: 'slick', material: 'top' }, undefined],
    ['top', 'top', { material: 'stone', finish: 'slick' }, 'top-over-stones'],
    ['top-over', 'top', { material: 'stone', finish: 'slick' }, undefined],
    ['top-over', 'top', { material: 'stone', finish: 'slick', soil: 'dust' }, 'dust-under-layer'],
    ['top-over', 'top', { material: 'stone', finish: 'slick', phase: 'wet' }, 'uncured-covered'],
    ['top-over', 'top', { material: 'plate', finish: 'shine' }, 'unprepared-plate'],
    ['set-in-top', 'stone', { material: 'top', phase: 'wet' }, undefined],
    ['set-in-top', 'stone', { material: 'clear', phase: 'wet' }, undefined],
    ['set-in-top', 'stone', { material: 'gel', phase: 'wet' }, 'needs-wet'],
    ['set-in-top', 'stone', { material: 'top', finish: 'slick' }, 'needs-wet'],
    ['set-in-colour', 'stone', { material: 'gel', phase: 'wet' }, undefined],
    ['set-in-colour', 'stone', { material: 'art', phase: 'wet' }, undefined],
    ['set-in-colour', 'stone', { material: 'top', phase: 'wet' }, 'needs-wet'],
    ['set-in-colour', 'stone', { material: 'gel' }, 'needs-wet'],
    ['set-in-bead', 'stone', { material: 'clear', phase: 'wet' }, undefined],
    ['set-in-bead', 'stone', { material: 'glue', phase: 'wet' }, undefined],
    ['set-in-bead', 'stone', { material: 'gel', phase: 'wet' }, 'needs-wet'],
    ['bead', 'glue', { material: 'top', finish: 'slick' }, undefined],
    ['bead', 'structure', { material: 'top', finish: 'slick' }, 'no-grip'],
    ['place', 'piece', { phase: 'wet' }, undefined],
    ['place', 'piece', {}, 'needs-wet'],
    ['place', 'fine-piece', {}, undefined],
    ['place', 'fine-piece', { finish: 'wiped' }, 'needs-wet'],
    ['cap', 'structure', { material: 'piece', phase: 'gelled' }, undefined],
    ['file', 'nothing', { finish: 'tacky' }, 'tacky-filed'],
    ['file', 'nothing', { finish: 'wiped' }, undefined],
    ['file', 'nothing', { phase: 'gelled', finish: 'wiped' }, 'wet-touched'],
    ['wipe', 'nothing', { phase: 'wet' }, 'wet-touched'],
    ['oil', 'nothing', { phase: 'wet' }, 'wet-touched'],
    // The graver fault is named: dust hides no unprepared plate and no missing grip.
    ['base', 'base', { ...plate, finish: 'shine', soil: 'dust' }, 'unprepared-plate'],
    ['prime', 'nothing', { ...plate, finish: 'shine', soil: 'dust' }, 'unprepared-plate'],
    ['coat', 'gel', { material: 'top', finish: 'slick', soil: 'dust' }, 'no-grip'],
    ['top', 'top', { material: 'stone', soil: 'dust' }, 'top-over-stones'],
  ])('%s of %s on %j: %s', (verb, laid, over, reason) => {
    expect(rowOf(verb).refuses(surface(over), laid)).toBe(reason);
  });

  it('lets no film onto oil, whatever else the surface is', () => {
    const films: Verb[] = ['base', 'coat', 'draw', 'bed', 'cap', 'top', 'matte-top', 'bead', 'press-on'];
    for (const verb of films) {
      for (const laid of LAID) {
        for (const finish of FINISHES) {
          for (const phase of PHASES) {
            expect(rowOf(verb).refuses(surface({ finish, phase, soil: 'oil' }), laid)).toBe(
              'oil-before-layer',
            );
          }
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

describe('what is said to be wanted', () => {
  it('is never what was found and does not hold', () => {
    const told: string[] = [];
    for (const { verb, laid } of WORKS)
      for (let code = 0; code < SURFACE_COUNT; code += 1) {
        const met = decode(code);
        const refused = lookup(verb, laid).refuses[code]!;
        if (refused === 0 || REASONS[refused - 1] !== 'no-grip' || met.phase !== 'cured') continue;
        // Lacquer and plates are refused for what they are.
        if (['lacquer', 'plate', 'form', 'stone', 'piece'].includes(met.material)) continue;
        const said = wantsFor(verb, laid).split('; or')[0]!;
        if (said.startsWith('a hard film') && new RegExp(`\\b${met.finish}\\b`).test(said))
          told.push(`${verb} of ${laid} on ${surfaceWords(met)}: ${said}`);
      }
    expect(told).toEqual([]);
  });
});
