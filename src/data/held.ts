import { TAB } from './journal';

/*
 * Each tab says which sets it has open, by a lock of the browser's that goes with the tab, however it ends. What such a
 * tab has in the journal is its own, and nobody else's to fold.
 */
const NAME = 'merry-lacquer open';
const nameOf = (set: string) => `${NAME} ${TAB} ${set}`;

/** Sets that this page has open, and how often. */
const here = new Map<string, number>();

/** Says that a set is open in this tab, until what is returned is called. */
export function holdOpen(set: string): () => void {
  here.set(set, (here.get(set) ?? 0) + 1);
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (release = resolve));
  // Two holds of one set, for the moment in which a view follows another, share its name.
  locks()
    ?.request(nameOf(set), { mode: 'shared' }, () => held)
    .catch(() => undefined);
  return () => {
    release();
    const left = (here.get(set) ?? 1) - 1;
    if (left > 0) here.set(set, left);
    else here.delete(set);
  };
}

const TABLE = 'merry-lacquer table';

/** A table as one tab holds it, or waits for it. */
export interface HeldTable {
  /** Takes it from the tab that has it. */
  take: () => void;
  leave: () => void;
}

/** The table of a set is worked at in one tab. Says whether this is the one; where another has it, it is waited for. */
export function holdTable(set: string, onHeld: (isHeld: boolean) => void): HeldTable {
  const manager = locks();
  if (!manager) {
    onHeld(true);
    return { take: () => undefined, leave: () => undefined };
  }
  const name = `${TABLE} ${set}`;
  const over = new AbortController();
  let release: () => void = () => undefined;
  const got = () => {
    if (over.signal.aborted) return Promise.resolve();
    onHeld(true);
    return new Promise<void>((resolve) => (release = resolve));
  };
  const ask = (options: LockOptions) => {
    manager
      .request(name, options, (lock) => {
        if (lock) return got();
        onHeld(false);
        ask({ signal: over.signal });
        return undefined;
      })
      .catch(() => {
        // Taken by another tab, or given up here.
        if (!over.signal.aborted) onHeld(false);
      });
  };
  ask({ ifAvailable: true });
  return {
    take: () => ask({ steal: true }),
    leave: () => {
      over.abort();
      release();
    },
  };
}

/** Who has which sets open. */
export interface OpenSets {
  /** Whether a tab has a set open; undefined where the browser cannot say. */
  by: (tab: string, set: string) => boolean | undefined;
  /** Whether any tab has it open, as far as is known. */
  anywhere: (set: string) => boolean;
}

export async function openSets(): Promise<OpenSets> {
  const found = await locks()
    ?.query()
    .catch(() => undefined);
  const names = found && new Set(found.held?.flatMap((one) => (one.name ? [one.name] : [])));
  return {
    by: (tab, set) => (tab === TAB ? here.has(set) : names && names.has(`${NAME} ${tab} ${set}`)),
    anywhere: (set) =>
      here.has(set) ||
      [...(names ?? [])].some((name) => name.startsWith(`${NAME} `) && name.endsWith(` ${set}`)),
  };
}

function locks(): LockManager | undefined {
  return globalThis.navigator?.locks;
}
