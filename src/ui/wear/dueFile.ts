'use client';
import { calendarFile } from '@/core/files/calendar';
import { dayWords } from '@/core/model/days';
import type { Worn } from '@/core/model/wear';
import type { Due } from '@/core/wear/growth';
import { downloadText, fileName } from '../kit/download';

/** An hour in the morning of the last day that is good: the artist moves it where it suits. */
const HOURS = ['09:00', '10:00'] as const;

/** What is due as events for a calendar. */
export function saveDue(name: string, all: readonly { worn: Pick<Worn, 'set' | 'title'>; due: Due }[]): void {
  const text = calendarFile(
    all.map(({ worn, due: { from, to, why } }) => ({
      uid: `${worn.set}-due@merry-lacquer`,
      title: `${worn.title}: due`,
      note: `Between ${dayWords(from)} and ${dayWords(to)}, for ${why}`,
      begins: new Date(`${to}T${HOURS[0]}:00`),
      ends: new Date(`${to}T${HOURS[1]}:00`),
      made_at: new Date(),
    })),
  );
  downloadText(`${fileName(name)}.ics`, text);
}
