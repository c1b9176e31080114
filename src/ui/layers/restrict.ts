import type { Modifier } from '@dnd-kit/core';

/** Steps move up and down only. */
export const restrictToVertical: Modifier = ({ transform }) => ({ ...transform, x: 0 });
