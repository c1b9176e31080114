import { compileNail } from '../../compile/compile';
import { planNail } from '../../plan/nailPlan';
import { codesOn, element, setWearing } from '../../testing/sets';

const GROUND = element('colour', { id: 'ground', product: 'night-blue' });
const wearing = (over: Parameters<typeof element<'flakes'>>[1] = {}) =>
  setWearing([GROUND, element('flakes', over), element('finish', { id: 'gloss', finish: 'gloss' })]);
const verbs = (set: ReturnType<typeof wearing>) =>
  compileNail(set, 'left-ring')
    .operations.filter(({ element: id }) => id === 'flakes')
    .map(({ verb }) => verb);

describe('flakes', () => {
  it.each([
    ['slick', ['top', 'cure', 'burnish', 'dust-off']],
    ['tack', ['base', 'cure', 'lay-sheet', 'dust-off']],
    ['wet', ['base', 'lay-sheet', 'cure', 'dust-off']],
  ] as const)('on %s bring a ground of their own, and are sealed', (on, wanted) => {
    const set = wearing({ on });
    expect(verbs(set)).toEqual(wanted);
    expect(codesOn(set)).toEqual([]);
  });

  it('burnished on tack have a slick top put below them; pressed on the tack of a colour they hold', () => {
    const onColour = setWearing([GROUND, element('flakes', { own_ground: false })]);
    expect(verbs(onColour)).toEqual(['top', 'cure', 'burnish', 'dust-off']);
    expect(codesOn(onColour)).toEqual([]);
    expect(codesOn(wearing({ on: 'tack', own_ground: false }))).toEqual([]);
  });

  it.each(['closed', 'broken', 'gaps'] as const)(
    'dabbed into a wet coat and left %s they are closed by gel',
    (left) => {
      const set = setWearing([
        GROUND,
        element('flakes', { on: 'wet', manner: 'dabbed', left, fade: null }),
        element('poured', { id: 'dew', form: 'level', t_um: 250, product: 'builder-a' }),
      ]);
      // Closed, they hide the colour below them: that may be told, and nothing of how they hold.
      expect(codesOn(set).filter((code) => !['art-hidden', 'edge-thick'].includes(code))).toEqual([]);
      const { words } = compileNail(set, 'left-ring').operations.find(({ verb }) => verb === 'lay-sheet')!;
      expect(words).toMatch(/^Dab flakes on while it is wet, /);
    },
  );

  it('cover the less of their ground the more gaps they are left with', () => {
    const laid = (['closed', 'broken', 'gaps'] as const).map((left) => {
      const { field } = planNail(wearing({ on: 'tack', left, fade: null }), 'left-ring').nominal;
      return Math.max(...field.films.find((one) => one.sheet)!.t_um);
    });
    expect(laid[0]!).toBeGreaterThan(laid[1]!);
    expect(laid[1]!).toBeGreaterThan(laid[2]!);
  });

  it('break up where they thin out: less and less of them lies there', () => {
    const { nominal } = planNail(
      wearing({ fade: { direction: 'along', from: 0.9, to: 0.3 } }),
      'left-middle',
    );
    const { field } = nominal;
    const film = field.films.find((one) => one.sheet)!;
    const rows = [0.35, 0.6, 0.85].map((share) => {
      const y = field.grid.y.findIndex((at) => at >= share * field.frame.length_mm);
      return film.t_um[y * 28 + 14]!;
    });
    expect(rows[0]!).toBeLessThan(rows[1]!);
    expect(rows[1]!).toBeLessThan(rows[2]!);
  });
});
