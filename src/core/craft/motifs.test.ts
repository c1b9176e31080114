import { compileNail } from '../compile/compile';
import { polygonArea_mm2 } from '../geometry/polygons';
import { planNail } from '../plan/nailPlan';
import { Region } from '../regions';
import { element, findingsOn, pick, setWearing } from '../testing/sets';
import { areaOf } from './area';
import { motifRegion, MOTIFS, PATTERNS } from './motifs';
import { techniqueOf } from './techniques';

const variants = techniqueOf('motif').also!;
const ground = element('colour', { id: 'ground', product: 'ivory-02' });

it('there are fifteen small motifs, each under a name of its own', () => {
  expect(MOTIFS).toHaveLength(15);
  expect(new Set(MOTIFS.map(({ key }) => key)).size).toBe(15);
  expect(variants.map(({ key }) => key)).toEqual([...MOTIFS, ...PATTERNS].map(({ key }) => key));
});

describe.each(MOTIFS.map((one) => [one.words, one] as const))('%s', (_words, { key, colours }) => {
  const set = setWearing([ground, variants.find((one) => one.key === key)!.fresh('motif', pick)]);

  it('can be drawn: strokes and shapes that the schema takes', () => {
    for (const strokes of colours) expect(Region.safeParse(motifRegion(strokes)).success).toBe(true);
  });

  it.each(['left-middle', 'right-little'] as const)(
    'is planned on the %s with nothing that stops it',
    (nail) => {
      expect(findingsOn(set, nail).filter(({ severity }) => severity === 'stop')).toEqual([]);
    },
  );

  it('lies on the nail, small, each of its colours a part of it', () => {
    const { compiled } = planNail(set, 'left-middle');
    const { frame } = compiled.context;
    const drawn = compiled.operations.filter(({ verb, element: id }) => id === 'motif' && verb === 'draw');
    expect(drawn).toHaveLength(colours.length);
    for (const { place } of drawn) {
      const { polygons } = areaOf(frame, place);
      const mm2 = polygons.reduce((sum, one) => sum + Math.abs(polygonArea_mm2(one)), 0);
      expect(mm2).toBeGreaterThan(0.1);
      expect(mm2).toBeLessThan(60);
      for (const { x, y } of polygons.flat()) {
        expect(Math.abs(x)).toBeLessThan(frame.arc_mm / 2);
        expect(y).toBeGreaterThan(0);
        expect(y).toBeLessThan(frame.length_mm);
      }
    }
  });

  it('takes a hand from some seconds to four minutes', () => {
    const seconds = compileNail(set, 'left-middle')
      .operations.filter(({ element: id }) => id === 'motif')
      .reduce((sum, one) => sum + one.hand_s, 0);
    expect(seconds).toBeGreaterThan(8);
    expect(seconds).toBeLessThan(240);
  });
});
