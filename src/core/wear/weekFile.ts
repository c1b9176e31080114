import { calendarFile, type CalendarEvent } from '../files/calendar';
import { DUE_UID, FOLLOW_UID, SITTING_UID } from '../files/calendarUids';
import { dayWords } from '../model/days';
import type { WeekItem } from './week';

/** What is to be done as a calendar file, each by the clock where a time is agreed, else as a whole day. */
export function weekFile(items: readonly WeekItem[], made_at: Date): string {
  return calendarFile(items.map((item) => ({ ...eventOf(item), made_at })));
}

function eventOf(item: WeekItem): Omit<CalendarEvent, 'made_at'> {
  const { set, title, on } = item;
  switch (item.kind) {
    case 'sitting': {
      const { at, until } = item;
      const moment = (time: string) => new Date(`${on}T${time}:00`);
      return {
        uid: SITTING_UID.of(set),
        title,
        note: '',
        begins: at === null ? on : moment(at),
        ends: at !== null && until !== null && until > at ? moment(until) : undefined,
      };
    }
    case 'due':
      return {
        uid: DUE_UID.of(set),
        title: `${title}: due`,
        note: `Between ${dayWords(item.due.from)} and ${dayWords(item.due.to)}, for ${item.due.why}`,
        begins: on,
      };
    case 'follow-up':
      return {
        uid: FOLLOW_UID.of(`${set}-${item.nth}`),
        title: `${title}: ${item.follow.words}`,
        note: '',
        begins: on,
      };
  }
}
