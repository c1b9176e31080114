/** The outlines of a free edge, as the trade names them. */
export const SHAPES = ['square', 'squoval', 'round', 'oval', 'almond', 'coffin', 'stiletto', 'edge'] as const;
export type Shape = (typeof SHAPES)[number];
