import { DUE_UID, FOLLOW_UID, SITTING_UID } from '../files/calendarUids';
import type { CalendarIn } from '../files/calendarIn';
import type { Client } from '../model/client';
import type { Worn } from '../model/wear';
import type { Planned } from './week';

/** What an event of a calendar would mean here. */
export type FromCalendar = { event: CalendarIn } & (
  | { kind: 'moved'; set: Planned }
  | { kind: 'infill'; worn: Worn }
  | { kind: 'new'; client: Pick<Client, 'id' | 'name'> | undefined }
);

/**
 * What the events of a calendar would change: sittings that were moved there, worn sets whose next appointment was given a time, and all others as
 * sets that could be made, for whoever the event names. What stands here just so, or was written here and says nothing new, is left out.
 */
export function fromCalendar(
  events: readonly CalendarIn[],
  sets: readonly Planned[],
  all: readonly Worn[],
  clients: readonly Pick<Client, 'id' | 'name'>[],
): FromCalendar[] {
  const byId = new Map(sets.map((set) => [set.id, set]));
  const worn = new Map(all.map((one) => [one.set, one]));
  return events.flatMap((event): FromCalendar[] => {
    const due = DUE_UID.idIn(event.uid);
    const follow = FOLLOW_UID.idIn(event.uid);
    const sitting = due ?? follow ?? SITTING_UID.idIn(event.uid);
    if (follow !== undefined) return [];
    if (due !== undefined) {
      const one = worn.get(due);
      return one && event.at !== null ? [{ kind: 'infill', event, worn: one }] : [];
    }
    if (sitting !== undefined) {
      const set = byId.get(sitting);
      if (!set || set.state === 'done') return [];
      const at = set.appointment;
      return at?.on === event.on && at.at === event.at ? [] : [{ kind: 'moved', event, set }];
    }
    return [{ kind: 'new', event, client: namedIn(event.title, clients) }];
  });
}

/** The client whose name an event says, by whole words; undefined where it says nobody's, or two. */
function namedIn(title: string, clients: readonly Pick<Client, 'id' | 'name'>[]) {
  const wordsOf = (text: string) =>
    ` ${text
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u)
      .filter(Boolean)
      .join(' ')} `;
  const said = wordsOf(title);
  const named = clients.filter(({ name }) => wordsOf(name) !== '  ' && said.includes(wordsOf(name)));
  return named.length === 1 ? named[0] : undefined;
}
