import type { Draft, Stage } from '../craft/operation';

/** Work of one element, or of the program's own, in a stage. */
export function placedIn(stage: Stage, element: string, drafts: readonly Draft[]): Placed[] {
  return drafts.map((draft) => ({ element, stage, draft }));
}

/** One piece of work where it stands in a nail's order. */
export interface Placed {
  element: string;
  stage: Stage;
  draft: Draft;
}
