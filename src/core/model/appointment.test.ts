import { Appointment, appointmentWords, nextFirst, type SetState } from './appointment';

const now = new Date('2026-11-28T15:00:00');

describe('an appointment', () => {
  it.each([
    [{ on: '2026-11-28', at: '19:30' }, 'today, 19:30'],
    [{ on: '2026-11-29', at: null }, 'tomorrow'],
    [{ on: '2026-11-27', at: '09:00' }, 'yesterday, 09:00'],
    [{ on: '2026-12-04', at: '19:30' }, 'Fri 4 Dec 2026, 19:30'],
    [{ on: '2027-03-28', at: null }, 'Sun 28 Mar 2027'],
  ])('%j is %s', (appointment, words) => {
    expect(appointmentWords(appointment, now)).toBe(words);
  });

  it.each([
    { on: '2026-02-30', at: null },
    { on: '28.11.2026', at: null },
    { on: '2026-11-28', at: '25:00' },
    { on: '2026-11-28', at: '7pm' },
    { on: '2026-11-28', at: '19:30:00' },
    { on: '2026-11-28' },
    { on: '2026-11-28', at: null, client: 'Imogen' },
  ])('%j is none', (value) => {
    expect(Appointment.safeParse(value).success).toBe(false);
  });

  it('what comes next stands first; what is past, done or without a day keeps its order', () => {
    const set = (id: string, on: string | null, at: string | null = null, state: SetState = 'planned') => ({
      id,
      appointment: on === null ? null : { on, at },
      state,
    });
    const sets = [
      set('none', null),
      set('late', '2026-12-24'),
      set('past', '2026-11-27'),
      set('evening', '2026-11-28', '19:30', 'begun'),
      set('some time today', '2026-11-28'),
      set('done', '2026-11-28', '10:00', 'done'),
      set('morning', '2026-11-28', '10:00'),
    ];
    expect(nextFirst(sets, (one) => one, now).map((one) => one.id)).toEqual([
      'morning',
      'evening',
      'some time today',
      'late',
      'none',
      'past',
      'done',
    ]);
  });
});
