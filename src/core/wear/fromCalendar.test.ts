import type { CalendarIn } from '../files/calendarIn';
import type { Worn } from '../model/wear';
import { fromCalendar } from './fromCalendar';
import type { Planned } from './week';

const event = (uid: string, over: Partial<CalendarIn> = {}): CalendarIn => ({
  uid,
  title: 'Hands',
  on: '2026-12-04',
  at: '19:30',
  until: null,
  ...over,
});
const set = (over: Partial<Planned> = {}): Planned => ({
  id: 'matinee',
  title: 'Matinée',
  appointment: { on: '2026-12-04', at: '19:30' },
  state: 'planned',
  client: null,
  ...over,
});
const worn = { set: 'curtain-up', title: 'Curtain Up' } as Worn;
const clients = [
  { id: 'a', name: 'Robin Vale' },
  { id: 'b', name: 'Imogen' },
];
const kinds = (events: CalendarIn[], sets = [set()]) =>
  fromCalendar(events, sets, [worn], clients).map((one) => one.kind);

describe('what a calendar would change', () => {
  it('is a sitting that was moved there; one that stands just so, is over or is gone is left alone', () => {
    const own = event('matinee@merry-lacquer');
    expect(kinds([own])).toEqual([]);
    expect(kinds([{ ...own, on: '2026-12-05' }])).toEqual(['moved']);
    expect(kinds([{ ...own, at: null }])).toEqual(['moved']);
    expect(kinds([own], [set({ appointment: null })])).toEqual(['moved']);
    expect(kinds([{ ...own, on: '2026-12-05' }], [set({ state: 'done' })])).toEqual([]);
    expect(kinds([event('gone@merry-lacquer')])).toEqual([]);
  });

  it('is the next appointment of a worn set, once it has a time', () => {
    const due = event('curtain-up-due@merry-lacquer');
    expect(kinds([due])).toEqual(['infill']);
    expect(kinds([{ ...due, at: null }])).toEqual([]);
    expect(kinds([event('matinee-due@merry-lacquer')])).toEqual([]);
    expect(kinds([event('curtain-up-0-follow-up@merry-lacquer')])).toEqual([]);
  });

  it('is a new set for whom the event names, where it names one', () => {
    const named = (title: string) => {
      const [one] = fromCalendar([event('x@elsewhere', { title })], [], [], clients);
      return one?.kind === 'new' ? one.client?.name : 'not new';
    };
    expect(named('Nails: robin vale!')).toBe('Robin Vale');
    expect(named('Imogen, infill')).toBe('Imogen');
    expect(named('Imogens')).toBeUndefined();
    expect(named('Robin Vale and Imogen')).toBeUndefined();
    expect(named('Dentist')).toBeUndefined();
  });
});
