import ICAL from 'ical.js';
import { dayAfter, today } from '../model/days';
import { append } from '../model/extent';
import { messageOf } from '../model/messageOf';
import { fail, ok, type Result } from '../model/result';

/** Something that stands in a calendar, by the clock of this device. */
export interface CalendarIn {
  uid: string;
  title: string;
  /** ISO 8601, the day alone. */
  on: string;
  /** Hours and minutes; null for a whole day. */
  at: string | null;
  until: string | null;
  /** The zone that its times are told in, where nobody here knows it: they are taken as they stand. */
  zone_unknown?: string;
}

/** What was read of a calendar file within the days that were asked for. */
export interface CalendarRead {
  events: CalendarIn[];
  /** Entries that are no event anybody could keep: without a beginning, or ending before it. */
  broken: number;
  /** There were more within these days. */
  cut: boolean;
}

const MOST_BYTES = 8 * 1024 * 1024;
const MOST_LINES = 200_000;
/** So many are told. */
const MOST_EVENTS = 400;
/** How often a rule is followed until it comes to the days that are asked for, in all. */
const MOST_STEPS = 40_000;
/** Of one event that comes again and again. */
const MOST_TIMES = 40;
const MOST_TITLE = 120;

/**
 * The events of a calendar file (RFC 5545) from a day on (ISO 8601), for so many days, the soonest first: those that come again each time they do,
 * those that were called off left out. Times of a zone that the file or this device knows are told by this device's clock.
 */
export function readCalendar(text: string, from: string, days: number): Result<CalendarRead> {
  const fault = tooMuch(text);
  if (fault) return fail('', fault);
  let calendars: ICAL.Component[];
  try {
    const parsed = ICAL.parse(text) as unknown[];
    const roots = Array.isArray(parsed[0]) ? parsed : [parsed];
    calendars = roots.map((one) => new ICAL.Component(one as []));
  } catch (error) {
    return fail('', `this is not a calendar that can be read: ${messageOf(error)}`);
  }
  if (!calendars.some(({ name }) => name === 'vcalendar'))
    return fail('', 'this is not a calendar: it has no BEGIN:VCALENDAR');
  const until = dayAfter(from, days);
  const found: CalendarIn[] = [];
  const steps = { left: MOST_STEPS };
  let broken = 0;
  for (const calendar of calendars)
    for (const component of calendar.getAllSubcomponents('vevent')) {
      try {
        if (component.getFirstPropertyValue('status') === 'CANCELLED') continue;
        const times = timesOf(component, from, until, steps);
        if (times) append(found, times);
        else broken += 1;
      } catch {
        broken += 1;
      }
    }
  const whenOf = ({ on, at, title }: CalendarIn) => `${on} ${at ?? ''} ${title}`;
  found.sort((a, b) => (whenOf(a) < whenOf(b) ? -1 : 1));
  return ok({
    events: found.slice(0, MOST_EVENTS),
    broken,
    cut: found.length > MOST_EVENTS || steps.left <= 0,
  });
}

function tooMuch(text: string): string | undefined {
  if (text.length > MOST_BYTES)
    return `has ${Math.round(text.length / 1024 / 1024)} MB; a calendar is refused beyond ${MOST_BYTES / 1024 / 1024} MB`;
  let lines = 0;
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) lines += 1;
  return lines > MOST_LINES
    ? `has ${lines} lines; a calendar is refused beyond ${MOST_LINES}. Export a shorter stretch of it`
    : undefined;
}

/** Each time an event comes within some days; undefined where it never can. */
function timesOf(
  component: ICAL.Component,
  from: string,
  until: string,
  steps: { left: number },
): CalendarIn[] | undefined {
  const event = new ICAL.Event(component);
  const { startDate, endDate } = event;
  if (!startDate || (endDate && endDate.compare(startDate) < 0)) return undefined;
  const one = (start: ICAL.Time, end: ICAL.Time | null) => eventAt(event, start, end);
  if (!event.isRecurring())
    return within(one(startDate, endDate), from, until) ? [one(startDate, endDate)] : [];
  const times: CalendarIn[] = [];
  const before = dayAfter(from, -2);
  const occurrences = event.iterator();
  for (let next = occurrences.next(); next && steps.left > 0; next = occurrences.next()) {
    steps.left -= 1;
    // A day before, whatever the zone.
    if (dayOf(next) < before) continue;
    const details = event.getOccurrenceDetails(next);
    const when = one(details.startDate, details.endDate);
    if (when.on > until || times.length >= MOST_TIMES) break;
    if (within(when, from, until)) times.push(when);
  }
  return times;
}

const dayOf = ({ year, month, day }: ICAL.Time) => `${year}-${two(month)}-${two(day)}`;
const within = ({ on }: CalendarIn, from: string, until: string) => on >= from && on <= until;

function eventAt(event: ICAL.Event, start: ICAL.Time, end: ICAL.Time | null): CalendarIn {
  const zone = zoneOf(event, start);
  const begins = onThisClock(start, zone);
  const ends = end && !end.isDate ? onThisClock(end, zone) : undefined;
  return {
    uid: String(event.uid ?? ''),
    title: (event.summary ?? '').trim().slice(0, MOST_TITLE) || 'Without a title',
    on: today(begins),
    at: start.isDate ? null : clock(begins),
    until: start.isDate || !ends || ends <= begins || today(ends) !== today(begins) ? null : clock(ends),
    ...(zone.kind === 'unknown' ? { zone_unknown: zone.name } : {}),
  };
}

/** What a time is told by: the world's clock or a zone the file brings along; one this device knows by name; this clock; or nobody's. */
type Zone = { kind: 'file' } | { kind: 'here' } | { kind: 'named' | 'unknown'; name: string };

function zoneOf({ component }: ICAL.Event, time: ICAL.Time): Zone {
  if (time.isDate) return { kind: 'here' };
  const said = component.getFirstProperty('dtstart')?.getFirstParameter('tzid');
  if (time.zone !== ICAL.Timezone.localTimezone) return { kind: 'file' };
  if (!said) return { kind: 'here' };
  try {
    new Intl.DateTimeFormat('en', { timeZone: said });
    return { kind: 'named', name: said };
  } catch {
    return { kind: 'unknown', name: said.slice(0, 60) };
  }
}

function onThisClock(time: ICAL.Time, zone: Zone): Date {
  if (zone.kind === 'file') return time.toJSDate();
  const { year, month, day, hour, minute, second } = time;
  if (zone.kind !== 'named') return new Date(year, month - 1, day, hour, minute, second);
  // As if it were the world's clock, and then by how far the zone is off it just then.
  const as = Date.UTC(year, month - 1, day, hour, minute, second);
  const first = as - offset_ms(zone.name, as);
  return new Date(as - offset_ms(zone.name, first));
}

/** How far a zone's clock is ahead of the world's at a moment. */
function offset_ms(timeZone: string, at_ms: number): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  }).formatToParts(at_ms);
  const part = (type: string) => Number(parts.find((one) => one.type === type)?.value);
  const told = Date.UTC(
    part('year'),
    part('month') - 1,
    part('day'),
    part('hour'),
    part('minute'),
    part('second'),
  );
  return told - Math.floor(at_ms / 1000) * 1000;
}

const two = (part: number) => String(part).padStart(2, '0');
const clock = (at: Date) => `${two(at.getHours())}:${two(at.getMinutes())}`;
