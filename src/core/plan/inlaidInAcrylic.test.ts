import { buildKindOf } from '../craft/builds';
import type { Build } from '../craft/builds';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import { element, setWearing } from '../testing/sets';
import { planNail } from './nailPlan';
import { planSet } from './planSet';

/* Acrylic over pieces as the trade lays it (common practice): into a wet bead, dull, more beads over it, one filing. */

const NAIL = 'left-ring';

function inAcrylic(kind: 'half-tip' | 'sculpted-form', look: Element[]): SetDocument {
  return setWearing(look, (set) => {
    set.builds.push({ ...buildKindOf(kind).fresh('acrylic'), material: 'acrylic', name: 'Acrylic' } as Build);
    for (const name of NAILS) {
      set.nails[name].build = 'acrylic';
      set.nails[name].in_work = name === NAIL;
    }
  });
}

const told = (set: SetDocument) =>
  planSet(set, { fixes: false, effort: { iterations: 600 } })
    .findings.filter((one) => one.severity !== 'note')
    .map((one) => one.code);
const body = (set: SetDocument) =>
  planNail(set, NAIL).compiled.operations.filter((one) => one.element !== 'prep' && one.element !== 'care');

describe.each(['half-tip', 'sculpted-form'] as const)('pieces in a %s of acrylic', (kind) => {
  it('lie in a wet bead of it, dull before the beads over them, and are filed once', () => {
    const set = inAcrylic(kind, [element('inlay')]);
    const line = body(set);
    const verbs = line.map((one) => one.verb);
    const from = verbs.indexOf('bed');
    const end = kind === 'half-tip' ? ['rest', 'tap', 'file'] : ['pinch', 'rest', 'tap', 'form-off', 'file'];
    expect(verbs.slice(from, from + 5 + end.length)).toEqual([
      'bed',
      'place',
      'press',
      'rest',
      'cap',
      ...end,
    ]);
    const acrylic = set.kit.roles.acrylic;
    expect(line.filter((one) => ['bed', 'cap'].includes(one.verb)).map((one) => one.product)).toEqual([
      acrylic,
      acrylic,
    ]);
    expect(verbs.filter((verb) => verb === 'file')).toHaveLength(1);
    // Nothing is lit or wiped of its sticky layer before the top.
    const top = verbs.indexOf('top');
    expect(line.slice(0, top).filter((one) => one.lamp)).toEqual([]);
    expect(told(set)).toEqual([]);
    // As much lies over the pieces as the look asks, less what the file takes.
    const { field } = planNail(set, NAIL).nominal;
    const cap = field.films.find((film) => film.operation.includes('/body/cap'))!;
    expect(Math.max(...cap.t_um)).toBeGreaterThan(300);
  });

  it('lie in gel, as before, where a gel colour lies between', () => {
    const set = inAcrylic(kind, [element('colour'), element('inlay')]);
    const builder = set.kit.roles.builder;
    expect(
      body(set)
        .filter((one) => ['bed', 'cap'].includes(one.verb) && one.element === 'body')
        .map((one) => one.product),
    ).toEqual([builder, builder]);
    expect(told(set)).toEqual([]);
  });

  it('hold no piece once it is dull', () => {
    const set = inAcrylic(kind, [element('inlay')]);
    set.edits = [
      {
        kind: 'insert',
        id: 'telephone',
        nail: NAIL,
        after: `${NAIL}/body/bed#1`,
        verb: 'rest',
        seconds: 400,
        words: 'Answer the telephone',
      },
    ];
    expect(told(set)).toContain('needs-wet');
  });
});

it('acrylic chosen for the clear of one look is beaded and filed; over gel that is keyed first', () => {
  const set = setWearing([element('inlay', { clear: 'acrylic-a', cap: 'float' })]);
  const line = body(set);
  const verbs = line.map((one) => one.verb);
  expect(verbs.slice(verbs.indexOf('bed')).slice(0, 6)).toEqual([
    'bed',
    'place',
    'press',
    'rest',
    'cap',
    'tap',
  ]);
  expect(line[verbs.indexOf('bed') - 3]).toMatchObject({ step: 'key-under', element: 'body' });
  expect(told(set)).toEqual([]);
});
