import { contextOf } from '../../document/nailContext';
import { NAILS, type NailName } from '../../model/names';
import { element, findingsOn, pick, setWearing } from '../../testing/sets';
import { areaOf } from '../area';
import { techniqueOf, type Element } from '../techniques';

const french = techniqueOf('french');
const made = (key: string) => french.also!.find((one) => one.key === key)!.fresh('french', pick) as Element;
const ground = element('colour', { id: 'ground', product: 'ivory-02' });
const on = (one: Element, nail: NailName = 'left-ring') => {
  const set = setWearing([ground, one], (all) => {
    for (const name of NAILS) all.nails[name].build = 'tips';
  });
  return { set, context: contextOf(set, nail), drafts: french.plan(one, contextOf(set, nail)) };
};

describe('a French', () => {
  it.each(french.also!.map(({ key }) => key))('%s is quiet on every finger of both hands', (key) => {
    const { set } = on(made(key));
    for (const nail of NAILS)
      expect(findingsOn(set, nail).filter(({ severity }) => severity !== 'note')).toEqual([]);
  });

  it('has its liner along the edge of any part, and not along the nail’s own outline', () => {
    for (const key of ['v-french', 'side-french', 'reversed-french']) {
      const { context, drafts } = on(made(key));
      const line = drafts.find(({ step }) => step === 'liner')!;
      const tip = drafts.find(({ step }) => step === 'tip')!;
      const { polygons } = areaOf(context.frame, line.place);
      const part = areaOf(context.frame, { ...tip.place, margin_mm: 0 });
      const whole = areaOf(context.frame, { ...tip.place, region: { kind: 'whole' }, margin_mm: 0 });
      const points = polygons.flat().filter(({ x, y }) => whole.distance_mm(x, y) > 0.6);
      expect(points.length).toBeGreaterThan(10);
      // Well inside the nail, all of the line lies within its half width of the part's edge.
      for (const { x, y } of points) expect(Math.abs(part.distance_mm(x, y))).toBeLessThan(0.35);
    }
  });

  it('that is double has its second line so far behind the first, on the bed’s side', () => {
    const { context, drafts } = on(made('double-french'));
    const at = (step: string) => areaOf(context.frame, drafts.find((one) => one.step === step)!.place);
    const up = (step: string) => {
      const area = at(step);
      const ys = Array.from({ length: 4000 }, (_, i) => (i * context.frame.length_mm) / 4000);
      const inside = ys.filter((y) => area.distance_mm(0, y) > 0);
      return (inside[0]! + inside.at(-1)!) / 2;
    };
    expect(up('liner') - up('second')).toBeCloseTo(1, 1);
    expect(drafts.find((one) => one.step === 'second')!.words).toContain('1 mm behind the first');
  });

  it('on the other hand is its mirror image', () => {
    const side = made('side-french');
    const left = on(side, 'left-ring');
    const right = on(side, 'right-ring');
    const of = ({ context, drafts }: ReturnType<typeof on>) => areaOf(context.frame, drafts[0]!.place);
    for (const [x, y] of [
      [2, 12],
      [-3, 15],
      [4, 9],
    ] as const)
      expect(of(left).distance_mm(x, y)).toBeCloseTo(of(right).distance_mm(-x, y), 6);
  });

  it('that is tinted lets its ground through, one that is faded has no edge', () => {
    expect(on(made('tinted-french')).drafts[0]).toMatchObject({ paint: { kind: 'diluted', strength: 0.25 } });
    expect(on(made('faded-french')).drafts[0]).toMatchObject({
      deposit: { profile: { kind: 'thinned' } },
      words: expect.stringContaining('faded towards the cuticle') as string,
    });
  });

  it('is called by its part', () => {
    const nameOf = (id: string) => id;
    expect(french.called(made('reversed-french'), nameOf)).toMatch(/half moon French$/);
    expect(french.called(french.fresh('one', pick), nameOf)).toMatch(/^[a-z0-9-]+ French$/);
  });
});
