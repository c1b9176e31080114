import 'fake-indexeddb/auto';
import { matinee } from '@/core/demo/matinee';
import { db } from './database';
import type { Listed } from './listed';
import type { StoredSet } from './records';
import { watchPlanned, watchSets } from './setList';

const LONG = 60;

/** A long list, the latest changed first: `set-0`, `set-1` …; one is broken, one is next at the table. */
beforeEach(async () => {
  for (const table of db().tables) await table.clear();
  const set = matinee();
  await db().sets.bulkAdd(
    Array.from({ length: LONG }, (_, i): StoredSet => {
      const id = `set-${i}`;
      const document = {
        ...set,
        id,
        appointment: i === 50 ? { on: '2999-01-01', at: null } : null,
        state: i % 2 ? ('done' as const) : ('planned' as const),
      };
      return {
        id,
        title: set.title,
        changed_at: LONG - i,
        revision: 1,
        document: i === 40 ? (7 as never) : document,
      };
    }),
  );
});

const idsOf = (all: readonly Listed[]) => all.map(({ id }) => id);

describe('a long list of sets', () => {
  it('shows what stands first before the rest is read, and then all in their order', async () => {
    const seen: [Listed[], boolean][] = [];
    await new Promise<void>((done, fail) => {
      const stop = watchSets((sets, whole) => {
        seen.push([sets, whole]);
        if (!whole) return;
        stop();
        done();
      }, fail);
    });
    const [[first, notWhole], [all, whole]] = seen as [[Listed[], boolean], [Listed[], boolean]];
    expect([notWhole, whole, seen.length]).toEqual([false, true, 2]);
    expect(first).toHaveLength(24);
    // What is next at the table is among the first, however long ago it was changed.
    expect(idsOf(first)).toEqual([...Array.from({ length: 23 }, (_, i) => `set-${i}`), 'set-50']);
    expect(idsOf(all)).toEqual(Array.from({ length: LONG }, (_, i) => `set-${i}`));
    expect(all.filter(({ kind }) => kind === 'broken').map(({ id }) => id)).toEqual(['set-40']);
  });

  it('says nothing more once it is not watched any more', async () => {
    let told = 0;
    await new Promise<void>((done, fail) => {
      const stop = watchSets(() => {
        told += 1;
        stop();
        done();
      }, fail);
    });
    await new Promise((done) => setTimeout(done, 100));
    expect(told).toBe(1);
  });

  it('of those that are still to be made is told once, whole', async () => {
    const planned = await new Promise<string[]>((done, fail) => {
      const stop = watchPlanned((all) => {
        setTimeout(() => stop());
        done(all.map(({ document }) => document.id));
      }, fail);
    });
    expect(planned).toHaveLength(LONG / 2 - 1);
    expect(planned).not.toContain('set-1');
  });
});
