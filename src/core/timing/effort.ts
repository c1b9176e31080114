export const FLOWS = ['quick', 'balanced', 'calm'] as const;
export type Flow = (typeof FLOWS)[number];

export interface Effort {
  /** Sequences played for a sitting of usual size; a smaller one, quicker played, gets more in the same time. */
  iterations: number;
  seed: number;
  flow: Flow;
  /** For a sitting that is only tried: the first in which no more limits than these are broken will do. */
  enough?: number;
}

/** While an artist edits: as much as fits between a key and its picture. */
export const EDITING: Effort = { iterations: 4000, seed: 1, flow: 'balanced' };

/** When nothing waits for it: the page once it is quiet, the command line, the server. */
export const AT_LENGTH: Effort = { ...EDITING, iterations: 60_000 };
