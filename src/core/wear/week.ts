import type { Appointment, SetState } from '../model/appointment';
import { dayAfter } from '../model/days';
import type { FollowUp, Worn } from '../model/wear';
import { withEnds } from './ends';
import { dueOf, growthOf, type Due } from './growth';

/** Something of a week: a sitting, a set that is due, or what was to be done after one. */
export type WeekItem = { set: string; title: string; on: string } & (
  | { kind: 'sitting'; at: string | null; until: string | null }
  | { kind: 'due'; due: Due }
  | { kind: 'follow-up'; follow: FollowUp; nth: number }
);

/** A set as it stands in a week. */
export interface Planned {
  id: string;
  title: string;
  appointment: Appointment | null;
  state: SetState;
  client: string | null;
}

const WEEK_DAYS = 7;
/** What is overdue for longer, nobody waits for any more (common practice). */
const OVERDUE_DAYS = 28;

/**
 * What is to be done within a week from a day (ISO 8601), the soonest first: sittings, worn sets that are due, follow-ups. A set is not told as
 * due whose wearer comes again anyway; what was due more than four weeks ago neither.
 */
export function weekOf(sets: readonly Planned[], all: readonly Worn[], today: string): WeekItem[] {
  const until = dayAfter(today, WEEK_DAYS);
  const since = dayAfter(today, -OVERDUE_DAYS);
  const coming = sets.filter(
    ({ appointment, state }) => appointment && appointment.on >= today && state !== 'done',
  );
  const awaited = new Set(coming.flatMap(({ client }) => client ?? []));
  const worn = withEnds(all);
  const items: WeekItem[] = coming
    .filter(({ appointment }) => appointment!.on <= until)
    .map(({ id, title, appointment }) => ({
      kind: 'sitting',
      set: id,
      title,
      on: appointment!.on,
      at: appointment!.at,
      until: appointment!.until ?? null,
    }));
  const own = new Map<string, Worn[]>();
  for (const one of worn) {
    const known = own.get(one.client ?? one.set);
    if (known) known.push(one);
    else own.set(one.client ?? one.set, [one]);
  }
  for (const one of worn) {
    const { set, title } = one;
    (one.follow_ups ?? []).forEach((follow, nth) => {
      if (!follow.done && follow.on <= until && follow.on >= since)
        items.push({ kind: 'follow-up', set, title, on: follow.on, follow, nth });
    });
    if (one.off_on !== null || (one.client !== null && awaited.has(one.client))) continue;
    const due = dueOf(one, growthOf(own.get(one.client ?? set) ?? [one]));
    if (due && due.from <= until && due.to >= since) items.push({ kind: 'due', set, title, on: due.to, due });
  }
  const whenOf = (one: WeekItem) => `${one.on} ${one.kind === 'sitting' ? (one.at ?? '24') : '25'}`;
  return items.sort((a, b) => whenOf(a).localeCompare(whenOf(b)));
}
