import { buildKindOf, type Build } from '../../craft/builds';
import type { Element } from '../../craft/techniques';
import { NAILS } from '../../model/names';
import { planSet } from '../../plan/planSet';
import type { SetDocument } from '../../document/document';
import { codesOn, element, findingsOn, QUICK, setWearing } from '../../testing/sets';

/* Judgements as an artist makes them at a table: what was seen to be missed or said falsely, each by a small document. */

const form = (change: (set: SetDocument) => void = () => undefined) =>
  setWearing([element('colour')], (set) => {
    set.builds.push(buildKindOf('sculpted-form').fresh('test') as Build);
    for (const nail of NAILS) set.nails[nail].build = 'test';
    change(set);
  });
const colour = (over: object): Element => element('colour', over);
const told = (set: SetDocument, code: string) => findingsOn(set).filter((one) => one.code === code);

describe('what is worn for the work', () => {
  it('a form that comes off before it is fitted is a stop, and one that never comes off', () => {
    const early = form((set) => {
      set.edits = [
        { kind: 'move', a: 'left-ring/build/form-off#1', side: 'before', b: 'left-ring/build/form#1' },
      ];
    });
    expect(told(early, 'off-before-on')).toMatchObject([{ severity: 'stop' }]);
    expect(told(early, 'left-on')).toMatchObject([{ severity: 'stop' }]);
    const never = form((set) => (set.edits = [{ kind: 'skip', a: 'left-ring/build/form-off#1' }]));
    expect(told(never, 'left-on')).toMatchObject([{ severity: 'stop' }]);
    expect(codesOn(form())).toEqual([]);
  });

  it('no way out takes a form off before it is on', () => {
    const set = form((one) => {
      one.edits = [{ kind: 'skip', a: 'left-ring/build/form-off#1' }];
    });
    const { findings } = planSet(set, { effort: { iterations: 60 } });
    const left = findings.find((one) => one.code === 'left-on' || one.code === 'work-left-out')!;
    expect(left.severity).toBe('stop');
    expect(left.fix?.words).toMatch(/after all/);
  });
});

describe('the finished pile is judged', () => {
  it('a thin coat that another of the same look covers is no see-through', () => {
    const thin = colour({ id: 'first', product: 'lemon-05', passes: 1 });
    expect(codesOn(setWearing([thin]))).toContain('see-through');
    expect(codesOn(setWearing([thin, colour({ id: 'second', product: 'velvet-04' })]))).not.toContain(
      'see-through',
    );
  });

  it('a mark of a few tenths of a millimetre is no coat', () => {
    const region = {
      kind: 'path' as const,
      width_mm: 0.3,
      points: [
        { across: -0.4, along: 0.4 },
        { across: 0.4, along: 0.8 },
      ],
    };
    const line = colour({ id: 'line', product: 'lemon-05', passes: 1, region });
    expect(told(setWearing([colour({}), line]), 'see-through')).toEqual([]);
  });

  it('what hides a colour is named, not what happens to lie on top', () => {
    const set = setWearing([
      colour({ id: 'below' }),
      colour({ id: 'opaque', product: 'night-blue' }),
      colour({ id: 'sheer', product: 'blush-sheer' }),
    ]);
    expect(told(set, 'art-hidden')[0]!.message).toMatch(/Night blue/);
  });

  it('a ground that is there to lie under shimmer or mirror is not said to be hidden', () => {
    const magnetic = setWearing([colour({ id: 'ground', product: 'night-blue' }), element('magnetic')]);
    expect(told(magnetic, 'art-hidden')).toEqual([]);
  });

  it('stones of the colour of their ground are told', () => {
    const ground = setWearing([]).kit.products.find((one) => one.id === 'velvet-04')!.colour!;
    const same = setWearing([colour({}), element('crystals', { colour: ground })]);
    expect(told(same, 'lost-in-ground')[0]!.message).toMatch(/stone/);
  });
});

describe('magnet and lamp', () => {
  it('a magnet that is held too long is told; its hold is no quicker in quick hands', () => {
    const held = (hold_s: number) => setWearing([element('magnetic', { hold_s })]);
    expect(told(held(45), 'magnet-too-long')).toHaveLength(1);
    expect(told(held(15), 'magnet-too-long')).toEqual([]);
    for (const pace of ['new', 'practised'] as const) {
      const set = held(15);
      set.practice.pace = pace;
      const hold = planSet(set, QUICK).operations['left-ring'].find((one) => one.verb === 'magnet')!;
      expect(hold.hand_s).toBe(15);
    }
  });

  it('thumbs that go in with the fingers are said once', () => {
    const set = setWearing([colour({})], (one) => (one.practice.thumbs = 'with-fingers'));
    const codes = planSet(set, QUICK).findings.map((one) => one.code);
    expect(codes).toEqual(['thumb-turned']);
  });
});

describe('words', () => {
  it('a fault all over a nail is not “at the free edge”', () => {
    const set = setWearing([colour({})], (one) => {
      one.edits = [{ kind: 'skip', a: 'left-ring/prep/buff#1' }];
    });
    expect(told(set, 'unprepared-plate')[0]!.message).toMatch(/Over the whole nail\./);
  });

  it('a change that is lost says which step, of what, on which nail', () => {
    const set = setWearing([colour({ id: 'velvet' })], (one) => {
      one.edits = [{ kind: 'skip', a: 'left-ring/glitter/coat#2' }];
    });
    const [lost] = told(set, 'edit-lost');
    expect(lost!.message).toContain('coat 2 of “glitter” on the left ring finger');
    expect(lost!.message).not.toMatch(/[/#]/);
  });

  it('nails that are left out of the work are neither judged nor changed by a way out', () => {
    const set = setWearing([colour({ id: 'thin', product: 'lemon-05', passes: 1 })], (one) => {
      for (const nail of NAILS) one.nails[nail].in_work = nail === 'left-ring';
      one.nails['right-ring'].plate.width_mm = 5;
    });
    const { findings } = planSet(set, { effort: { iterations: 60 } });
    for (const finding of findings) expect(finding.nails ?? [finding.nail]).toEqual(['left-ring']);
    expect(findings.find((one) => one.code === 'see-through')!.fix).toBeDefined();
  });
});
