import fc from 'fast-check';
import ICAL from 'ical.js';
import { calendarFile, type CalendarEvent } from './calendar';

const event = (over: Partial<CalendarEvent> = {}): CalendarEvent => ({
  uid: 'curtain-up@merry-lacquer',
  title: 'Curtain Up',
  note: '',
  begins: new Date(2026, 11, 4, 19, 30),
  ends: new Date(2026, 11, 4, 21, 15),
  made_at: new Date('2026-11-30T02:00:00.000Z'),
  ...over,
});
/** Read by another library. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as []).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));

describe('a calendar file', () => {
  it('is read by another library with the same day, times and words, and no zone of its own', () => {
    const [one] = read(calendarFile([event({ note: 'Ivory, plum; a \\ and\ntwo lines' })]));
    expect([one!.uid, one!.summary, one!.description]).toEqual([
      'curtain-up@merry-lacquer',
      'Curtain Up',
      'Ivory, plum; a \\ and\ntwo lines',
    ]);
    expect(one!.startDate.toString()).toBe('2026-12-04T19:30:00');
    expect(one!.endDate.toString()).toBe('2026-12-04T21:15:00');
    expect(one!.startDate.zone).toBe(ICAL.Timezone.localTimezone);
  });

  it('has no line of more than 75 octets, and says any words as they are', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), (words) => {
        const title = words.replace(/\r\n|\r/g, '\n').replace(/[^\P{Cc}\n]/gu, '');
        const text = calendarFile([event({ title })]);
        for (const line of text.split('\r\n'))
          expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
        expect(read(text)[0]!.summary ?? '').toBe(title);
      }),
      { numRuns: 200 },
    );
  });

  it('holds as many events as it is given', () => {
    expect(read(calendarFile([event(), event({ uid: 'b' })]))).toHaveLength(2);
  });
});
