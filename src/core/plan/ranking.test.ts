import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { compileNail } from '../compile/compile';
import { NAILS } from '../model/names';
import { element, setWearing } from '../testing/sets';
import { applyChange } from '../document/changes';
import { planSet } from './planSet';

/* Which way out is offered first, and that none says two things of one. */

const ring = (step: string) => `left-ring/${step}`;
const skip = (...steps: string[]): Edit[] => steps.map((step) => ({ kind: 'skip', a: ring(step) }));
/** One nail, so that what is tried is quick. */
const alone = (set: SetDocument): SetDocument => {
  for (const nail of NAILS) set.nails[nail].in_work = nail === 'left-ring';
  return set;
};
const found = (set: SetDocument, code: string) =>
  planSet(set, { effort: { iterations: 60 } }).findings.find((one) => one.code === code);
const colour = element('colour');

it('every step that was left out is tried, however many nearer changes there are', () => {
  const set = alone(setWearing([colour]));
  set.edits = [
    ...skip('prep/buff#1'),
    ...Array.from({ length: 9 }, (_, i): Edit => ({
      kind: 'insert',
      id: `rest-${i}`,
      nail: 'left-ring',
      after: ring('prep/prime#1'),
      verb: 'rest',
      seconds: 1,
      words: 'Breathe',
    })),
  ];
  expect(found(set, 'unprepared-plate')!.fix!.words).toBe('Do “Take the shine off” after all');
});

it('a sticky nail under the file is wiped before anyone is asked to leave the filing out', () => {
  const set = alone(setWearing([colour]));
  set.edits = [
    {
      kind: 'insert',
      id: 'smooth',
      nail: 'left-ring',
      after: ring('colour/cure#2'),
      verb: 'buff',
      seconds: 20,
      words: 'Smooth it',
    },
  ];
  const fault = found(set, 'tacky-filed')!;
  expect(fault.fix!.words).toMatch(/^Wipe the sticky layer off first/);
});

it('where the pieces are as they were bought: turned, trimmed, more clear, and only then other pieces', () => {
  const piece = { ...element('inlay').pieces[0]!, stiffness: 1, thickness_mm: 0.25, metallic: false };
  const inlay = element('inlay', {
    cap_um: 500,
    pieces: [{ ...piece, width_mm: 4, length_mm: 1.2, turn_deg: 0, across: 0, along: 0.7 }],
  });
  const set = alone(setWearing([inlay], (one) => (one.nails['left-ring'].build = 'tips')));
  const fault = planSet(set, { effort: { iterations: 60 } }).findings.find((one) =>
    ['piece-proud', 'cap-thin'].includes(one.code),
  )!;
  expect(fault.fix!.words).toMatch(/^(Turn|Trim|Lay the cap)/);
});

it('what is drawn past the sidewall is cut there before it is dropped', () => {
  const outline = element('colour', {
    id: 'wing',
    product: 'night-blue',
    region: {
      kind: 'outline',
      points: [
        { across: 0.2, along: 0.4 },
        { across: 1.4, along: 0.5 },
        { across: 1.3, along: 0.9 },
        { across: 0.3, along: 0.9 },
      ],
    },
  });
  const fault = found(alone(setWearing([colour, outline])), 'region-off-the-plate')!;
  expect(fault.fix!.words).toBe('Cut it at the edge of the nail');
});

it('a nail without a top always has a way out', () => {
  const left = alone(setWearing([colour]));
  left.edits = skip('top/coat#1', 'top/cure#1');
  expect(found(left, 'no-top')!.fix).toBeDefined();
});

it('no way out in two parts says two values of one thing', () => {
  const thin = element('colour', { id: 'thin', product: 'lemon-05', passes: 1 });
  const set = alone(setWearing([thin, element('crystals', { colour: '#fff27a' })]));
  for (const { fix } of planSet(set, { effort: { iterations: 60 } }).findings) {
    if (fix?.change.kind !== 'many') continue;
    const numbers = fix.words.match(/\b(cap|apex|coats?)\b/g) ?? [];
    expect(new Set(numbers).size).toBe(numbers.length);
  }
});

describe('what was put in by hand', () => {
  const rest: Edit = {
    kind: 'insert',
    id: 'look',
    nail: 'left-ring',
    after: ring('one/cure#1'),
    verb: 'rest',
    seconds: 20,
    words: 'Look at it',
  };
  const wearing = (...edits: Edit[]) => {
    const band = (from: number, to: number) => ({ kind: 'band' as const, from, to });
    const set = setWearing([
      element('colour', { id: 'one', passes: 1, region: band(0.1, 0.4) }),
      element('colour', { id: 'two', product: 'night-blue', passes: 1, region: band(0.6, 0.9) }),
    ]);
    set.edits = edits;
    return compileNail(set, 'left-ring').operations.map((one) => one.id);
  };

  it('goes along when the step it follows is moved, alone or with its coat', () => {
    const after = (a: string): Edit => ({ kind: 'move', a: ring(a), side: 'after', b: ring('two/cure#1') });
    for (const moved of ['one/coat#1', 'one/cure#1']) {
      const order = wearing(rest, after(moved));
      expect(order.indexOf(ring('own/look#1'))).toBe(order.indexOf(ring('one/cure#1')) + 1);
    }
  });

  it('stays where it was moved to by itself', () => {
    const away: Edit = { kind: 'move', a: ring('own/look#1'), side: 'before', b: ring('top/coat#1') };
    const moved: Edit = { kind: 'move', a: ring('one/coat#1'), side: 'after', b: ring('two/cure#1') };
    const order = wearing(rest, away, moved);
    expect(order.indexOf(ring('own/look#1'))).toBe(order.indexOf(ring('top/coat#1')) - 1);
  });
});

it('a change that mends leads to a document that can be read', () => {
  const set = alone(setWearing([colour]));
  set.edits = skip('top/coat#1', 'top/cure#1', 'prep/buff#1');
  for (const { fix } of planSet(set, { effort: { iterations: 60 } }).findings)
    if (fix) expect(applyChange(set, fix.change).ok).toBe(true);
});
