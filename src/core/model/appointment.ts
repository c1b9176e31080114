import * as z from 'zod/mini';
import { dayWords, today } from './days';

/** When the client comes: a day, and a time of the artist's own clock where that is known. */
export const Appointment = z.strictObject({
  /** ISO 8601, the day alone. */
  on: z.iso.date('must be a day such as 2026-11-25'),
  /** ISO 8601, hours and minutes. */
  at: z.nullable(z.iso.time({ precision: -1, error: 'must be a time such as 19:30' })),
  /** When it has to be over; before the time it begins at, it is of the next day. */
  until: z.optional(z.nullable(z.iso.time({ precision: -1, error: 'must be a time such as 22:00' }))),
  /** So many minutes after that time she came. */
  late_min: z.optional(z.nullable(z.int().check(z.gte(0), z.lte(600, 'must be at most 600 minutes')))),
});
export type Appointment = z.infer<typeof Appointment>;

/** When a set is worn, where a day is agreed. */
export const Appointed = z.nullable(Appointment);

/** How far a set has come; `begun` and `done` are as ticked off its card, or as the artist says. */
export const SET_STATES = ['planned', 'begun', 'done'] as const;
export type SetState = (typeof SET_STATES)[number];

const DAY_MS = 24 * 3600 * 1000;
const NEAR: Record<number, string> = { [-1]: 'yesterday', 0: 'today', 1: 'tomorrow' };

/** "today, 19:30", "Fri 4 Dec 2026". */
export function appointmentWords({ on, at }: Appointment, now = new Date()): string {
  const noon = (day: string) => new Date(`${day}T12:00:00`).getTime();
  const days = Math.round((noon(on) - noon(today(now))) / DAY_MS);
  const week = new Date(`${on}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short' });
  const day = NEAR[days] ?? `${week} ${dayWords(on)}`;
  return at === null ? day : `${day}, ${at}`;
}

/**
 * Orders by what is next at the table: those still to come, the soonest first; then all that are past, done or
 * without a day, in the order they have.
 */
export function nextFirst<T>(
  items: readonly T[],
  of: (item: T) => { appointment: Appointment | null; state: SetState },
  now = new Date(),
): T[] {
  const from = today(now);
  const mark = (item: T): string | undefined => {
    const { appointment, state } = of(item);
    if (!appointment || state === 'done' || appointment.on < from) return undefined;
    return `${appointment.on} ${appointment.at ?? '24:00'}`;
  };
  const coming = items.filter((item) => mark(item) !== undefined);
  return [
    ...coming.sort((a, b) => mark(a)!.localeCompare(mark(b)!)),
    ...items.filter((item) => mark(item) === undefined),
  ];
}
