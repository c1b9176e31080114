import type { Operation } from '../craft/operation';
import { curtainUp } from '../demo/curtainUp';
import { matinee } from '../demo/matinee';
import { snowScene } from '../demo/snowScene';
import { flyTower } from '../demo/flyTower';
import { applyChange } from '../document/changes';
import { moveChange } from '../compile/reorder';
import { NAILS, type NailName } from '../model/names';
import { runs } from '../testing/runs';
import { element, setWearing } from '../testing/sets';
import { judgeNail, planNail } from './nailPlan';
import { whyHere } from './whyHere';

/*
 * Two steps that hang on each other, swapped: what is found must be about them. Which pairs do is written here by what is common
 * practice, and asks neither the table of surfaces nor the rules.
 */

interface Pair {
  first: Operation;
  second: Operation;
  /** Any of these names the mistake. */
  codes: readonly string[];
}

const isLaid = ({ verb }: Operation) =>
  ['base', 'coat', 'top', 'matte-top', 'cap', 'bed', 'draw'].includes(verb);

function pairsOf(operations: readonly Operation[]): Pair[] {
  return operations.flatMap((first, i): Pair[] => {
    const second = operations[i + 1];
    if (!second) return [];
    const pair = (...codes: string[]) => [{ first, second, codes }];
    // A film wants light before the next lies on it.
    // What is flashed holds its place, and may be covered.
    const flashed = operations[i - 1]?.lamp?.mode === 'flash';
    if (first.lamp?.mode === 'cure' && !flashed && isLaid(second) && second.place.region.kind === 'whole')
      return pair(
        'uncured-covered',
        'under-cured',
        'wet-touched',
        'work-left-out',
        'no-grip',
        'needs-wet',
        'not-sealed',
        'no-top',
      );
    // Dust is gone before anything is laid: brushed off, or wiped.
    const wiped = operations.slice(i + 2).find((one) => isLaid(one) || one.verb === 'wipe')?.verb === 'wipe';
    if (first.verb === 'dust-off' && isLaid(second)) return pair('dust-under-layer', 'powder-in-bottle');
    if (first.verb === 'buff' && second.verb === 'dust-off' && !wiped)
      return pair('dust-under-layer', 'unprepared-plate');
    // The plate is dehydrated before its base.
    if (first.verb === 'dehydrate' && second.verb === 'base')
      return pair('unprepared-plate', 'wet-touched', 'uncured-covered');
    // Sticky is wiped before the file.
    if (first.verb === 'wipe' && second.verb === 'file') return pair('tacky-filed', 'dust-under-layer');
    // Oil comes last.
    if (second.verb === 'oil')
      return pair('oil-before-layer', 'wet-touched', 'oil-early', 'dust-under-layer', 'powder-in-bottle');
    return [];
  });
}

it('a swap of two steps that hang on each other is named, and by one of the two, in at least 99 of 100', () => {
  const sets = [curtainUp(), matinee(), snowScene(), flyTower()].slice(0, runs(3, 4));
  let right = 0;
  const wrong: string[] = [];
  for (const set of sets)
    for (const name of NAILS.slice(0, runs(5, 10))) {
      const plan = planNail(set, name);
      const { operations } = plan.compiled;
      const known = new Set(judgeNail(set, name, plan, plan.nominal).map((one) => one.id));
      for (const { first, second, codes } of pairsOf(operations)) {
        const at = operations.indexOf(second);
        const change = moveChange(operations, at, at - 1, set.edits);
        const next = change && applyChange(set, change);
        if (!next?.ok) continue;
        const swapped = planNail(next.value, name);
        const order = swapped.compiled.operations.map(({ id }) => id);
        // Where the order holds them the same way after all, nothing was swapped.
        if (order.indexOf(second.id) > order.indexOf(first.id)) continue;
        const told = judgeNail(next.value, name, swapped, swapped.nominal).filter(({ id }) => !known.has(id));
        const named = told.some(
          (one) =>
            codes.includes(one.code) &&
            (one.operation === first.id ||
              one.operation === second.id ||
              one.element === first.element ||
              one.element === second.element ||
              one.operation === undefined),
        );
        if (named) right += 1;
        else wrong.push(`${set.id} ${first.id} | ${second.id}: ${told.map(({ code }) => code).join()}`);
      }
    }
  expect(wrong.slice(0, 5)).toEqual([]);
  expect(right).toBeGreaterThan(50);
  expect(right / (right + wrong.length)).toBeGreaterThanOrEqual(0.99);
});

describe('why a step stands here', () => {
  const set = setWearing([element('colour')]);
  const id = (rest: string, nail: NailName = 'left-ring') => `${nail}/${rest}`;

  it('is said by the step it may not pass, and by what would then be found', () => {
    const coat = whyHere(set, 'left-ring', id('colour/coat#1'));
    expect(coat.earlier).toMatchObject({ past: 'Cure Base A', code: 'uncured-covered' });
    const oil = whyHere(set, 'left-ring', id('care/oil#1'));
    expect(oil.earlier?.code).toMatch(/oil-before-layer|wet-touched/);
    expect(oil.later).toBeUndefined();
  });

  it('says nothing of a step that is free', () => {
    const spots = ['left', 'right'] as const;
    const two = setWearing([
      element('colour', { id: 'ground' }),
      ...spots.map((side) =>
        element('colour', {
          id: side,
          product: 'amber-11',
          region: {
            kind: 'oval',
            across: side === 'left' ? -0.5 : 0.5,
            along: 0.8,
            width_mm: 2,
            length_mm: 2,
            turn_deg: 0,
          },
        }),
      ),
    ]);
    const why = whyHere(two, 'left-ring', id('right/coat#1'));
    // Past its neighbour it may go, but not below the colour that both lie on.
    expect(why.earlier?.past ?? '').not.toMatch(/amber/i);
  });

  it('knows nothing of a step that is not there', () => {
    expect(whyHere(set, 'left-ring', id('none/coat#1'))).toEqual({});
  });

  it('leaves the document as it is', () => {
    const before = JSON.stringify(set);
    whyHere(set, 'left-ring', id('colour/coat#2'));
    expect(JSON.stringify(set)).toBe(before);
  });
});
