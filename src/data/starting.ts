import { wordsWith } from '@/core/model/primitives';
import { DEMO_SETS } from '@/core/demo';
import type { SetDocument } from '@/core/document/document';
import { writeSetText } from '@/core/document/parse';
import type { Appointment } from '@/core/model/appointment';
import { onPlates, type Measured } from '@/core/model/client';
import { dayWords, today } from '@/core/model/days';
import { newSet } from '@/core/starter/newSet';
import { ownPractice } from './asked';
import { db } from './database';
import { goodRow } from './rows';
import { addSet, lastSeen } from './sets';

const SEEDED = 'seeded';

/** Puts the demo sets into a fresh store. One that was seeded before is left alone, even if it was emptied. */
export async function seedOnce(): Promise<void> {
  // Asked first without keeping anybody waiting: mostly it was.
  if (db().onlyRead || (await db().facts.get(SEEDED))) return;
  await db().transaction('rw', db().sets, db().facts, db().gone, async () => {
    if (await db().facts.get(SEEDED)) return;
    if ((await db().sets.count()) === 0) await putDemo();
    await db().facts.put({ key: SEEDED, value: 'yes' });
  });
}

/** Titles of the demo sets that were edited: what restoring would replace. */
export async function editedDemo(): Promise<string[]> {
  return (await edited()).map((set) => set.title);
}

async function edited(): Promise<SetDocument[]> {
  const found: SetDocument[] = [];
  for (const demo of DEMO_SETS) {
    const stored = await lastSeen(demo.id);
    if (stored.ok && writeSetText(stored.value.set) !== writeSetText(demo.make()))
      found.push(stored.value.set);
  }
  return found;
}

/** Brings the demo sets back as they were; an edited one is kept as a copy, and all other sets stay. */
export async function restoreDemo(): Promise<void> {
  await db().transaction('rw', [db().sets, db().journal, db().history, db().gone], async () => {
    for (const set of await edited()) await addSet({ ...set, title: wordsWith(set.title, '(edited)') });
    for (const { id } of DEMO_SETS) {
      await db().journal.where('set').equals(id).delete();
      await db().history.delete(id);
    }
    await putDemo();
  });
}

async function putDemo(): Promise<void> {
  const now = Date.now();
  for (const [i, demo] of DEMO_SETS.entries()) {
    // A demo set that was removed comes back as the same set: later than all that any tab has seen of it.
    const before = (await goodRow('sets', demo.id)) ?? (await goodRow('gone', demo.id));
    const document = demo.make();
    await db().sets.put({
      id: demo.id,
      title: document.title,
      // The first demo set stands first in the list, which runs from the latest change.
      changed_at: now - i,
      revision: (before?.revision ?? 0) + 1,
      document,
    });
  }
}

/**
 * Adds a new set of a typical hand, or of plates that were measured; called by its day: whose it is stands on the client's
 * card, and does not leave with the set. Returns its id.
 */
export async function addNewSet(
  plates?: Measured['plates'],
  appointment: Appointment | null = null,
): Promise<string> {
  // Whoever begins with a client finds the demo sets too.
  await seedOnce();
  const set = newSet('set', `Set of ${dayWords(appointment?.on ?? today())}`);
  const practice = await ownPractice();
  if (practice) set.practice = practice;
  if (appointment) set.appointment = appointment;
  if (plates) set.nails = onPlates(set.nails, plates);
  return addSet(set);
}
