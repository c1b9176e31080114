import { curtainUp } from '@/core/demo/curtainUp';
import type { Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { Plan } from '@/core/plan/planSet';
import type { Found } from '@/core/timing/sitting';
import type { Planned } from '@/workers/plannerApi';
import { keepPlanned, type Planner } from './keepPlanned';
import { createStudio } from './studio';

/** A plan that is only known by the title of the set it is of. */
const planOfTitle = (title: string) => ({ title }) as unknown as Plan;

const FOUND: Found = { mark: 'x', order: [0], close: [0], keep: [0], whole: true };

/** Someone who plans when told to. */
function hands() {
  const asked: { set: SetDocument; answer: (planned: Planned) => void; fail: (error: Error) => void }[] = [];
  const polished: { set: SetDocument; answer: (plan?: Plan) => void; fail: (error: Error) => void }[] = [];
  const known: (Found | undefined)[] = [];
  let stops = 0;
  const planner: Planner = {
    planOf: (set, found) =>
      new Promise((answer, fail) => {
        known.push(found);
        asked.push({ set, answer, fail });
      }),
    polish: (set) =>
      new Promise((answer, fail) =>
        polished.push({ set, answer: (plan) => answer(plan && { plan, found: FOUND }), fail }),
      ),
    stopPolishing: () => (stops += 1),
  };
  const answer = (i: number) =>
    asked[i]!.answer({ plan: planOfTitle(asked[i]!.set.title), took_ms: 1, settled: false });
  return { planner, asked, polished, known, answer, stops: () => stops };
}

const settled = () => jest.advanceTimersByTimeAsync(1000);
/** Something of the plan is another, and the title says so. */
const changed = (title: string): Change => ({
  kind: 'many',
  changes: [
    { kind: 'rename', title },
    { kind: 'practice', practice: {} },
  ],
});

describe('a set that is kept planned', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  async function open() {
    const by = hands();
    const store = createStudio(curtainUp());
    const kept = new Map<string, Found>();
    const stop = keepPlanned(store, by.planner, {
      of: (id) => kept.get(id),
      keep: (id, found) => void kept.set(id, found),
    });
    // The view comes first.
    expect(by.asked).toEqual([]);
    await settled();
    return { ...by, store, stop, state: () => store.getState() };
  }

  it('is being planned, then planned, then planned at length', async () => {
    const { state, answer, polished } = await open();
    expect(state()).toMatchObject({ planning: 'making', plan: undefined });
    answer(0);
    await settled();
    expect(state()).toMatchObject({ planning: 'fresh', plan: { title: 'Curtain Up' }, searched: 0 });
    polished[0]!.answer(planOfTitle('at length'));
    await settled();
    expect(state()).toMatchObject({ planning: 'fresh', plan: { title: 'at length' }, searched: 1 });
  });

  it('what was found at length is taken up by the next plan, and only a found sitting is final', async () => {
    const { state, store, answer, polished, known } = await open();
    answer(0);
    await settled();
    expect(state().settled).toBe(false);
    polished[0]!.answer(planOfTitle('at length'));
    await settled();
    expect(state().settled).toBe(true);
    store.getState().change(changed('Second'));
    expect(state().settled).toBe(false);
    await settled();
    expect(known).toEqual([undefined, FOUND]);
  });

  it('a change makes the plan an old one at once, until its own is there', async () => {
    const { state, store, answer } = await open();
    answer(0);
    await settled();
    store.getState().change(changed('Second'));
    expect(state()).toMatchObject({ planning: 'making', plan: { title: 'Curtain Up' } });
    await settled();
    answer(1);
    await settled();
    expect(state()).toMatchObject({ planning: 'fresh', plan: { title: 'Second' } });
  });

  it('a title, a day, how far it has come: the plan stays fresh, and nothing is planned anew', async () => {
    const { state, store, answer, asked, polished, stops } = await open();
    // Also while it is being planned.
    store.getState().change({ kind: 'rename', title: 'Curtain Down' });
    answer(0);
    await settled();
    expect(state().planning).toBe('fresh');
    const before = stops();
    store.getState().change({ kind: 'state', state: 'begun' });
    store.getState().change({ kind: 'appoint', appointment: { on: '2026-12-04', at: null } });
    await settled();
    expect(state().planning).toBe('fresh');
    expect([asked.length, polished.length, stops()]).toEqual([1, 1, before]);
    polished[0]!.answer(planOfTitle('at length'));
    await settled();
    expect(state()).toMatchObject({ plan: { title: 'at length' }, settled: true });
  });

  it('an answer for a set that has changed meanwhile is not taken for fresh', async () => {
    const { state, store, answer, asked } = await open();
    store.getState().change(changed('Second'));
    store.getState().change(changed('Third'));
    await settled();
    answer(0);
    await settled();
    expect(state()).toMatchObject({ planning: 'making', plan: { title: 'Curtain Up' } });
    // Only the latest waited.
    expect(asked.map((one) => one.set.title)).toEqual(['Curtain Up', 'Third']);
    answer(1);
    await settled();
    expect(state()).toMatchObject({ planning: 'fresh', plan: { title: 'Third' } });
  });

  it('what a hand moves is planned once it is let go, however long it rests meanwhile', async () => {
    const { state, store, answer, asked } = await open();
    answer(0);
    await settled();
    store.setState({ heldFrom: state().set });
    store.getState().change(changed('Second'));
    await settled();
    store.getState().change(changed('Third'));
    await settled();
    expect(state().planning).toBe('making');
    expect(asked).toHaveLength(1);
    store.setState({ heldFrom: undefined });
    await settled();
    expect(asked.map((one) => one.set.title)).toEqual(['Curtain Up', 'Third']);
    answer(1);
    await settled();
    expect(state().planning).toBe('fresh');
    // Taken hold of and let go as it was, it is still planned.
    store.setState({ heldFrom: state().set });
    store.setState({ heldFrom: undefined });
    await settled();
    expect(asked).toHaveLength(2);
  });

  it('a plan that fails is told; the next change, or asking again, plans as ever', async () => {
    const { state, store, answer, asked } = await open();
    answer(0);
    await settled();
    store.getState().change(changed('Second'));
    await settled();
    asked[1]!.fail(new Error('no such nail'));
    await settled();
    expect(state()).toMatchObject({
      planning: 'failed',
      planFault: 'no such nail',
      plan: { title: 'Curtain Up' },
    });
    state().replan();
    expect(state()).toMatchObject({ planning: 'making', planFault: undefined });
    await settled();
    asked[2]!.fail(new Error('again'));
    await settled();
    store.getState().change(changed('Third'));
    await settled();
    answer(3);
    await settled();
    expect(state()).toMatchObject({ planning: 'fresh', planFault: undefined, plan: { title: 'Third' } });
  });

  it('where only the long search fails the plan stands, and that is told', async () => {
    const { state, polished, answer, asked } = await open();
    answer(0);
    await settled();
    polished[0]!.fail(new Error('out of memory'));
    await settled();
    expect(state()).toMatchObject({ planning: 'fresh', searchFailed: true, searched: 0 });
    state().replan();
    expect(state().searchFailed).toBe(false);
    expect(asked).toHaveLength(2);
  });

  it('a search that a change has stopped is no failure', async () => {
    const { state, store, polished, answer } = await open();
    answer(0);
    await settled();
    store.getState().change(changed('Second'));
    polished[0]!.answer();
    await settled();
    expect(state().searchFailed).toBe(false);
    // Asked for anew, the same set: the search that was under way is stopped, and has not failed either.
    answer(1);
    await settled();
    state().replan();
    polished[1]!.answer();
    await settled();
    expect(state()).toMatchObject({ searchFailed: false, planning: 'making' });
  });

  it('closed, it hears nothing more', async () => {
    const { state, stop, answer, store } = await open();
    stop();
    answer(0);
    store.getState().change(changed('Second'));
    await settled();
    expect(state().plan).toBeUndefined();
  });
});
