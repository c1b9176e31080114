import type { Appointment } from '../model/appointment';
import { appointedTimes, beginsAt, mustEndAt } from './appointed';

const times = (on: string, at: string | null, s: number) =>
  appointedTimes({ on, at }, { half_s: s, nine_s: s + 600 });
const said = (date: Date) =>
  `${date.getDate()}. ${String(date.getHours()).padStart(2, '0')}:${String(date.getMinutes()).padStart(2, '0')}`;

describe('an appointment by the clock', () => {
  it('is over half and nine of ten times by then, to the next whole minute, over midnight too', () => {
    const one = times('2026-12-04', '19:30', 5401)!;
    expect([one.begins, one.half, one.nine].map(said)).toEqual(['4. 19:30', '4. 21:01', '4. 21:11']);
    const late = times('2026-12-31', '23:10', 3600)!;
    expect(said(late.half)).toBe('1. 00:10');
  });

  it('lasts as long over the change of the clock, whatever the clock shows', () => {
    for (const on of ['2026-03-29', '2026-10-25', '2026-11-01']) {
      const one = times(on, '00:30', 7200)!;
      expect(one.half.getTime() - one.begins.getTime()).toBe(7_200_000);
    }
  });

  it('has to be over on the day, or on the next where that hour is past; lateness moves the begin and not that end', () => {
    const at = (over: Partial<Appointment>) => ({ on: '2026-12-31', at: '19:30', ...over });
    const s = { half_s: 5400, nine_s: 7200 };
    const same = appointedTimes(at({ until: '22:00' }), s)!;
    expect([said(same.until!), same.over_s]).toEqual(['31. 22:00', -1800]);
    const next = appointedTimes(at({ at: '23:00', until: '00:45', late_min: 15 }), s)!;
    expect([next.begins, next.nine, next.until!].map(said)).toEqual(['31. 23:15', '1. 01:15', '1. 00:45']);
    expect(next.over_s).toBe(1800);
    expect(mustEndAt(at({}))).toBeUndefined();
    // Over the change of the clock it is the hour on the wall that counts.
    const spring = appointedTimes({ on: '2026-03-28', at: '23:30', until: '03:30' }, s)!;
    expect(said(spring.until!)).toBe('29. 03:30');
    expect(beginsAt(at({ late_min: 20 }))!.getTime() - beginsAt(at({}))!.getTime()).toBe(20 * 60_000);
  });

  it('without a day or a time says nothing', () => {
    expect(times('2026-12-04', null, 60)).toBeUndefined();
    expect(appointedTimes(null, { half_s: 1, nine_s: 2 })).toBeUndefined();
    expect(times('2026-13-44', '19:30', 60)).toBeUndefined();
  });
});
