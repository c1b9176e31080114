import { buildKindOf, type Build } from '../craft/builds';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { NAILS } from '../model/names';
import { element, setWearing } from '../testing/sets';
import { planSet } from './planSet';

/* Right plans of ordinary sets meet quiet; each spoiled in three ways is told, with a way out that was tried. */

interface Right {
  words: string;
  elements: Element[];
  build?: { kind: string; options: object };
  change?: (set: SetDocument) => void;
  /** Three mistakes on the left ring finger. */
  spoiled: Edit[][];
}

const skip = (...steps: string[]): Edit[] => steps.map((step) => ({ kind: 'skip', a: `left-ring/${step}` }));
const before = (a: string, b: string): Edit[] => [
  { kind: 'before', a: `left-ring/${a}`, b: `left-ring/${b}` },
];
const colour = element('colour');
const gloss = element('finish', { id: 'gloss', finish: 'gloss' });
const matte = element('finish', { id: 'matte', finish: 'matte' });
const drawing = element('colour', {
  id: 'drawing',
  product: 'white-art',
  passes: 1,
  region: { kind: 'band', from: 0.4, to: 0.55 },
});

const RIGHT: Right[] = [
  {
    words: 'putty on forms, on own hands',
    elements: [colour],
    build: { kind: 'sculpted-form', options: { material: 'putty' } },
    change: (set) => (set.practice.wearer = 'own'),
    spoiled: [skip('build/form-off#1'), skip('prep/buff#1'), skip('body/flash-cap#1', 'body/cure-cap#1')],
  },
  {
    words: 'acrylic almond by a practised hand',
    elements: [colour],
    build: { kind: 'sculpted-form', options: { material: 'acrylic', shape: 'almond' } },
    change: (set) => (set.practice.pace = 'practised'),
    spoiled: [
      skip('build/prime#1'),
      before('build/tap#1', 'build/pinch#1'),
      skip('build/level-brush#1', 'build/level-clean#1'),
    ],
  },
  {
    words: 'soft-gel tips with one light and no base',
    elements: [colour],
    build: { kind: 'soft-gel-tip', options: {} },
    change: (set) => {
      for (const nail of NAILS)
        for (const step of ['build/base#1', 'build/cure-base#1', 'build/flash-tip#1'])
          set.edits.push({ kind: 'skip', a: `${nail}/${step}` });
    },
    spoiled: [skip('build/cure-tip#1'), skip('prep/buff#1'), skip('build/ready-tip#1', 'prep/ready-tip#1')],
  },
  {
    words: 'half tips under clear builder',
    elements: [colour],
    build: { kind: 'half-tip', options: {} },
    spoiled: [skip('build/blend#1'), skip('body/wipe#1'), before('build/prime#1', 'build/blend#1')],
  },
  {
    words: 'a French in dip',
    elements: [gloss],
    build: {
      kind: 'dip',
      options: {
        french: {
          product: 'dip-rose',
          filler: 'dip-white',
          smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 },
        },
      },
    },
    spoiled: [skip('build/activate-bed#1'), skip('build/ledge#1'), skip('build/tip-brush#1')],
  },
  {
    words: 'art gel drawn over matte',
    elements: [colour, matte, drawing],
    spoiled: [skip('drawing/cure#1'), skip('colour/cure#1'), skip('prep/prime#1')],
  },
  {
    words: 'chrome, sealed and drawn over',
    elements: [colour, gloss, element('colour', { id: 'chrome', product: 'mirror-silver' }), drawing],
    spoiled: [skip('chrome/loose-off#1'), skip('gloss/cure#1'), before('chrome/coat#1', 'gloss/coat#1')],
  },
  {
    words: 'old gel off both hands first',
    elements: [colour],
    change: (set) => {
      for (const nail of NAILS)
        set.nails[nail].start = { kind: 'removal', product: 'gel', soak_s: 720, stones: false };
    },
    spoiled: [skip('prep/push-off#1'), skip('prep/open-seal#1'), skip('prep/soak#1', 'prep/soak#2')],
  },
];

function made({ elements, build, change }: Right): SetDocument {
  return setWearing(elements, (set) => {
    if (build) {
      set.builds.push({ ...buildKindOf(build.kind).fresh('test'), ...build.options } as Build);
      for (const nail of NAILS) set.nails[nail].build = 'test';
    }
    change?.(set);
  });
}

describe.each(RIGHT.map((right) => [right.words, right] as const))('%s', (_words, right) => {
  it('is met with quiet', () => {
    const { findings } = planSet(made(right), { effort: { iterations: 300 }, fixes: false });
    const told = findings.filter((one) => one.severity !== 'note');
    expect(told.filter((one) => one.severity === 'stop').map((one) => one.message)).toEqual([]);
    expect(told.map((one) => one.message).slice(1)).toEqual([]);
  });

  it.each(
    right.spoiled.map((edits) => [edits.map((one) => ('a' in one ? one.a : '')).join(), edits] as const),
  )('spoiled by %s it is told, with a way out', (_what, edits) => {
    const set = made(right);
    set.edits.push(...edits);
    // So long that no film waits only because little was searched.
    const { findings } = planSet(set, { effort: { iterations: 300 } });
    const told = findings.filter(
      (one) => one.severity !== 'note' && (one.nails ?? [one.nail]).includes('left-ring'),
    );
    expect(told.length).toBeGreaterThan(0);
    expect(told.filter((one) => one.fix === undefined).map((one) => one.message)).toEqual([]);
    for (const one of told) expect(`${one.message} ${one.reason}`).not.toMatch(/undefined|#\d|\w\/\w+\//);
  });
});
