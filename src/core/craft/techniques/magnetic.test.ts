import fc from 'fast-check';
import { compileNail } from '../../compile/compile';
import type { NailName } from '../../model/names';
import { drawNail } from '../../picture/nailPicture';
import { planNail } from '../../plan/nailPlan';
import { planSet } from '../../plan/planSet';
import { codesOn, element, findingsOn, setWearing } from '../../testing/sets';
import { shimmerAt } from '../shimmer';

const over = (options: Parameters<typeof element<'magnetic'>>[1] = {}) =>
  setWearing([element('colour', { product: 'night-blue' }), element('magnetic', options)]);
const workOn = (set: ReturnType<typeof over>, nail: NailName = 'left-ring') =>
  compileNail(set, nail).operations.filter((one) => one.element === 'magnetic');

describe('magnetic gel', () => {
  it('is coated, drawn, flashed and cured, the first three in one go', () => {
    const work = workOn(over());
    expect(work.map((one) => [one.verb, one.held ?? false])).toEqual([
      ['coat', false],
      ['magnet', true],
      ['flash', true],
      ['cure', false],
    ]);
    expect(work[1]).toMatchObject({
      words:
        'Bar magnet held over the middle, high on the bed, turned 25°, its tip end to the little-finger side, 4 mm off the nail, 8 s',
      hand_s: 8,
      caution: expect.stringContaining('pacemakers') as string,
    });
    expect(codesOn(over())).toEqual([]);
  });

  it('draws the last coat or every one, and lets no coat lie wet beside a magnet', () => {
    const verbs = (drawn: 'last' | 'every') => workOn(over({ passes: 2, drawn })).map((one) => one.verb);
    expect(verbs('last')).toEqual(['coat', 'flash', 'cure', 'coat', 'magnet', 'flash', 'cure']);
    expect(verbs('every')).toEqual(['coat', 'magnet', 'flash', 'cure', 'coat', 'magnet', 'flash', 'cure']);
  });

  it.each([
    [{ turn_deg: 0 }, 'over the middle, high on the bed, along the nail'],
    [{ turn_deg: 180 }, 'over the middle, high on the bed, along the nail'],
    [{ turn_deg: -90, along: 0.1 }, 'over the middle, at the cuticle, across the nail'],
    [
      { turn_deg: -30, across: 0.7 },
      'over the thumb side, high on the bed, turned 30°, its tip end to the thumb side',
    ],
    [
      { across: -0.3, along: 1 },
      'over beside the middle, to the little-finger side, where the free edge begins',
    ],
    [{ form: 'round' as const, along: 2 }, 'over the middle, at the tip, 4 mm'],
    [
      { form: 'sides' as const, distance_mm: 0 },
      'beside one sidewall, then the other, as near as it goes, 8 s each',
    ],
  ])('says its recipe as a hand does: %j', (options, words) => {
    expect(workOn(over(options))[1]!.words).toContain(words);
  });

  it('is turned over for the other hand; said by the fingers it reads alike on both', () => {
    const words = (hand: 'mirror' | 'same', name: NailName) => workOn(over({ hand }), name)[1]!.words;
    expect(words('mirror', 'left-ring')).toContain('turned 25°, its tip end to the little-finger side');
    expect(words('mirror', 'right-ring')).toBe(words('mirror', 'left-ring'));
    expect(words('same', 'right-ring')).toContain('turned 25°, its tip end to the thumb side');
    const [left, right] = [workOn(over({ across: -0.3 })), workOn(over({ across: -0.3 }), 'right-ring')];
    const x = (work: typeof left) => (work[0]!.paint?.kind === 'shimmer' ? work[0]!.paint.x_mm : 0);
    expect(x(left)).toBeLessThan(-1);
    expect(x(right)).toBeCloseTo(-x(left), 1);
  });

  it.each([
    ['after the flash', 'flash', 'needs-wet'],
    ['left out', undefined, 'work-left-out'],
  ])('a magnet %s is told', (_, after, code) => {
    const set = over();
    const id = (step: string) => `left-ring/magnetic/${step}#1`;
    set.edits = after
      ? [{ kind: 'move', a: id('magnet'), side: 'after', b: id(after) }]
      : [{ kind: 'skip', a: id('magnet') }];
    expect(findingsOn(set).map((one) => one.code)).toContain(code);
    expect(codesOn(over())).not.toContain(code);
  });

  it('is worked nail by nail: from a coat to its flash nothing else of it is wet, on either hand', () => {
    const { sitting, findings } = planSet(over({ passes: 2 }), { effort: { iterations: 400 }, fixes: false });
    expect(findings).toEqual([]);
    const spans = sitting.strokes
      .filter((one) => one.operation.includes('/magnetic/coat#'))
      .map((coat) => {
        const flash = coat.operation.replace('/coat#', '/flash#');
        return {
          from: coat.start_s,
          to: sitting.loads.find((load) => load.operations.includes(flash))!.end_s,
        };
      })
      .sort((a, b) => a.from - b.from);
    expect(spans).toHaveLength(20);
    spans.slice(1).forEach((span, i) => expect(span.from).toBeGreaterThanOrEqual(spans[i]!.to - 0.01));
  });

  it('shines along its line and lets the ground show beside it', () => {
    const set = over({ turn_deg: 0, width_mm: 2, passes: 2 });
    const { nominal, compiled } = planNail(set, 'left-middle');
    const picture = drawNail(nominal.field, compiled.context.product, 8);
    const bright = (share: number) => {
      const at = (Math.round(picture.height * 0.5) * picture.width + Math.round(picture.width * share)) * 4;
      return picture.data[at]! + picture.data[at + 1]! + picture.data[at + 2]!;
    };
    expect(bright(0.5)).toBeGreaterThan(1.5 * bright(0.8));
  });

  it('the shimmer is whole at its middle, gone a few widths off, and the other way round at the sides', () => {
    const spot = fc.record({
      x_mm: fc.double({ min: -6, max: 6, noNaN: true }),
      y_mm: fc.double({ min: 0, max: 20, noNaN: true }),
      turn_deg: fc.integer({ min: -180, max: 180 }),
      width_mm: fc.double({ min: 0.3, max: 6, noNaN: true }),
    });
    const direction = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true });
    fc.assert(
      fc.property(spot, direction, (one, angle) => {
        const at = (form: 'line' | 'round' | 'sides', far: number) =>
          shimmerAt({ kind: 'shimmer', form, ...one })(
            one.x_mm + far * one.width_mm * Math.cos(angle),
            one.y_mm + far * one.width_mm * Math.sin(angle),
          );
        expect([at('line', 0), at('round', 0), at('sides', 0)]).toEqual([1, 1, 0]);
        expect(at('round', 1.5)).toBeLessThan(0.01);
        expect(at('sides', 1.5)).toBeGreaterThan(0.99);
        // Along its own direction a line goes on.
        const turn = (one.turn_deg * Math.PI) / 180;
        const on = shimmerAt({ kind: 'shimmer', form: 'line', ...one });
        expect(on(one.x_mm - 9 * Math.sin(turn), one.y_mm + 9 * Math.cos(turn))).toBeCloseTo(1, 6);
      }),
    );
  });
});
