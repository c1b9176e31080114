import 'fake-indexeddb/auto';
import type { Change } from '@/core/document/changes';
import { curtainUp } from '@/core/demo/curtainUp';
import { db } from './database';
import type { JournalEntry } from './records';
import { holdOpen } from './held';
import { append } from './journal';
import { addSet, foldLeft, openSet, saveSet } from './sets';
import { packHistory, unpackHistory } from './undoHistory';

const rename = (title: string): Change => ({ kind: 'rename', title });
const later = (ms: number) => Date.now() + ms;
let count = 0;

/** An entry as another tab has written it, now or some time ago. */
function written(tab: string, set: string, title: string, more: Partial<JournalEntry> = {}, ago_ms = 0) {
  count += 1;
  const key = `${String(Date.now() - ago_ms).padStart(15, '0')} ${tab} ${String(count).padStart(9, '0')}`;
  return db().journal.add({ key, set, basis: 1, step: { change: rename(title) }, ...more });
}

/** The browser as it knows which tabs have which sets open. */
function tabsOpen(...open: [tab: string, set: string][]) {
  const held = open.map(([tab, set]) => ({ name: `merry-lacquer open ${tab} ${set}` }));
  const locks = { query: () => Promise.resolve({ held }), request: () => Promise.resolve() };
  Object.defineProperty(globalThis.navigator, 'locks', { value: locks, configurable: true });
}

const titleOf = async (id: string) => (await db().sets.get(id))?.title;

describe('what tabs have left', () => {
  let id: string;
  beforeEach(async () => {
    for (const table of db().tables) await table.clear();
    id = await addSet(curtainUp());
    Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true, writable: true });
  });

  it('is folded into its set where the browser says that the tab is gone', async () => {
    tabsOpen();
    await written('gone', id, 'Left', {}, 5000);
    await foldLeft();
    expect(await db().sets.get(id)).toMatchObject({ title: 'Left', revision: 2 });
    expect(await db().journal.count()).toBe(0);
  });

  it('is left to a tab that has the set open, however old it is, with what others left beside it', async () => {
    tabsOpen(['lives', id]);
    await written('gone', id, 'Left', {}, 60_000);
    await written('lives', id, 'Held for long', {}, 20_000);
    await foldLeft();
    expect(await db().sets.get(id)).toMatchObject({ title: 'Curtain Up', revision: 1 });
    expect(await db().journal.count()).toBe(2);
    // Another tab opens it without what that one works at.
    const opened = await openSet(id);
    expect(opened.ok && opened.value.set.title).toBe('Left');
    tabsOpen();
    await foldLeft();
    expect(await db().sets.get(id)).toMatchObject({ title: 'Held for long', revision: 2 });
  });

  it('is left alone for a moment where the browser cannot say who lives', async () => {
    await written('other', id, 'Left');
    await foldLeft();
    expect(await titleOf(id)).toBe('Curtain Up');
    await foldLeft(later(5000));
    expect(await titleOf(id)).toBe('Left');
  });

  it('of this very tab is its own while the set is open here', async () => {
    const letGo = holdOpen(id);
    await append({ set: id, basis: 1, step: { change: rename('Mine') } }).done;
    await foldLeft(later(5000));
    expect(await titleOf(id)).toBe('Curtain Up');
    letGo();
    await foldLeft(later(5000));
    expect(await titleOf(id)).toBe('Mine');
  });

  it('keeps its undo when it is folded, and all that could be undone before', async () => {
    tabsOpen();
    const set = curtainUp();
    const first = { ...set, title: 'First' };
    await saveSet(first, 1, { entries: [], mark: '', history: packHistory([set], first, []) });
    await written('gone', id, 'Second', { basis: 2 });
    await written('gone', id, 'Third', { basis: 2 });
    await foldLeft(later(5000));
    const opened = await openSet(id);
    if (!opened.ok) throw new Error('not opened');
    expect(opened.value.set.title).toBe('Third');
    const { past } = unpackHistory(opened.value);
    expect(past.map((one) => one.title)).toEqual(['Curtain Up', 'First', 'Second']);
  });

  it('an open choice of a tab that is gone becomes a set beside the other’s', async () => {
    tabsOpen(['lives', id]);
    const mine = (title: string): Partial<JournalEntry> => ({
      conflict: true,
      step: { document: { ...curtainUp(), title } },
    });
    await written('lives', id, '', mine('Mine'));
    await written('lives', id, '', mine('Mine, later'));
    await saveSet({ ...curtainUp(), title: 'Theirs' }, 1);
    expect(await foldLeft()).toEqual([]);
    tabsOpen();
    expect(await foldLeft()).toEqual(['Mine, later (my copy)']);
    expect(await foldLeft()).toEqual([]);
    expect((await db().sets.toArray()).map((one) => one.title).sort()).toEqual([
      'Mine, later (my copy)',
      'Theirs',
    ]);
    expect(await db().journal.count()).toBe(0);
  });

  it('what a newer program wrote is neither followed nor taken out', async () => {
    tabsOpen();
    const newer = { step: { change: { kind: 'marble', swirl: 3 } } } as unknown as Partial<JournalEntry>;
    await written('gone', id, '', newer);
    await written('gone', id, 'After it');
    expect(await foldLeft(later(90 * 24 * 3600 * 1000))).toEqual([]);
    await foldLeft();
    expect(await titleOf(id)).toBe('Curtain Up');
    expect((await db().journal.toArray()).map(({ step }) => step)).toEqual([newer.step]);
  });
});
