import fc from 'fast-check';
import { compileNail } from '../../compile/compile';
import { chance } from '../../model/chance';
import { planNail } from '../../plan/nailPlan';
import { grainArea_mm2, passes, stuckShare } from '../../simulate/grains';
import { NONE } from '../../simulate/field';
import { codesOn, element, findingsOn, setWearing } from '../../testing/sets';

const plain = { fade: null } as const;
const glitter = (over: Parameters<typeof element<'glitter'>>[1] = {}) =>
  element('glitter', { ...plain, ...over });
const onColour = (over: Parameters<typeof element<'glitter'>>[1] = {}) =>
  setWearing([element('colour', { id: 'ground' }), glitter(over)]);

describe('grains that are strewn', () => {
  it.each([
    [0.3, 500],
    [0.6, 260],
    [1.2, 120],
  ])('of %f mm, %i to a cm², cover as much as discs thrown at random do', (size_mm, per_cm2) => {
    // Thrown one by one on a square of 20 × 20 mm whose edges meet, and looked at spot by spot.
    const by = chance(7);
    const side = 20;
    const discs = Array.from({ length: Math.round((per_cm2 * side * side) / 100) }, () => ({
      x: by.next() * side,
      y: by.next() * side,
    }));
    const off = (a: number) => Math.min(Math.abs(a), side - Math.abs(a));
    let hit = 0;
    const looks = 6000;
    for (let i = 0; i < looks; i += 1) {
      const [x, y] = [by.next() * side, by.next() * side];
      if (discs.some((d) => Math.hypot(off(d.x - x), off(d.y - y)) < size_mm / 2)) hit += 1;
    }
    expect(stuckShare({ shape: 'round', size_mm, per_cm2 })).toBeCloseTo(hit / looks, 1);
  });

  it('few to a cm² are as many as were brought: area covered over the area of one', () => {
    const few = { shape: 'hexagon', size_mm: 0.4, per_cm2: 30 } as const;
    const stuck = (stuckShare(few) * 100) / grainArea_mm2(few);
    expect(stuck).toBeGreaterThan(29);
    expect(stuck).toBeLessThanOrEqual(30);
  });

  it('keep their volume: area × share × thickness', () => {
    const plan = planNail(onColour({ cover_um: 0 }), 'left-middle');
    const film = plan.nominal.field.films.find(({ grains }) => grains)!;
    const { cell_mm2 } = plan.nominal.field.grid;
    const laid = film.t_um.reduce((sum, t) => sum + t, 0);
    const full = stuckShare(film.grains!) * film.grains!.thickness_um;
    const cells = [...film.t_um].filter((t) => t > full * 0.999).length;
    expect(laid * cell_mm2).toBeGreaterThan(cells * full * cell_mm2 * 0.999);
    expect(Math.max(...film.t_um)).toBeCloseTo(full, 3);
  });

  it('let light by between them, and from their sides below them', () => {
    // Walked by hand: a share c is covered; what lies 100 µm in from a rim, at a depth of 50 µm, has e⁻² of the light.
    expect(passes(0.25, 0.2, 50)).toBeCloseTo(0.75 + 0.25 * Math.exp(-2), 12);
    expect(passes(0, 1, 50)).toBe(1);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.03, max: 4, noNaN: true }),
        fc.double({ min: 10, max: 5000, noNaN: true }),
        (covered, size, depth) => {
          const share = passes(covered, size, depth);
          expect(share).toBeGreaterThanOrEqual(1 - covered - 1e-9);
          expect(share).toBeLessThanOrEqual(1 + 1e-9);
        },
      ),
    );
  });

  it('none, or ten thousand to a cm², plan and draw as any other', () => {
    for (const per_cm2 of [0, 10_000]) {
      const { nominal } = planNail(onColour({ per_cm2 }), 'left-little');
      const film = nominal.field.films.find(({ grains }) => grains)!;
      const covered = [...film.phase].filter((phase) => phase !== NONE).length;
      expect(covered > 0).toBe(per_cm2 > 0);
    }
  });
});

describe('loose glitter at the table', () => {
  it('holds on the tack of a cured colour, covered, with nothing to be said', () => {
    expect(findingsOn(onColour({ cover_um: 120 }), 'left-middle')).toEqual([]);
  });

  it('on a slick top it is given tack, where it is listed', () => {
    const set = setWearing([
      element('colour', { id: 'ground' }),
      element('finish', { finish: 'gloss' }),
      glitter(),
    ]);
    const { operations } = compileNail(set, 'left-middle');
    const strewn = operations.find(({ verb }) => verb === 'strew')!;
    expect(operations[operations.indexOf(strewn) - 2]).toMatchObject({ element: 'glitter', verb: 'base' });
    expect(codesOn(set, 'left-middle')).not.toContain('no-grip');
  });

  it('loose grains that stay under the clear are told', () => {
    const set = onColour();
    set.edits = [{ kind: 'skip', a: 'left-middle/glitter/loose-off#1' }];
    expect(findingsOn(set, 'left-middle').map(({ code }) => code)).toContain('powder-in-bottle');
  });

  it('beads under thick clear are told as drowned, and stand out without it', () => {
    const beads = (cover_um: number) =>
      setWearing([
        element('colour', { id: 'ground' }),
        element('glitter', {
          shape: 'round',
          size_mm: 0.5,
          thickness_um: 500,
          per_cm2: 300,
          fade: null,
          cover_um,
        }),
      ]);
    const drowned = findingsOn(beads(400), 'left-middle').find(({ code }) => code === 'beads-drowned')!;
    expect(drowned.tries.map(({ words }) => words)).toEqual(['Lay no clear over the beads but the top']);
    const codes = findingsOn(beads(0), 'left-middle').map(({ code }) => code);
    expect(codes).not.toContain('beads-drowned');
    // Nor are beads told to be covered until nothing is felt of them.
    expect(findingsOn(beads(120), 'left-middle').map(({ code }) => code)).not.toContain('grains-felt');
  });

  it('coarse grains under thin clear are felt, and more clear is offered', () => {
    const set = onColour({ size_mm: 1, thickness_um: 50, per_cm2: 60, cover_um: 60 });
    const felt = findingsOn(set, 'left-middle').find(({ code }) => code === 'grains-felt');
    expect(felt!.tries[0]!.words).toMatch(/^Lay \d+ µm of clear over the grains$/);
  });

  it('on the other hand lie in the mirror', () => {
    const set = onColour();
    const grains = (nail: 'left-ring' | 'right-ring') =>
      compileNail(set, nail).operations.flatMap(({ deposit }) =>
        deposit?.kind === 'grains' ? [deposit.grains] : [],
      )[0]!;
    expect(grains('right-ring')).toEqual({ ...grains('left-ring'), mirror: true });
  });
});
