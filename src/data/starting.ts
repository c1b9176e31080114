import { DEMO_SETS } from '@/core/demo';
import { newSet } from '@/core/starter/newSet';
import { db } from './database';
import { addSet } from './sets';

const SEEDED = 'seeded';

/** Puts the demo sets into a fresh store. One that was seeded before is left alone, even if it was emptied. */
export async function seedOnce(): Promise<void> {
  await db().transaction('rw', db().sets, db().facts, async () => {
    if (await db().facts.get(SEEDED)) return;
    if ((await db().sets.count()) === 0) await putDemo();
    await db().facts.put({ key: SEEDED, value: 'yes' });
  });
}

/** Brings the demo sets back as they were; all other sets stay. */
export async function restoreDemo(): Promise<void> {
  await db().transaction('rw', db().sets, putDemo);
}

async function putDemo(): Promise<void> {
  const now = Date.now();
  for (const [i, demo] of DEMO_SETS.entries()) {
    const stored = await db().sets.get(demo.id);
    const document = demo.make();
    await db().sets.put({
      id: demo.id,
      title: document.title,
      // The first demo set stands first in the list, which runs from the latest change.
      changed_at: now - i,
      revision: (stored?.revision ?? 0) + 1,
      document,
    });
  }
}

/** Adds a new set of a typical hand. Returns its id. */
export async function addNewSet(): Promise<string> {
  return addSet(newSet('set', 'New set'));
}
