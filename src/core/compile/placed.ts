import type { Draft, Stage } from '../craft/operation';

/** One piece of work where it stands in a nail's order. */
export interface Placed {
  element: string;
  stage: Stage;
  draft: Draft;
}
