import 'fake-indexeddb/auto';
import { curtainUp } from '@/core/demo/curtainUp';
import { db } from '@/data/database';
import { addSet, openSet, saveSet } from '@/data/sets';
import { keepStored, type Conflict } from './keepStored';
import { createStudio, type StudioStore } from './studio';

const listeners = { addEventListener: () => undefined, removeEventListener: () => undefined };
Object.assign(globalThis, { window: listeners });

const until = async (check: () => boolean | Promise<boolean>) => {
  for (let i = 0; i < 100; i += 1) {
    if (await check()) return;
    await new Promise((done) => setTimeout(done, 20));
  }
  throw new Error('it never came');
};
const storedTitle = async (id: string) => (await db().sets.get(id))?.title;

describe('an open set', () => {
  it('undoes and redoes changes, and nothing but changes', () => {
    const store = createStudio(curtainUp());
    store.getState().change({ kind: 'rename', title: 'One' });
    store.getState().select(['left-thumb']);
    store.getState().change({ kind: 'wear', nails: ['left-thumb'], look: 'velvet' });
    store.temporal.getState().undo();
    expect(store.getState().set.nails['left-thumb'].look).toBe('mask');
    expect(store.getState().selected).toEqual(['left-thumb']);
    store.temporal.getState().undo();
    expect(store.getState().set).toEqual(curtainUp());
    store.temporal.getState().redo();
    store.temporal.getState().redo();
    expect(store.getState().set.title).toBe('One');
    expect(store.getState().set.nails['left-thumb'].look).toBe('velvet');
  });

  it('refuses a change that would break it, says why, and leaves nothing to undo', () => {
    const store = createStudio(curtainUp());
    expect(store.getState().change({ kind: 'plate', nail: 'left-ring', plate: { width_mm: 400 } })).toBe(
      false,
    );
    expect(store.getState().refused).toBe('nails.left-ring.plate.width_mm: must be at most 25 mm');
    expect(store.getState().set).toEqual(curtainUp());
    expect(store.temporal.getState().pastStates).toHaveLength(0);
  });

  it('opens the look of the nail that is chosen', () => {
    const store = createStudio(curtainUp());
    store.getState().select(['right-index']);
    expect(store.getState()).toMatchObject({ openLook: 'proscenium', focus: 'right-index' });
  });
});

describe('keeping a set stored', () => {
  let stops: (() => void)[] = [];
  beforeEach(async () => {
    await db().sets.clear();
  });
  afterEach(() => {
    for (const stop of stops) stop();
    stops = [];
  });

  async function tab(id: string) {
    const opened = await openSet(id);
    if (!opened.ok) throw new Error('not opened');
    const store: StudioStore = createStudio(opened.value.set);
    const conflicts: Conflict[] = [];
    let taken = 0;
    const keeper = keepStored(
      store,
      opened.value.revision,
      (conflict) => conflicts.push(conflict),
      () => (taken += 1),
    );
    stops.push(keeper.stop);
    return { store, keeper, conflicts, taken: () => taken };
  }

  it('saves changes as they happen, several strokes as one', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    store.getState().change({ kind: 'rename', title: 'One' });
    store.getState().change({ kind: 'rename', title: 'Two' });
    await until(() => store.getState().saving === 'saved' && store.getState().set.title === 'Two');
    await until(async () => (await storedTitle(id)) === 'Two');
    expect((await db().sets.get(id))!.revision).toBe(2);
  });

  it('follows what another tab saved, and undo brings one’s own back', async () => {
    const id = await addSet(curtainUp());
    const [one, two] = [await tab(id), await tab(id)];
    one.store.getState().change({ kind: 'rename', title: 'From one' });
    await until(() => two.store.getState().set.title === 'From one');
    expect(two.taken()).toBe(1);
    two.store.temporal.getState().undo();
    expect(two.store.getState().set.title).toBe('Curtain Up');
  });

  it('writes nothing where both changed, until it is told which', async () => {
    const id = await addSet(curtainUp());
    const mine = await tab(id);
    mine.store.getState().change({ kind: 'rename', title: 'Mine' });
    const opened = await openSet(id);
    if (!opened.ok) throw new Error('not opened');
    await saveSet({ ...opened.value.set, title: 'Theirs' }, opened.value.revision);
    await until(() => mine.conflicts.length > 0);
    expect(mine.store.getState().saving).toBe('conflict');
    expect(await storedTitle(id)).toBe('Theirs');
    mine.keeper.rebase(mine.conflicts[0]!.theirs.revision);
    await until(async () => (await storedTitle(id)) === 'Mine');
  });

  it('takes the other tab’s set where that is chosen', async () => {
    const id = await addSet(curtainUp());
    const mine = await tab(id);
    mine.store.getState().change({ kind: 'rename', title: 'Mine' });
    const opened = await openSet(id);
    if (!opened.ok) throw new Error('not opened');
    await saveSet({ ...opened.value.set, title: 'Theirs' }, opened.value.revision);
    await until(() => mine.conflicts.length > 0);
    mine.keeper.takeTheirs(mine.conflicts[0]!.theirs);
    expect(mine.store.getState().set.title).toBe('Theirs');
    expect(mine.store.getState().saving).toBe('saved');
    mine.store.temporal.getState().undo();
    expect(mine.store.getState().set.title).toBe('Mine');
  });

  it('says when the set is gone rather than bring it back in silence', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    await db().sets.delete(id);
    store.getState().change({ kind: 'rename', title: 'Ghost' });
    await until(() => store.getState().saving === 'failed');
    expect(await storedTitle(id)).toBeUndefined();
  });
});
