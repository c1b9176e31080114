import 'fake-indexeddb/auto';
import { curtainUp } from '@/core/demo/curtainUp';
import type { Change } from '@/core/document/changes';
import { db } from './database';
import type { JournalEntry } from './records';
import { append, laidOver, newKey, keepLate } from './journal';
import { toBin } from './bin';
import { addSet, foldLeft, openSet, saveSet } from './sets';

const rename = (title: string): Change => ({ kind: 'rename', title });
const entry = (key: string, basis: number, title: string): JournalEntry => ({
  key,
  set: 'curtain-up',
  basis,
  step: { change: rename(title) },
});
const later = (ms: number) => Date.now() + ms;

describe('the journal', () => {
  beforeEach(async () => {
    await db().sets.clear();
    await db().journal.clear();
    await db().gone.clear();
  });

  it('gives keys that sort as they were given', () => {
    const keys = Array.from({ length: 2000 }, newKey);
    expect([...keys].sort()).toEqual(keys);
    expect(new Set(keys).size).toBe(2000);
  });

  it('is laid over the set it was made on, in its order', () => {
    const made = [entry('3 a 3', 1, 'Third'), entry('1 a 1', 1, 'First'), entry('2 b 1', 1, 'Second')];
    const { set, keys } = laidOver(curtainUp(), { revision: 1 }, made);
    expect(set.title).toBe('Third');
    expect(keys).toEqual(['1 a 1', '2 b 1', '3 a 3']);
  });

  it('what a tab made while it was saving counts; what was made on another’s older set does not', () => {
    const made = [entry('2 a 2', 1, 'While saving'), entry('3 b 1', 1, 'On an older set')];
    const { set, keys } = laidOver(curtainUp(), { revision: 2, mark: '1 a 1' }, made);
    expect(set.title).toBe('While saving');
    expect(keys).toEqual(['2 a 2']);
  });

  it('what was made on a tab’s journal counts when that tab saves it late, and not when it saved something else', () => {
    const made = { ...entry('3 b 1', 1, 'Made here'), on: '2 a 2' };
    const late = { revision: 2, mark: '2 a 3', last: '2 a 2' };
    expect(laidOver(curtainUp(), late, [made]).set.title).toBe('Made here');
    // What was written while it saved was met here too.
    const more = entry('2 a 9', 1, 'While saving');
    const after = { ...made, on: '2 a 9' };
    const both = laidOver(curtainUp(), { ...late, mark: '2 a 5' }, [after, more]);
    expect(both).toMatchObject({ set: { title: 'Made here' }, keys: ['2 a 9', '3 b 1'] });
    for (const other of [
      { ...late, last: '2 c 1' },
      { revision: 2, mark: '2 a 3' },
      { ...late, revision: 3 },
    ])
      expect(laidOver(curtainUp(), other, [made]).keys).toEqual([]);
  });

  it('what the store has not confirmed as the page goes is put down beside it, and in the journal again', async () => {
    const kept = new Map<string, string>();
    Object.assign(globalThis, {
      localStorage: {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, text: string) => void kept.set(key, text),
        removeItem: (key: string) => void kept.delete(key),
      },
    });
    const id = await addSet(curtainUp());
    const { done } = append({ set: id, basis: 1, step: { change: rename('As it went') } });
    keepLate();
    await done;
    // As if the browser had dropped what it was asked for.
    await db().journal.clear();
    const again = await openSet(id);
    expect(again.ok && again.value.set.title).toBe('As it went');
    expect(kept.size).toBe(0);
    // What is confirmed is not put down, and what is no journal is passed over.
    keepLate();
    expect(kept.size).toBe(0);
    kept.set('merry-lacquer-late', '{broken');
    expect((await openSet(id)).ok).toBe(true);
    Reflect.deleteProperty(globalThis, 'localStorage');
  });

  it('an edit right after a reload is kept, though the tab before saves only then', async () => {
    const id = await addSet(curtainUp());
    const before = append({ set: id, basis: 1, step: { change: rename('Before') } });
    await before.done;
    const here = await openSet(id);
    if (!here.ok) throw new Error('not opened');
    expect(here.value).toMatchObject({ revision: 1, journal: [before.key] });
    await append({ set: id, basis: 1, on: before.key, step: { change: rename('After') } }).done;
    // The tab that is gone had its save under way.
    await saveSet({ ...curtainUp(), title: 'Before' }, 1, { entries: [before.key], mark: before.key });
    const again = await openSet(id);
    expect(again.ok && again.value.set.title).toBe('After');
  });

  it('an entry that no longer fits is passed over, and those after it are not', () => {
    const bad: JournalEntry = { ...entry('1 a 1', 1, ''), step: { change: rename('') } };
    const broken: JournalEntry = {
      ...entry('2 a 2', 1, ''),
      step: { document: { ...curtainUp(), looks: [] } },
    };
    const { set, keys } = laidOver(curtainUp(), { revision: 1 }, [bad, broken, entry('3 a 3', 1, 'Good')]);
    expect(set).toEqual({ ...curtainUp(), title: 'Good' });
    // What another program may follow stays where it is.
    expect(keys).toEqual(['3 a 3']);
  });

  it('what is appended is there when the set is opened, though nothing was saved', async () => {
    const id = await addSet(curtainUp());
    await append({ set: id, basis: 1, step: { change: rename('Kept') } }).done;
    const opened = await openSet(id);
    expect(opened.ok && opened.value.set.title).toBe('Kept');
    expect((await db().sets.get(id))!.title).toBe('Curtain Up');
  });

  it('saving takes out what it took in, and nothing else', async () => {
    const id = await addSet(curtainUp());
    const first = append({ set: id, basis: 1, step: { change: rename('One') } });
    await first.done;
    const mark = newKey();
    const second = append({ set: id, basis: 1, step: { change: rename('Two') } });
    await second.done;
    await saveSet({ ...curtainUp(), title: 'One' }, 1, { entries: [first.key], mark });
    expect((await db().journal.toArray()).map((one) => one.key)).toEqual([second.key]);
    const opened = await openSet(id);
    expect(opened.ok && opened.value).toMatchObject({ set: { title: 'Two' }, journal: [second.key] });
  });

  it('goes with a set that is removed, and old entries that fit nothing go in time', async () => {
    const id = await addSet(curtainUp());
    await append({ set: id, basis: 1, step: { change: rename('Gone') } }).done;
    await toBin(id);
    expect(await db().journal.count()).toBe(0);
    await append({ set: 'nowhere', basis: 7, step: { change: rename('Lost') } }).done;
    await foldLeft(later(5000));
    expect(await db().journal.count()).toBe(1);
    await foldLeft(later(31 * 24 * 3600 * 1000));
    expect(await db().journal.count()).toBe(0);
  });
});
