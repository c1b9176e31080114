import fc from 'fast-check';
import { makeFrame } from '../geometry/frame';
import { chance } from '../model/chance';
import { spotAt_mm } from '../regions/on';
import { element, findingsOn, pick, setWearing } from '../testing/sets';
import { drawnAlike, takenFrom } from '../document/keptMotifs';
import { applyChange } from '../document/changes';
import { MOTIFS, motifRegion } from './motifs';
import { PLACINGS, placedStrokes, spotsAlong, type Spot } from './placedStrokes';
import { techniqueOf, type Element } from './techniques';

const frame = makeFrame({
  width_mm: 12,
  arch_mm: 3,
  bed_mm: 12,
  free_mm: 6,
  radiusAlong_mm: 60,
  shape: 'almond',
});
const regions = MOTIFS[0]!.colours.map(motifRegion);
const pointsOf = (all: ReturnType<typeof placedStrokes>) =>
  all.flatMap((region) => (region?.kind === 'paths' ? region.paths.flatMap((path) => path.points) : []));
const mm = (point: { across: number; along: number }) => spotAt_mm(point, { frame, side: 1 });
const at = (over: Partial<Spot> = {}): Spot => ({
  across: 0,
  along: 0.9,
  size: 0.5,
  turn_deg: 0,
  mirrored: false,
  ...over,
});

describe('a drawing that is placed', () => {
  it('without a place lies just as it was drawn', () => {
    expect(placedStrokes(regions, [], frame)).toEqual(regions);
  });

  it('keeps its form: every distance is its own times its size, however it is turned and turned over', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 0.7, noNaN: true }),
        fc.integer({ min: -180, max: 180 }),
        fc.boolean(),
        (size, turn_deg, mirrored) => {
          const drawn = pointsOf([...regions]).map(mm);
          const placed = pointsOf(placedStrokes(regions, [at({ size, turn_deg, mirrored })], frame)).map(mm);
          for (const [i, k] of [
            [0, 7],
            [3, 20],
            [11, 40],
          ] as const) {
            const far = (all: typeof drawn) => Math.hypot(all[i]!.x - all[k]!.x, all[i]!.y - all[k]!.y);
            // Shares are held to a thousandth.
            expect(Math.abs(far(placed) - size * far(drawn))).toBeLessThan(0.05);
          }
        },
      ),
    );
  });

  it('has all its strokes at each place; a place off this nail is dropped', () => {
    const count = pointsOf([...regions]).length;
    expect(pointsOf(placedStrokes(regions, [at(), at({ along: 0.3 })], frame))).toHaveLength(2 * count);
    expect(pointsOf(placedStrokes(regions, [at(), at({ across: 1, along: 2 })], frame))).toHaveLength(count);
    expect(placedStrokes(regions, [at({ across: 1, along: 2 })], frame)).toEqual(
      regions.map(() => undefined),
    );
  });

  it('is thinned with its size, and never finer than a brush', () => {
    const widths = (size: number) =>
      placedStrokes(regions, [at({ size })], frame).flatMap((one) =>
        one?.kind === 'paths' ? one.paths.map((path) => path.width_mm) : [],
      );
    expect(Math.max(...widths(2))).toBeCloseTo(2 * Math.max(...widths(1)), 6);
    // Nor finer than a liner leaves, where it was not drawn so.
    expect(Math.min(...widths(0.1))).toBeGreaterThanOrEqual(0.15);
  });

  it.each(PLACINGS.map((one) => [one.words, one] as const))(
    '%s is a way that the format takes',
    (_words, way) => {
      for (let seed = 1; seed <= 20; seed += 1) {
        const spots = way.spots(chance(seed).next);
        const motif = { ...techniqueOf('motif').also![0]!.fresh('motif', pick), spots } as Element;
        expect(techniqueOf('motif').schema.safeParse(motif).success).toBe(true);
      }
      const motif = {
        ...techniqueOf('motif').also![0]!.fresh('motif', pick),
        spots: way.spots(chance(7).next),
      } as Element;
      const set = setWearing([element('colour', { id: 'ground', product: 'ivory-02' }), motif]);
      expect(findingsOn(set).filter(({ severity }) => severity === 'stop')).toEqual([]);
    },
  );

  it('lies on the right hand as its mirror image', () => {
    const motif = {
      ...(techniqueOf('motif').also![0]!.fresh('motif', pick) as Extract<Element, { kind: 'motif' }>),
      spots: [at({ across: 0.4 })],
    };
    const { arrangements } = techniqueOf('motif');
    expect(arrangements!.map(({ key }) => key)).toEqual(PLACINGS.map(({ key }) => key));
    expect(motif.spots).toHaveLength(1);
  });
});

describe('along a line that was drawn', () => {
  const on = { frame, side: 1 as const, scale: 1, size: 1 };
  const line = Array.from({ length: 30 }, (_, i) => ({
    x: -4 + i * 0.28,
    y: 4 + 3 * Math.sin(i / 9) + i * 0.2,
  }));

  it('places lie on it, as far from each other along it, and turn with it', () => {
    const spots = spotsAlong(line, on);
    expect(spots.length).toBeGreaterThan(2);
    for (const one of spots) {
      const { x, y } = mm(one);
      expect(Math.min(...line.map((point) => Math.hypot(point.x - x, point.y - y)))).toBeLessThan(0.25);
    }
    // Towards the tip is upright, to the right is a quarter turn clockwise.
    const [up] = spotsAlong(
      [
        { x: 0, y: 2 },
        { x: 0, y: 3 },
      ],
      on,
    );
    const [right] = spotsAlong(
      [
        { x: 0, y: 5 },
        { x: 2, y: 5 },
      ],
      on,
    );
    expect([up!.turn_deg, right!.turn_deg]).toEqual([0, -90]);
  });

  it('drawn on the other hand they are held as the left one has them', () => {
    const mirrored = line.map(({ x, y }) => ({ x: -x, y }));
    expect(spotsAlong(mirrored, { ...on, side: -1 })).toEqual(spotsAlong(line, on));
  });

  it('a dot of a line is one place', () => {
    expect(
      spotsAlong(
        [
          { x: 1, y: 5 },
          { x: 1, y: 5 },
        ],
        on,
      ),
    ).toHaveLength(1);
  });
});

describe('a motif of the library', () => {
  const library = techniqueOf('motif').library!;
  const motif = techniqueOf('motif').also![2]!.fresh('bow', pick);
  const set = setWearing([element('colour'), { ...motif, kept: 'bow-1' } as Element], (one) => {
    one.looks.push(
      {
        id: 'other',
        name: 'Other',
        key: 'b',
        elements: [{ ...motif, id: 'again', kept: 'bow-1', spots: [at()] } as Element],
      },
      { id: 'third', name: 'Third', key: 'c', elements: [{ ...motif, id: 'alone' } as Element] },
    );
  });
  const product = (id: string) => set.kit.products.find((one) => one.id === id)!;

  it('is kept with the products it was drawn in, and taken as it was kept', () => {
    const kept = library.keep(motif, 'bow-1', 'Bow', product);
    expect(kept.colours.map((one) => one.product.id)).toEqual(techniqueOf('motif').products(motif));
    const taken = library.take(kept, techniqueOf('motif').fresh('new', pick));
    expect(library.keep(taken, 'bow-1', 'Bow', product)).toEqual(kept);
    expect(library.taken(taken)).toBe('bow-1');
  });

  it('mended once is mended wherever the set has it, each where it was placed', () => {
    expect(takenFrom(set, 'bow-1').map(({ element: one }) => one.id)).toEqual(['bow', 'again']);
    const mended = { ...library.keep(motif, 'bow-1', 'Bow', product), cure: 'each' as const };
    const next = applyChange(set, drawnAlike(set, mended)!);
    if (!next.ok) throw new Error('refused');
    const of = (id: string) =>
      next.value.looks.flatMap(({ elements }) => elements).find((one) => one.id === id)!;
    expect([of('bow'), of('again'), of('alone')]).toMatchObject([
      { cure: 'each' },
      { cure: 'each', spots: [at()] },
      { cure: 'all' },
    ]);
    expect(drawnAlike(next.value, mended)).toBeUndefined();
  });

  it('brings a product that the set has not', () => {
    const other = { ...product('velvet-04'), id: 'own-red', name: 'Own red' };
    const kept = library.keep(motif, 'bow-1', 'Bow', product);
    kept.colours[0]!.product = other;
    const next = applyChange(set, drawnAlike(set, kept)!);
    expect(next.ok && next.value.kit.products.some(({ id }) => id === 'own-red')).toBe(true);
  });
});
