import { NEW_SET_TITLE } from '@/core/starter/newSet';
import { wordsWith } from '@/core/model/primitives';
import { dayWords, today } from './days';

/** What a set is called by its client and day, until it is named: "Imogen, 28 Nov 2026". */
export function titleFor(client: string, on = today()): string {
  return wordsWith(`${client},`, dayWords(on));
}

const DAY = /^ \d{1,2} \w{3,4} \d{4}$/;

/** Whether nobody has named a set: it has the first title of all, or one by a client (where it has one) and a day. */
export function isUnnamed(title: string, client: string | undefined): boolean {
  if (title === NEW_SET_TITLE) return true;
  return client !== undefined && title.startsWith(`${client},`) && DAY.test(title.slice(client.length + 1));
}
