import { Practice } from '@/core/model/practice';
import { db } from './database';

const PRACTICE = 'practice';

/** How new sets begin, as the artist has said; undefined where nothing was said, or an older program said it. */
export async function ownPractice(): Promise<Practice | undefined> {
  const fact = await db().facts.get(PRACTICE);
  if (!fact) return undefined;
  try {
    const parsed = Practice.safeParse(JSON.parse(fact.value));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

/** From here on new sets begin this way. */
export async function keepPractice(practice: Practice): Promise<void> {
  await db().facts.put({ key: PRACTICE, value: JSON.stringify(practice) });
}

/** Where among the facts it stands what was asked of a set. */
export function askedKey(set: string): string {
  return `asked ${set}`;
}

/** Whether just this was answered for a set before: the same question is asked once. */
export async function wasAsked(set: string, question: string): Promise<boolean> {
  return (await db().facts.get(askedKey(set)))?.value === question;
}

export async function noteAsked(set: string, question: string): Promise<void> {
  if (!db().onlyRead) await db().facts.put({ key: askedKey(set), value: question });
}
