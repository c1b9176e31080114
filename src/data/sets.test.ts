import 'fake-indexeddb/auto';
import { curtainUp } from '@/core/demo/curtainUp';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { VERSION } from '@/core/document/document';
import { db } from './database';
import type { StoredSet } from './records';
import { putBack, toBin } from './bin';
import { append } from './journal';
import { addSet, openSet, saveSet } from './sets';
import { watchSets } from './setList';
import { listed, type Listed } from './listed';
import { addNewSet, editedDemo, restoreDemo, seedOnce } from './starting';

beforeEach(async () => {
  await db().sets.clear();
  await db().facts.clear();
  await db().gone.clear();
  await db().bin.clear();
});

const titles = async () =>
  (await db().sets.orderBy('changed_at').reverse().toArray()).map((one) => one.title);

describe('the browser’s store', () => {
  it('is seeded once with the demo sets, and left alone after', async () => {
    await seedOnce();
    expect(await titles()).toEqual(['Curtain Up', 'Matinée', 'Understudy', 'Fly Tower', 'Snow Scene']);
    await toBin('matinee');
    await seedOnce();
    expect(await titles()).toEqual(['Curtain Up', 'Understudy', 'Fly Tower', 'Snow Scene']);
  });

  it('is listed as each set was last seen, saved or not', async () => {
    await seedOnce();
    await append({ set: 'matinee', basis: 1, step: { change: { kind: 'rename', title: 'Seen' } } }).done;
    const shown = await new Promise<Listed[]>((done, failed) => {
      const stop = watchSets((sets) => {
        stop();
        done(sets);
      }, failed);
    });
    expect(shown.map((one) => one.kind === 'set' && [one.stored.title, one.stored.document.title])).toEqual([
      ['Curtain Up', 'Curtain Up'],
      ['Seen', 'Seen'],
      ['Understudy', 'Understudy'],
      ['Fly Tower', 'Fly Tower'],
      ['Snow Scene', 'Snow Scene'],
    ]);
    await db().journal.clear();
  });

  it('does not seed over sets that are there', async () => {
    await addSet({ ...curtainUp(), id: 'mine', title: 'Mine' });
    await seedOnce();
    expect(await titles()).toEqual(['Mine']);
  });

  it('restores the demo as it was, an edited one kept as a copy, and keeps the rest', async () => {
    await seedOnce();
    const opened = await openSet('curtain-up');
    if (!opened.ok) throw new Error('not opened');
    await saveSet({ ...opened.value.set, title: 'Spoilt' }, opened.value.revision);
    await addNewSet();
    expect(await editedDemo()).toEqual(['Spoilt']);
    await restoreDemo();
    expect(await editedDemo()).toEqual([]);
    expect((await titles()).sort()).toEqual([
      'Curtain Up',
      'Fly Tower',
      'Matinée',
      expect.stringMatching(/^Set of \d/),
      'Snow Scene',
      'Spoilt (edited)',
      'Understudy',
    ]);
  });

  it('shows what an older version stored as this one reads it, and writes nothing', async () => {
    const text = readFileSync(join(process.cwd(), 'tests/files/v1/matinee.lacquer.json'), 'utf8');
    const document = JSON.parse(text) as StoredSet['document'];
    await db().sets.put({ id: 'matinee', title: 'Matinée', changed_at: 1, revision: 3, document });
    const shown = listed((await db().sets.get('matinee'))!);
    if (shown.kind !== 'set') throw new Error('broken');
    expect(shown.stored.document.version).toBe(VERSION);
    const opened = await openSet('matinee');
    expect(opened.ok && opened.value).toMatchObject({
      set: shown.stored.document,
      revision: 3,
      journal: [],
    });
    expect((await db().sets.get('matinee'))!.document).toEqual(document);
  });

  it('saves over what it read, and nothing else: a second tab is told', async () => {
    const id = await addSet(curtainUp());
    const first = await openSet(id);
    const second = await openSet(id);
    if (!first.ok || !second.ok) throw new Error('not opened');
    expect(await saveSet({ ...first.value.set, title: 'From one' }, first.value.revision)).toEqual({
      kind: 'saved',
      revision: 2,
    });
    const outcome = await saveSet({ ...second.value.set, title: 'From two' }, second.value.revision);
    expect(outcome).toMatchObject({
      kind: 'changed-elsewhere',
      stored: { revision: 2, set: { title: 'From one' } },
    });
    expect(await titles()).toEqual(['From one']);
  });

  it('says that a set is gone rather than bring it back in silence', async () => {
    await seedOnce();
    await toBin('curtain-up');
    expect(await saveSet(curtainUp(), 1)).toEqual({ kind: 'gone' });
    expect(await openSet('curtain-up')).toMatchObject({ ok: false });
  });

  it('says which set it does not have', async () => {
    expect(await openSet('nowhere')).toMatchObject({
      ok: false,
      faults: [{ message: 'There is no set "nowhere" in this browser.' }],
    });
  });

  it('gives a second file of the same id an id of its own, inside and out', async () => {
    expect([await addSet(curtainUp()), await addSet(curtainUp())]).toEqual(['curtain-up', 'curtain-up-2']);
    const second = await openSet('curtain-up-2');
    expect(second.ok && second.value.set.id).toBe('curtain-up-2');
  });

  it('puts back what was removed, whole', async () => {
    const id = await addSet(curtainUp());
    const stored = (await db().sets.get(id))!;
    const key = (await toBin(id))!;
    await putBack(key);
    expect(await db().sets.get(id)).toEqual(stored);
  });

  it('tells a stored set that is broken by its path, and leaves it there', async () => {
    const id = await addSet(curtainUp());
    const stored = (await db().sets.get(id))!;
    const broken = structuredClone(stored);
    broken.document.nails['left-ring'].look = 'ghost';
    await db().sets.put(broken);
    expect(await openSet(id)).toMatchObject({ ok: false, faults: [{ path: 'nails.left-ring.look' }] });
    expect(await db().sets.get(id)).toEqual(broken);
  });
});
