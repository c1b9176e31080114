'use client';
import { calendarFile, type CalendarEvent } from '@/core/files/calendar';
import { DUE_UID, FOLLOW_UID, SITTING_UID } from '@/core/files/calendarUids';
import { dayWords } from '@/core/model/days';
import type { WeekItem } from '@/core/wear/week';
import { downloadText, fileName } from '../kit/download';

/** What is to be done as a calendar file, each by the clock where a time is agreed, else as a whole day. */
export function saveWeek(name: string, items: readonly WeekItem[]): void {
  downloadText(`${fileName(name)}.ics`, calendarFile(items.map(eventOf)));
}

function eventOf(item: WeekItem): CalendarEvent {
  const { set, title, on } = item;
  const base = { begins: on, made_at: new Date() };
  switch (item.kind) {
    case 'sitting': {
      const moment = (at: string) => new Date(`${on}T${at}:00`);
      return {
        ...base,
        uid: SITTING_UID.of(set),
        title,
        note: '',
        ...(item.at === null ? {} : { begins: moment(item.at) }),
        ...(item.at !== null && item.until !== null && item.until > item.at
          ? { ends: moment(item.until) }
          : {}),
      };
    }
    case 'due':
      return {
        ...base,
        uid: DUE_UID.of(set),
        title: `${title}: due`,
        note: `Between ${dayWords(item.due.from)} and ${dayWords(item.due.to)}, for ${item.due.why}`,
      };
    case 'follow-up':
      return {
        ...base,
        uid: FOLLOW_UID.of(`${set}-${item.nth}`),
        title: `${title}: ${item.follow.words}`,
        note: '',
      };
  }
}
