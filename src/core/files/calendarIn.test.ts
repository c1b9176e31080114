import fc from 'fast-check';
import { today } from '../model/days';
import { faultLine } from '../model/result';
import { calendarFile, type CalendarEvent } from './calendar';
import { readCalendar } from './calendarIn';

const FROM = '2026-11-30';
const file = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:a', 'SUMMARY:Robin', ...lines, 'END:VEVENT'];
const read = (text: string, days = 60) => {
  const made = readCalendar(text, FROM, days);
  if (!made.ok) throw new Error(faultLine(made.faults[0]!));
  return made.value;
};
const said = (text: string, days?: number) =>
  read(text, days).events.map(({ on, at, until }) => [on, at, until].filter(Boolean).join(' '));
/** A moment of the world's clock as this device's clock tells it. */
const here = (iso: string) => {
  const at = new Date(iso);
  return `${today(at)} ${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
};

// A published zone with both changes of its clock (RFC 5545, 3.6.5: America/New_York by its rules since 2007).
const NEW_YORK = [
  'BEGIN:VTIMEZONE',
  'TZID:Eastern of the file',
  'BEGIN:DAYLIGHT',
  'DTSTART:20070311T020000',
  'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=2SU',
  'TZOFFSETFROM:-0500',
  'TZOFFSETTO:-0400',
  'END:DAYLIGHT',
  'BEGIN:STANDARD',
  'DTSTART:20071104T020000',
  'RRULE:FREQ=YEARLY;BYMONTH=11;BYDAY=1SU',
  'TZOFFSETFROM:-0400',
  'TZOFFSETTO:-0500',
  'END:STANDARD',
  'END:VTIMEZONE',
];

describe('a calendar that is read', () => {
  it('says of what was written here the same days, times and names', () => {
    const times = fc.record({
      day: fc.integer({ min: 0, max: 50 }),
      from: fc.integer({ min: 0, max: 22 * 60 }),
      minutes: fc.integer({ min: 1, max: 60 }),
      title: fc.string({ unit: 'grapheme', minLength: 1, maxLength: 60 }),
      isDay: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(times, { maxLength: 6 }), (all) => {
        const events = all.map(({ day, from, minutes, title, isDay }, i): CalendarEvent => {
          const at = (more: number) => new Date(2026, 10, 30 + day, 0, from + more);
          return {
            uid: `set-${i}@merry-lacquer`,
            title,
            note: '',
            begins: isDay ? today(at(0)) : at(0),
            ...(isDay ? {} : { ends: at(minutes) }),
            made_at: new Date('2026-11-01T00:00:00Z'),
          };
        });
        const back = read(calendarFile(events));
        expect(back.broken).toBe(0);
        const two = (n: number) => String(n).padStart(2, '0');
        const clock = (at: Date) => `${two(at.getHours())}:${two(at.getMinutes())}`;
        for (const { uid, begins, ends } of events) {
          const own = back.events.find((one) => one.uid === uid)!;
          if (typeof begins === 'string') expect(own).toMatchObject({ on: begins, at: null, until: null });
          else expect(own).toMatchObject({ on: today(begins), at: clock(begins), until: clock(ends!) });
        }
      }),
      { numRuns: 60 },
    );
  });

  it('tells times by this device’s clock: of the world’s clock, of a zone the file brings, of one that has a name', () => {
    expect(said(file(...event('DTSTART:20261204T183000Z', 'DTEND:20261204T193000Z')))[0]).toMatch(
      here('2026-12-04T18:30:00Z'),
    );
    const york = (day: string) => event(`DTSTART;TZID=Eastern of the file:${day}T193000`);
    expect(said(file(...NEW_YORK, ...york('20261204')))).toEqual([here('2026-12-05T00:30:00Z')]);
    expect(readCalendar(file(...NEW_YORK, ...york('20260704')), '2026-07-01', 20)).toMatchObject({
      value: { events: [{ on: here('2026-07-04T23:30:00Z').slice(0, 10) }] },
    });
    const named = (zone: string, at: string) => event(`DTSTART;TZID=${zone}:${at}`);
    expect(said(file(...named('Europe/Berlin', '20261204T193000')))).toEqual([here('2026-12-04T18:30:00Z')]);
    expect(said(file(...named('Asia/Kathmandu', '20261204T193000')))).toEqual([here('2026-12-04T13:45:00Z')]);
  });

  it('of a zone nobody knows takes the times as they stand, and says so', () => {
    const { events } = read(file(...event('DTSTART;TZID=Backstage/Mars:20261204T193000')));
    expect(events).toMatchObject([{ on: '2026-12-04', at: '19:30', zone_unknown: 'Backstage/Mars' }]);
  });

  it('knows what comes again and again, within the days that are asked for, but for days it is left out', () => {
    const weekly = event(
      'DTSTART:20261102T180000',
      'DTEND:20261102T200000',
      'RRULE:FREQ=WEEKLY;COUNT=9',
      'EXDATE:20261214T180000',
    );
    expect(said(file(...weekly))).toEqual([
      '2026-11-30 18:00 20:00',
      '2026-12-07 18:00 20:00',
      '2026-12-21 18:00 20:00',
      '2026-12-28 18:00 20:00',
    ]);
    // Every second since long ago: it is followed no further than makes sense.
    const mad = read(file(...event('DTSTART:19700101T000000', 'RRULE:FREQ=SECONDLY')));
    expect([mad.events.length, mad.cut]).toEqual([0, true]);
  });

  it('leaves out what was called off, and counts what can be no event', () => {
    const text = file(
      ...event('DTSTART:20261204T193000', 'STATUS:CANCELLED'),
      ...event('DTSTART:20261204T193000', 'DTEND:20261204T180000'),
      ...event('DESCRIPTION:no beginning'),
      ...event('DTSTART;VALUE=DATE:20261205'),
      ...event('DTSTART:20250101T100000'),
      ...event('DTSTART:20291205T100000'),
    );
    expect(read(text)).toMatchObject({ broken: 2, events: [{ on: '2026-12-05', at: null }], cut: false });
  });

  it.each<[string, () => string, RegExp]>([
    ['nothing', () => '', /calendar/],
    ['a letter', () => 'Dear Robin,\nthank you.', /not a calendar that can be read/],
    ['a card', () => 'BEGIN:VCARD\r\nFN:Robin\r\nEND:VCARD\r\n', /no BEGIN:VCALENDAR/],
    [
      'half a file',
      () => file(...event('DTSTART:20261204T193000')).slice(0, 90),
      /cannot be read|can be read/,
    ],
    ['a million lines', () => 'X:1\n'.repeat(1e6), /1000000 lines; a calendar is refused beyond 200000/],
    ['50 MB', () => 'x'.repeat(50 * 1024 * 1024), /has 50 MB/],
  ])('refuses %s', (_words, text, message) => {
    const made = readCalendar(text(), FROM, 60);
    expect(made.ok ? 'read' : faultLine(made.faults[0]!)).toMatch(message);
  });

  it('never throws, whatever is changed in it', () => {
    const whole = file(
      ...NEW_YORK,
      ...event('DTSTART;TZID=Eastern of the file:20261204T193000', 'RRULE:FREQ=DAILY'),
    );
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(whole.length - 1), fc.string({ maxLength: 3 })), { maxLength: 8 }),
        (changes) => {
          let text = whole;
          for (const [at, put] of changes) text = text.slice(0, at) + put + text.slice(at + 1);
          expect(typeof readCalendar(text, FROM, 30).ok).toBe('boolean');
        },
      ),
      { numRuns: 200 },
    );
  });
});
