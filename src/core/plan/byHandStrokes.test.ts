import type { Region } from '../regions';
import { colour, holdAsWritten, type ByHand } from '../testing/byHand';
import { element } from '../testing/sets';

type Motif = ReturnType<typeof element<'motif'>>;
type Point = [across: number, along: number];

const stroke = (width_mm: number, ...points: Point[]) => ({
  width_mm,
  filled: false,
  points: points.map(([across, along]) => ({ across, along })),
});
const shape = (...points: Point[]) => ({ ...stroke(0.3, ...points), filled: true });
const drawn = (...paths: ReturnType<typeof stroke>[]): Region => ({ kind: 'paths', paths });
const round = (across: number, along: number, r: number) =>
  shape(
    ...Array.from({ length: 16 }, (_, i): Point => {
      const turn = (2 * Math.PI * i) / 16;
      return [across + r * Math.cos(turn), along + 0.6 * r * Math.sin(turn)];
    }),
  );
const motif = (colours: Motif['colours'], over: Partial<Motif> = {}) =>
  element('motif', { id: 'flower', fit: 'keep', colours, cure: 'all', ...over });

const velvet = colour('velvet', 'velvet-04', undefined, { passes: 2 });
const white = colour('white', 'white-art');
const VELVET = 'build: base, cure; velvet: coat, cure, coat, cure';
const SEAL = 'top: top, cure';
const PETALS = drawn(
  ...[0, 1, 2, 3, 4].map((i) => round(0.34 * Math.cos(i * 1.2566), 0.85 + 0.2 * Math.sin(i * 1.2566), 0.17)),
);

const DOCUMENTS: Record<string, ByHand[]> = {
  'a motif is its strokes': [
    {
      says: 'pale petals over velvet in three thin passes, their middle in two: each cured',
      look: [
        velvet,
        motif([
          { name: 'petals', product: 'ivory-02', passes: 3, region: PETALS },
          { name: 'middle', product: 'amber-11', passes: 2, region: drawn(round(0, 0.85, 0.22)) },
        ]),
      ],
      order: `${VELVET}; flower: draw, cure, draw, cure, draw, cure, draw, cure, draw, cure; ${SEAL}`,
    },
    {
      says: 'petals that cover at once, a middle over them: a flash between, one light that reaches through it',
      look: [
        velvet,
        motif([
          { name: 'petals', product: 'white-art', region: PETALS },
          { name: 'middle', product: 'gilt-liner', region: drawn(round(0, 0.85, 0.22)) },
        ]),
      ],
      order: `${VELVET}; flower: draw, flash, draw, cure; ${SEAL}`,
    },
    {
      says: 'two strokes that cross in their middles, no end of either near the other',
      look: [
        white,
        motif([
          { name: 'ladder', product: 'velvet-04', region: drawn(stroke(1, [-0.6, 0.8], [0.6, 0.8])) },
          { name: 'rail', product: 'night-blue', region: drawn(stroke(1, [0, 0.3], [0, 1.3])) },
        ]),
      ],
      order: `build: base, cure; white: coat, cure; flower: draw, flash, draw, cure; ${SEAL}`,
      told: ['see-through'],
    },
    {
      says: 'a streaky peach half that is only half under a white one',
      look: [
        motif([
          { name: 'peach half', product: 'amber-11', region: drawn(round(-0.1, 0.8, 0.5)) },
          { name: 'white half', product: 'white-art', region: drawn(round(0.3, 0.8, 0.5)) },
        ]),
      ],
      order: `build: base, cure; flower: draw, flash, draw, cure; ${SEAL}`,
      told: ['see-through'],
    },
    {
      says: 'one petal of five past the sidewall',
      look: [
        velvet,
        motif(
          [
            {
              name: 'petals',
              product: 'white-art',
              region: drawn(
                round(0.96, 0.8, 0.13),
                ...[0.2, 0.5, 0.8, 1.1, 1.4, 1.6].flatMap((along) => [
                  round(0, along, 0.16),
                  round(0.4, along, 0.16),
                ]),
              ),
            },
          ],
          { cure: 'each' },
        ),
      ],
      order: `${VELVET}; flower: draw, cure; ${SEAL}`,
      told: ['region-off-the-plate'],
    },
  ],
};

holdAsWritten(DOCUMENTS);
