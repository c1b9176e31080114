import 'fake-indexeddb/auto';
import { curtainUp } from '@/core/demo/curtainUp';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Change } from '@/core/document/changes';
import { NAILS, type NailName } from '@/core/model/names';
import { simplifications } from '@/core/plan/simplifications';
import { newSet } from '@/core/starter/newSet';
import { putBack, toBin } from '@/data/bin';
import { db } from '@/data/database';
import { addSet, openSet, saveSet } from '@/data/sets';
import { keepStored, type Conflict } from './keepStored';
import { createStudio, type StudioStore } from './studio';
import { unpackHistory } from '@/data/undoHistory';

const listeners = { addEventListener: () => undefined, removeEventListener: () => undefined };
Object.assign(globalThis, { window: listeners });

const until = async (check: () => boolean | Promise<boolean>, turns = 1500) => {
  for (let i = 0; i < turns; i += 1) {
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

  it('several simplifications at once are one step, and taken back to the letter', () => {
    const store = createStudio(curtainUp());
    const changes = simplifications(curtainUp()).map(({ change }) => change);
    expect(changes.length).toBeGreaterThan(3);
    store.getState().change({ kind: 'many', changes });
    expect(store.getState().set).not.toEqual(curtainUp());
    store.temporal.getState().undo();
    expect(store.getState().set).toEqual(curtainUp());
  });

  it('takes back what was done in one go as one step, and what was done in two as two', () => {
    const store = createStudio(curtainUp());
    const width = (width_mm: number): Change => ({ kind: 'plate', nail: 'left-ring', plate: { width_mm } });
    for (const mm of [11, 11.5, 12]) store.getState().change(width(mm), 'first');
    for (const mm of [12.5, 13]) store.getState().change(width(mm), 'second');
    store.temporal.getState().undo();
    expect(store.getState().set.nails['left-ring'].plate.width_mm).toBe(12);
    store.getState().change(width(10), 'second');
    store.temporal.getState().undo();
    expect(store.getState().set.nails['left-ring'].plate.width_mm).toBe(12);
    store.temporal.getState().undo();
    expect(store.getState().set).toEqual(curtainUp());
  });

  it('gives both hands what one is given, and tells where else it went, of a whole gesture', () => {
    const store = createStudio(curtainUp());
    const { changeWorn } = store.getState();
    changeWorn({ kind: 'wear', nails: ['left-thumb'], look: 'velvet' });
    const { set, carried } = store.getState();
    expect([set.nails['left-thumb'].look, set.nails['right-thumb'].look]).toEqual(['velvet', 'velvet']);
    expect(carried).toMatchObject({ nails: ['right-thumb'], after: set });
    const leave = (element: string) =>
      ({ kind: 'nail-change', nail: 'left-ring', change: { element, leave_off: true } }) as const;
    const before = store.getState().set;
    changeWorn(leave('colour'), 'held');
    changeWorn(leave('inlay'), 'held');
    expect(store.getState().carried).toMatchObject({ nails: ['right-ring'], before });
    store.temporal.getState().undo();
    expect(store.getState().set).toBe(before);
    store.setState({ bothHands: false });
    changeWorn({ kind: 'wear', nails: ['left-thumb'], look: null });
    expect(store.getState().set.nails['right-thumb'].look).toBe('velvet');
    expect(
      createStudio({ ...before, practice: { ...before.practice, hands: 'differ' } }).getState().bothHands,
    ).toBe(false);
  });

  it('refuses a change that would break it, says why, and leaves nothing to undo', () => {
    const store = createStudio(curtainUp());
    expect(store.getState().change({ kind: 'plate', nail: 'left-ring', plate: { width_mm: 400 } })).toBe(
      false,
    );
    expect(store.getState().refused).toBe('Left ring finger, width: must be at most 25 mm');
    expect(store.getState().set).toEqual(curtainUp());
    expect(store.temporal.getState().pastStates).toHaveLength(0);
  });

  it('opens what the chosen nail wears, unless a look is pinned', () => {
    const store = createStudio(curtainUp());
    const wears = (nail: NailName) => store.getState().set.nails[nail].look;
    store.getState().select(['right-index']);
    expect(store.getState()).toMatchObject({ openLook: wears('right-index'), focus: 'right-index' });
    store.getState().pinLook(true);
    store.getState().select(['left-ring']);
    expect(store.getState()).toMatchObject({ openLook: wears('right-index'), focus: 'left-ring' });
    store.getState().pinLook(false);
    expect(store.getState().openLook).toBe(wears('left-ring'));
  });

  it('tells where else a change of a look went, and takes it back from there, with all of its gesture', () => {
    const store = createStudio(newSet('matinee', 'Matinée'));
    const state = store.getState;
    state().select(['left-ring']);
    const charm = techniqueOf('charm').fresh('charm', {} as never) as Extract<Element, { kind: 'charm' }>;
    const put = (width_mm: number): Change => ({
      kind: 'put-element',
      look: 'plain',
      element: { ...charm, width_mm },
    });
    state().change(put(3), 'drag');
    state().change(put(4), 'drag');
    expect(state().carried).toMatchObject({ by: 'look', after: state().set });
    expect(state().carried!.nails).toHaveLength(8);
    state().onlyOnChosen();
    const { set, openLook } = state();
    const has = NAILS.filter(
      (name) => set.looks.find((look) => look.id === set.nails[name].look)!.elements.length > 1,
    );
    expect(has).toEqual(['left-ring', 'right-ring']);
    expect(openLook).toBe(set.nails['left-ring'].look);
    // Two steps: the charm, and that it is theirs alone.
    store.temporal.getState().undo();
    store.temporal.getState().undo();
    expect(state().set).toEqual(newSet('matinee', 'Matinée'));
  });

  it('tells it too of what brings a product into the set', () => {
    const store = createStudio(newSet('matinee', 'Matinée'));
    const { set } = store.getState();
    const colour = techniqueOf('colour').fresh('shade', () => 'shade');
    const product = {
      ...set.kit.products.find((one) => one.family === 'gel-colour')!,
      id: 'shade',
      name: 'Shade',
    };
    store.getState().change({
      kind: 'many',
      changes: [
        { kind: 'put-product', product },
        { kind: 'put-element', look: 'plain', element: colour },
      ],
    });
    expect(store.getState().refused).toBeUndefined();
    expect(store.getState().carried).toMatchObject({ by: 'look', before: set });
  });

  it('says nothing of others where all that wear the look are chosen', () => {
    const store = createStudio(newSet('matinee', 'Matinée'));
    store.getState().select([...NAILS]);
    store.getState().change({ kind: 'remove-element', look: 'plain', element: 'colour' });
    expect(store.getState().carried).toBeUndefined();
  });
});

describe('keeping a set stored', () => {
  let stops: (() => void)[] = [];
  beforeEach(async () => {
    await db().sets.clear();
    await db().journal.clear();
    await db().gone.clear();
    await db().history.clear();
    await db().bin.clear();
  });
  afterEach(() => {
    for (const stop of stops) stop();
    stops = [];
  });

  async function tab(id: string) {
    const opened = await openSet(id);
    if (!opened.ok) throw new Error('not opened');
    const store: StudioStore = createStudio(opened.value.set, unpackHistory(opened.value));
    const conflicts: Conflict[] = [];
    let taken = 0;
    const keeper = keepStored(
      store,
      opened.value,
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

  it('a change is in the journal in its own tick, and taken out when the set is saved', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    store.getState().change({ kind: 'rename', title: 'One' });
    store.temporal.getState().undo();
    const entries = await db().journal.toArray();
    expect(entries.map((entry) => Object.keys(entry.step))).toEqual([['change'], ['document']]);
    expect(await storedTitle(id)).toBe('Curtain Up');
    store.temporal.getState().redo();
    await until(async () => (await storedTitle(id)) === 'One' && (await db().journal.count()) === 0);
  });

  it('a change made while another is being saved stays in the journal until it is saved itself', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    store.getState().change({ kind: 'rename', title: 'One' });
    const put = db().sets.put.bind(db().sets);
    const slow = jest.spyOn(db().sets, 'put').mockImplementationOnce((stored) => {
      // Right in the middle of the save.
      store.getState().change({ kind: 'rename', title: 'Two' });
      return put(stored);
    });
    await until(async () => (await storedTitle(id)) === 'One');
    slow.mockRestore();
    const opened = await openSet(id);
    expect(opened.ok && opened.value.set.title).toBe('Two');
    await until(async () => (await storedTitle(id)) === 'Two' && (await db().journal.count()) === 0);
  });

  it('what a hand holds on the nail is in the journal meanwhile, and in its set once it is let go', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    store.getState().change({ kind: 'rename', title: 'Before' });
    store.setState({ heldFrom: store.getState().set });
    store.getState().change({ kind: 'rename', title: 'Held' }, 'gesture');
    // The save that was due goes on; what came since waits, and no save is begun for it.
    await until(async () => (await db().sets.get(id))!.revision > 1);
    const { revision } = (await db().sets.get(id))!;
    store.getState().change({ kind: 'rename', title: 'Held on' }, 'gesture');
    await new Promise((done) => setTimeout(done, 300));
    expect((await db().sets.get(id))!.revision).toBe(revision);
    const elsewhere = await openSet(id);
    expect(elsewhere.ok && elsewhere.value.set.title).toBe('Held on');
    store.setState({ heldFrom: undefined });
    await until(async () => (await storedTitle(id)) === 'Held on' && (await db().journal.count()) === 0);
    expect(store.getState().saving).toBe('saved');
  });

  it('a tab that dies before it saves loses nothing: the next one has it, saved, as it was', async () => {
    const id = await addSet(curtainUp());
    const dying = await tab(id);
    dying.store.getState().change({ kind: 'rename', title: 'One' });
    dying.store.getState().change({ kind: 'wear', nails: ['left-thumb'], look: 'velvet' });
    const last = dying.store.getState().set;
    const next = await tab(id);
    expect(next.store.getState().set).toEqual(last);
    await until(async () => (await storedTitle(id)) === 'One');
    expect((await db().sets.get(id))!.document).toEqual(last);
  });

  it('a change every moment is never far behind: a save that is due is not put off', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    let worst = 0;
    for (let i = 1; i <= 30; i += 1) {
      store.getState().change({ kind: 'rename', title: `T${i}` });
      await new Promise((done) => setTimeout(done, 40));
      const title = (await storedTitle(id))!;
      worst = Math.max(worst, i - Number(title.replace(/\D/g, '')));
    }
    // Thirty changes in little more than a second: a debounce that restarts would have saved none of them.
    expect(worst).toBeLessThan(25);
  });

  it('a write that fails is told, tried again, and kept meanwhile', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    const put = jest.spyOn(db().sets, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    store.getState().change({ kind: 'rename', title: 'One' });
    await until(() => store.getState().saving === 'failed');
    expect(await storedTitle(id)).toBe('Curtain Up');
    put.mockRestore();
    await until(async () => (await storedTitle(id)) === 'One' && store.getState().saving === 'saved', 400);
  });

  it('a tab that has gone and saves late makes no conflict: what it saved was read from its journal', async () => {
    const id = await addSet(curtainUp());
    const dying = await tab(id);
    dying.store.getState().change({ kind: 'rename', title: 'One' });
    const next = await tab(id);
    next.store.getState().change({ kind: 'wear', nails: ['left-thumb'], look: 'velvet' });
    await until(async () => {
      const stored = (await db().sets.get(id))!.document;
      return stored.title === 'One' && stored.nails['left-thumb'].look === 'velvet';
    });
    expect(next.conflicts).toEqual([]);
  });

  it('says why a write failed, as an artist can use it', async () => {
    const id = await addSet(curtainUp());
    const { store } = await tab(id);
    const full = () => {
      throw new DOMException('', 'QuotaExceededError');
    };
    const put = jest.spyOn(db().sets, 'put').mockImplementation(full);
    store.getState().change({ kind: 'rename', title: 'One' });
    await until(() => store.getState().saving === 'failed');
    expect(store.getState().savingFault).toBe('there is no room left on this device');
    put.mockRestore();
    await until(() => store.getState().saving === 'saved', 400);
    expect(store.getState().savingFault).toBeUndefined();
  });

  it('undo and redo lead on where they led when the set was closed, saved or not', async () => {
    const id = await addSet(curtainUp());
    const first = await tab(id);
    const rename = (title: string, gesture?: string) =>
      first.store.getState().change({ kind: 'rename', title }, gesture);
    rename('One');
    rename('Two');
    rename('Three');
    first.store.temporal.getState().undo();
    await until(async () => (await storedTitle(id)) === 'Two' && (await db().journal.count()) === 0);
    // From here on only the journal knows.
    rename('Fo', 'typing');
    rename('Four', 'typing');
    rename('Five');
    first.store.temporal.getState().undo();
    await until(async () => (await db().journal.count()) >= 4);
    const title = (store: StudioStore) => store.getState().set.title;
    const next = await tab(id);
    expect(title(next.store)).toBe('Four');
    const { undo, redo } = next.store.temporal.getState();
    redo();
    expect(title(next.store)).toBe('Five');
    const back = ['Four', 'Two', 'One', 'Curtain Up', 'Curtain Up'].map(() => {
      undo();
      return title(next.store);
    });
    expect(back).toEqual(['Four', 'Two', 'One', 'Curtain Up', 'Curtain Up']);
    expect(next.store.getState().set).toEqual(curtainUp());
    // And once more, from the very beginning.
    await until(async () => (await storedTitle(id)) === 'Curtain Up' && (await db().journal.count()) === 0);
    const last = await tab(id);
    for (const words of ['One', 'Two', 'Four', 'Five']) {
      last.store.temporal.getState().redo();
      expect(title(last.store)).toBe(words);
    }
  });

  it('a set removed elsewhere is told at once, kept after all where that is wished, or put back', async () => {
    const id = await addSet(curtainUp());
    const { store, keeper } = await tab(id);
    const key = (await toBin(id))!;
    await until(() => store.getState().saving === 'gone');
    await putBack(key);
    await until(() => store.getState().saving === 'saved');
    store.getState().change({ kind: 'rename', title: 'Mine' });
    await until(async () => (await storedTitle(id)) === 'Mine');
    await toBin(id);
    await until(() => store.getState().saving === 'gone');
    store.getState().change({ kind: 'rename', title: 'Kept' });
    await keeper.putAgain();
    expect(store.getState().saving).toBe('saved');
    expect(await storedTitle(id)).toBe('Kept');
    store.getState().change({ kind: 'rename', title: 'Goes on' });
    await until(async () => (await storedTitle(id)) === 'Goes on');
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
    await until(() => store.getState().saving === 'gone');
    expect(await storedTitle(id)).toBeUndefined();
  });
});
