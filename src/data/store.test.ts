import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import { curtainUp } from '@/core/demo/curtainUp';

import { STORE_VERSION } from './tables';

/** Of a program that is not written yet. */
const NEWER = STORE_VERSION + 1;

type Store = typeof import('./store');
type Tables = typeof import('./database');

/** The program as a page that was just opened has it, on a browser's store that a test made. */
async function opened(factory: IDBFactory | undefined) {
  jest.resetModules();
  Object.assign(globalThis, { indexedDB: factory, IDBKeyRange });
  const store: Store = await import('./store');
  const tables: Tables = await import('./database');
  const { Dexie } = await import('dexie');
  Object.assign(Dexie.dependencies, { indexedDB: factory, IDBKeyRange });
  const sets = await import('./sets');
  const journal = await import('./journal');
  return { ...store, ...tables, ...sets, ...journal };
}

/** A store as a program of the given version has left it. */
async function leftBy(version: number): Promise<IDBFactory> {
  const factory = new IDBFactory();
  await new Promise<void>((done) => {
    const asking = factory.open('merry-lacquer', version * 10);
    asking.onupgradeneeded = () => {
      const made = asking.result;
      made.createObjectStore('sets', { keyPath: 'id' }).createIndex('changed_at', 'changed_at');
      made.createObjectStore('facts', { keyPath: 'key' });
      for (const name of ['journal', 'bin']) made.createObjectStore(name, { keyPath: 'key' });
      for (const name of ['gone', 'later']) made.createObjectStore(name, { keyPath: 'id' });
      asking.transaction!.objectStore('journal').createIndex('set', 'set');
      made.createObjectStore('history', { keyPath: 'set' });
      asking.transaction!.objectStore('sets').put({
        id: 'curtain-up',
        title: 'Curtain Up',
        changed_at: 1,
        revision: 1,
        document: curtainUp(),
      });
    };
    asking.onsuccess = () => {
      asking.result.close();
      done();
    };
  });
  return factory;
}

describe('the browser’s store', () => {
  it('is made where there is none', async () => {
    const page = await opened(new IDBFactory());
    await page.openStore();
    expect(page.storeState()).toEqual({ kind: 'ready' });
    expect(await page.addSet(curtainUp())).toBe('curtain-up');
  });

  it('of a newer program is read and never written', async () => {
    const factory = await leftBy(NEWER);
    const page = await opened(factory);
    await page.openStore();
    expect(page.storeState()).toEqual({ kind: 'newer' });
    const read = await page.openSet('curtain-up');
    expect(read.ok && read.value.set.title).toBe('Curtain Up');
    await expect(page.saveSet(curtainUp(), 1)).rejects.toThrow(/only read/);
    await expect(page.addSet(curtainUp())).rejects.toThrow(/only read/);
    expect(() =>
      page.append({ set: 'curtain-up', basis: 1, step: { change: { kind: 'rename', title: 'X' } } }),
    ).toThrow(/only read/);
    await page.foldLeft();
    expect(page.db().backendDB().version).toBe(NEWER * 10);
    expect([...page.db().backendDB().objectStoreNames]).toContain('later');
  });

  it('that is not there is told, and all works without it until the page is closed', async () => {
    const page = await opened(undefined);
    await page.openStore();
    expect(page.storeState()).toMatchObject({ kind: 'failed', why: expect.stringContaining('has none') });
    await page.workInMemory();
    expect(page.storeState()).toEqual({ kind: 'memory' });
    expect(await page.addSet(curtainUp())).toBe('curtain-up');
    await page.append({ set: 'curtain-up', basis: 1, step: { change: { kind: 'rename', title: 'X' } } }).done;
    const read = await page.openSet('curtain-up');
    expect(read.ok && read.value.set.title).toBe('X');
  });

  it('that refuses to open is told in its own words', async () => {
    const factory = new IDBFactory();
    factory.open = () => {
      throw new DOMException('the user denied permission', 'SecurityError');
    };
    const page = await opened(factory);
    await page.openStore();
    expect(page.storeState()).toMatchObject({
      kind: 'failed',
      why: expect.stringContaining('the user denied permission'),
    });
  });

  it('that never answers is given up', async () => {
    jest.useFakeTimers();
    const factory = new IDBFactory();
    factory.open = () => ({}) as IDBOpenDBRequest;
    const page = await opened(factory);
    const opening = page.openStore();
    await jest.advanceTimersByTimeAsync(10_000);
    await opening;
    jest.useRealTimers();
    expect(page.storeState()).toEqual({ kind: 'failed', why: 'it does not answer' });
  });

  it('taken over by a newer program while it is open is let go, and that is told', async () => {
    const factory = new IDBFactory();
    const page = await opened(factory);
    await page.openStore();
    const told: string[] = [];
    page.watchStore(() => told.push(page.storeState().kind));
    await new Promise<void>((done) => {
      factory.open('merry-lacquer', NEWER * 10).onsuccess = () => done();
    });
    expect(told).toEqual(['superseded']);
    await expect(page.addSet(curtainUp())).rejects.toThrow();
  });

  it('deleted by another tab while it is open is let go, and told as what it is', async () => {
    const factory = new IDBFactory();
    const page = await opened(factory);
    await page.openStore();
    await new Promise<void>((done) => {
      factory.deleteDatabase('merry-lacquer').onsuccess = () => done();
    });
    expect(page.storeState()).toMatchObject({ kind: 'lost', why: expect.stringContaining('deleted') });
    await expect(page.addSet(curtainUp())).rejects.toThrow();
  });

  it('held by an older program is waited for, and goes on by itself', async () => {
    const factory = await leftBy(2);
    const holder = await new Promise<IDBDatabase>((done) => {
      const asking = factory.open('merry-lacquer');
      asking.onsuccess = () => done(asking.result);
    });
    const page = await opened(factory);
    const opening = page.openStore();
    await new Promise<void>((done) => page.watchStore(done));
    expect(page.storeState()).toEqual({ kind: 'blocked' });
    holder.close();
    await opening;
    expect(page.storeState()).toEqual({ kind: 'ready' });
  });
});
