import type { BodyShape, PlacedPiece } from './matter';
import { ownForm } from './ownForm';
import { around, CHARM_FORMS, filling, type CharmForm } from './charmForms';

/** Cut from a sheet: as high at its edge as in its middle. */
const level = () => 1;

/** How every body is formed: charms as they are cast, and what is only cut flat. */
export const BODY_FORMS: Record<BodyShape, CharmForm> = {
  ...CHARM_FORMS,
  disc: {
    words: 'Disc',
    outline: around((angle) => ({ x: Math.cos(angle), y: Math.sin(angle) })),
    height: level,
  },
  square: { words: 'Square', outline: CHARM_FORMS.rectangle.outline, height: level },
  triangle: {
    words: 'Triangle',
    outline: [
      { x: -1, y: -1 },
      { x: 1, y: -1 },
      { x: 0, y: 1 },
    ],
    height: level,
  },
  hexagon: {
    words: 'Hexagon',
    // Regular where it is as long as wide, a corner towards the tip.
    outline: around((angle) => ({ x: Math.sin(angle), y: Math.cos(angle) }), 6).reverse(),
    height: level,
  },
  flower: {
    words: 'Flower',
    outline: filling(
      around((t) => {
        const r = 0.55 + 0.45 * Math.abs(Math.cos(2.5 * t)) ** 0.6;
        return { x: r * Math.sin(t), y: r * Math.cos(t) };
      }),
    ),
    height: level,
  },
  petal: {
    words: 'Petal',
    // Narrow at its foot, round at its end.
    outline: filling(
      around((t) => ({ x: Math.sin(t) * (0.3 + 0.7 * ((1 - Math.cos(t)) / 2) ** 0.8), y: -Math.cos(t) })),
    ),
    height: level,
  },
};

/** How one body is formed. */
export function formOf({ shape, outline }: Pick<PlacedPiece, 'shape' | 'outline'>): CharmForm {
  return outline ? ownForm(outline) : BODY_FORMS[shape];
}
