import { snowScene } from '../demo/snowScene';
import { NAILS } from '../model/names';
import { planSet } from '../plan/planSet';
import { element, setWearing } from '../testing/sets';
import { cardOf } from './card';
import { shortWindow, windowWords } from './windows';

describe('windows of a step', () => {
  const set = snowScene();
  const plan = planSet(set, { fixes: false, effort: { iterations: 300 } });
  const all = NAILS.flatMap((nail) => plan.operations[nail]);
  const timed = (id: string) => plan.sitting.strokes.find((stroke) => stroke.operation === id);

  it('are judged with the seconds that the sitting really has: from the end of a step to what follows', () => {
    let seen = 0;
    for (const nail of NAILS)
      plan.operations[nail].forEach((one, i, own) => {
        const window = plan.windows[one.id];
        if (window?.words !== 'Into the lamp' || window.taken_s === undefined) return;
        const lit = own.slice(i + 1).find(({ lamp }) => lamp)!;
        const load = plan.sitting.loads.find(({ operations }) => operations.includes(lit.id))!;
        expect(Math.abs(window.taken_s - (load.start_s - timed(one.id)!.end_s))).toBeLessThanOrEqual(1);
        seen += 1;
      });
    expect(seen).toBeGreaterThan(20);
  });

  it('that are passed are just those that the sitting has broken', () => {
    const passed = all.filter(({ id }) => {
      const window = plan.windows[id];
      return window?.taken_s !== undefined && window.taken_s > window.most_s + 1;
    });
    const broken = plan.sitting.broken.filter(({ kind }) => !/dust|hand/.test(kind));
    expect(passed.length === 0).toBe(broken.length === 0);
  });

  it('a top below mirror powder waits half a minute, and the card says so beside it', () => {
    const top = all.find((one) => one.element === 'mirror' && one.step === 'cure-ground')!;
    expect(windowWords(plan.windows[top.id]!)).toMatch(
      /^Burnished while it is warm within 30 s, 1 min 15 s at most; here /,
    );
    const lines = cardOf(plan.passes, NAILS, plan.windows).flatMap((pass) => pass.lines);
    expect(lines.filter(({ within }) => within?.includes('while it is warm')).length).toBeGreaterThan(0);
    // Where there are minutes, it is nothing to put on a card.
    expect(lines.filter(({ within }) => within?.startsWith('covered')).length).toBe(0);
  });

  it('acrylic is pinched in its own time', () => {
    const own = setWearing([element('built', { stops: [{ product: 'acrylic-blush', at: 0.5 }] })], (all_) => {
      all_.builds.push({
        id: 'form',
        kind: 'sculpted-form',
        name: 'Form',
        shape: 'almond',
        material: 'acrylic',
        length_mm: 8,
        apex_um: 650,
        art: 'over',
        french: null,
      });
      all_.nails['left-ring'].build = 'form';
    });
    const made = planSet(own, { fixes: false, effort: { iterations: 0 } });
    const sculpted = made.operations['left-ring'].find(({ verb }) => verb === 'sculpt')!;
    expect(made.windows[sculpted.id]!.words).toBe('Pinched while it gives');
  });

  it.each([
    [
      { words: 'Into the lamp', guide_s: 120, most_s: 180, taken_s: 45 },
      'Into the lamp within 2 min, 3 min at most; here after 45 s',
    ],
    [
      { words: 'Into the lamp', guide_s: 40, most_s: 40, taken_s: 0 },
      'Into the lamp within 40 s; here at once',
    ],
    [{ words: 'Opened', guide_s: 90, most_s: 100 }, 'Opened within 1 min 30 s, 1 min 40 s at most'],
  ])('%j is said in words', (window, words) => {
    expect(windowWords(window)).toBe(words);
    expect(shortWindow({ ...window, most_s: 200 })).toBeUndefined();
  });
});
