import { curtainUp } from '../demo/curtainUp';
import type { Worn } from '../model/wear';
import { planSet } from '../plan/planSet';
import { QUICK } from '../testing/sets';
import { withEnds } from './ends';
import { wornOf } from './facts';
import { weekOf, type Planned } from './week';

const set = curtainUp();
const worn: Worn = { ...wornOf(set, planSet(set, QUICK), { on: '2026-03-01' }), client: null };
const planned = (over: Partial<Planned> = {}): Planned => ({
  id: 'next',
  title: 'Next',
  appointment: { on: '2026-03-16', at: '19:30' },
  state: 'planned',
  client: null,
  ...over,
});
const said = (items: ReturnType<typeof weekOf>) => items.map(({ kind, set: of }) => `${kind} ${of}`);

describe('a week', () => {
  it('holds sittings, what is due and what was to be done after, the soonest first', () => {
    const asked: Worn = {
      ...worn,
      set: 'asked',
      made_on: '2026-03-10',
      follow_ups: [
        { on: '2026-03-13', words: 'Ask how it holds', done: false },
        { on: '2026-03-12', words: 'Done already', done: true },
        { on: '2026-04-13', words: 'Later', done: false },
      ],
    };
    expect(said(weekOf([planned()], [worn, asked], '2026-03-12'))).toEqual([
      'follow-up asked',
      'sitting next',
      'due curtain-up',
    ]);
    // A sitting that is over, or further off than a week, is not of it.
    const others = [
      planned({ state: 'done' }),
      planned({ appointment: { on: '2026-03-11', at: null } }),
      planned({ appointment: { on: '2026-03-20', at: null } }),
      planned({ appointment: null }),
    ];
    expect(weekOf(others, [], '2026-03-12')).toEqual([]);
  });

  it('tells as due neither what came off, nor whose wearer comes again anyway, nor what is long past', () => {
    const due = (all: Worn[], sets: Planned[] = []) => said(weekOf(sets, all, '2026-03-22'));
    expect(due([worn])).toEqual(['due curtain-up']);
    expect(due([{ ...worn, off_on: '2026-03-10' }])).toEqual([]);
    const hers = { ...worn, client: 'robin' };
    expect(due([hers])).toEqual(['due curtain-up']);
    expect(due([hers], [planned({ client: 'robin', appointment: { on: '2026-05-01', at: null } })])).toEqual(
      [],
    );
    expect(due([{ ...worn, made_on: '2026-01-01' }])).toEqual([]);
    // The next set on the same hands took its place.
    expect(due([hers, { ...hers, set: 'later', made_on: '2026-03-20' }])).toEqual([]);
  });
});

describe('the day a set came off', () => {
  it('is as it was said, else that of the next on the same hands; of hands nobody knows nothing is known', () => {
    const ends = (all: Worn[]) => withEnds(all).map(({ off_on }) => off_on);
    const hers = (made_on: string, off_on: string | null = null): Worn => ({
      ...worn,
      client: 'robin',
      made_on,
      off_on,
    });
    expect(ends([hers('2026-03-01'), hers('2026-03-29'), hers('2026-02-01', '2026-02-20')])).toEqual([
      '2026-03-29',
      null,
      '2026-02-20',
    ]);
    expect(ends([{ ...worn, made_on: '2026-01-01' }, worn])).toEqual([null, null]);
    // Two sets of one day are worn both.
    expect(ends([hers('2026-03-01'), hers('2026-03-01')])).toEqual([null, null]);
  });
});
