import { handOf, NAILS } from '../model/names';
import { planSet } from '../plan/planSet';
import type { SetDocument } from '../document/document';
import { element, setWearing } from '../testing/sets';
import { cardOf } from './card';

/*
 * Sittings of one hand with their right rounds written by hand (common practice). With one hand there is little
 * to choose, so what is right can be said line by line.
 */
function oneHand(set: SetDocument): string[] {
  set.practice.thumbs = 'with-fingers';
  for (const name of NAILS) set.nails[name].in_work = handOf(name) === 'left';
  const plan = planSet(set, { effort: { iterations: 2000 }, fixes: false });
  expect(plan.findings.map((one) => one.code)).toEqual(['thumb-turned']);
  const worked = NAILS.filter((name) => handOf(name) === 'left');
  return cardOf(plan.passes, worked).flatMap(({ title, lines }) => [
    `${title}:`,
    ...lines.map(({ kind, nails, words, light }) => {
      const lit = light ? ` → ${light.mode} ${light.seconds}${light.held ? ' each, held' : ''}` : '';
      return `${nails}: ${kind === 'lamp' ? 'lamp' : words}${lit}`;
    }),
  ]);
}

const SANITISED = 'all: Sanitise both people’s hands';
const PREPARED = [
  'all: Take the shine off',
  // One brush of dust for the hand, not one a nail.
  'all: Brush the dust off',
  'all: Wipe the last dust off, lint-free',
  'all: Dehydrate with dehydrator',
  // Primed only now: the base follows within minutes.
  'all: Prime with acid-free primer',
  'all: Wait for the primer to dry',
  'Base:',
  'all: Base A',
  'all: lamp → cure 60',
];
const COLOURED = [
  'Colour, first coat:',
  'all: Velvet 04, coat 1 of 2',
  'all: lamp → cure 60',
  'Colour, second coat:',
  'all: Velvet 04, coat 2 of 2',
  'all: lamp → cure 60',
  'Top:',
  'all: No-wipe top A',
  'all: lamp → cure 60',
  'Oil:',
  'all: Cuticle oil around the nail',
];

describe('golden sittings', () => {
  it('gel polish in two coats: every coat a pass, oil once at the end', () => {
    expect(oneHand(setWearing([element('colour')]))).toEqual([
      'Prepare:',
      SANITISED,
      'all: Push back and clear the cuticle',
      'all: File the free edge round',
      ...PREPARED,
      ...COLOURED,
    ]);
  });

  it('soft-gel tips: sized before she comes, pressed and flashed finger by finger, cured and keyed together', () => {
    const tips = setWearing([element('colour')], (set) => {
      for (const name of NAILS) set.nails[name].build = 'tips';
    });
    expect(oneHand(tips)).toEqual([
      'Before she comes:',
      'all: Size the tip, shape it almond, 9 mm past the nail bed, etch it inside and prime that',
      'Prepare:',
      SANITISED,
      'all: Push back and clear the cuticle',
      'all: Shorten the free edge',
      ...PREPARED,
      'Tips:',
      // Held until it is flashed; the next finger only then.
      'all: Nail by nail: press the tip on with Fixing gel A → flash 10 each, held',
      'all: Wipe the spill off',
      'all: lamp → cure 60',
      // Nothing wet lies on the hand while dust flies.
      'Key:',
      'all: Key the tip with a fine buffer',
      'all: Brush the dust off',
      'all: Wipe the last dust off, lint-free',
      ...COLOURED,
    ]);
  });

  it('removal first: soaked as a hand, then prepared; the plate is dull from it', () => {
    const removal = setWearing([element('colour')], (set) => {
      for (const name of NAILS)
        set.nails[name].start = { kind: 'removal', product: 'gel', stones: false, soak_s: 600 };
    });
    expect(oneHand(removal)).toEqual([
      'Old product off and prepare:',
      SANITISED,
      'all: File the top open all over',
      'all: Wrap each nail with soak-off remover',
      'all: Wait for what is on the nails to soften',
      'all: Open one wrap and look, half-way; wrap it again',
      'all: Wait for what is on the nails to soften',
      'all: Push off what has come loose, rub the rest off',
      'all: Push back and clear the cuticle',
      'all: File the free edge round',
      ...PREPARED,
      ...COLOURED,
    ]);
  });

  it('encapsulation in two groups on one nail: one bed, one cap, one filing; the other nails wait for its top', () => {
    const set = setWearing([element('colour')]);
    set.looks.push({
      id: 'tickets',
      name: 'Tickets',
      key: 'b',
      elements: [
        element('colour'),
        element('inlay', { id: 'low', pieces: group(0.4) }),
        element('inlay', { id: 'high', pieces: group(0.9) }),
      ],
    });
    set.nails['left-ring'].look = 'tickets';
    const lines = oneHand(set);
    const of = (words: string) => lines.filter((line) => line.includes(words) && !line.endsWith(':'));
    expect(of('Thin bed')).toEqual(['ring: Thin bed of Clear builder A']);
    expect(of('Place')).toHaveLength(2);
    const pressed = lines.findLastIndex((line) => line.includes('press each flat'));
    expect(pressed).toBeGreaterThan(0);
    // One flash for both groups, once the last piece is pressed.
    expect(lines.flatMap((line, i) => (line.includes('→ flash') ? [i] : []))).toEqual([pressed + 1]);
    expect(of('Cap with')).toHaveLength(1);
    expect(of('Level the cap')).toHaveLength(1);
    // Colour is shared; the file waits until nothing beside it is sticky; one top for all in the end.
    expect(of('coat 1 of 2')).toEqual(['all: Velvet 04, coat 1 of 2']);
    const file = lines.findIndex((line) => line.includes('Level the cap'));
    const tops = lines.findIndex((line) => line.includes('No-wipe top A'));
    const oil = lines.findIndex((line) => line.includes('Cuticle oil'));
    expect(file).toBeLessThan(oil);
    expect(oil).toBe(lines.length - 1);
    expect(tops).toBeGreaterThan(0);
  });
});

function group(along: number) {
  return element('inlay').pieces.map((piece) => ({
    ...piece,
    along,
    length_mm: 2,
    width_mm: 0.8,
    turn_deg: 0,
  }));
}
