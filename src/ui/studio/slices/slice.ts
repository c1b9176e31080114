import type { Studio } from '../studio';

/** A part of the studio's store: its first values, and the actions that alone write them. */
export type Slice<T> = (write: (part: Partial<Studio>) => void, read: () => Studio) => T;
