import { techniqueOf } from '../../craft/techniques';
import { granted, type NailRule } from '../rule';
import { cellX, cellY } from '../../simulate/field';
import { pileColours } from '../../simulate/pile';
import { grey } from '../../colour/film';
import { luminance } from '../../colour/space';

/** Shorter than this past the fingertip, nobody sees it from beneath (common practice). */
const SEEN_FROM_MM = 4;
/** What lets through more of the difference between black and white than this is clear to the eye. */
const CLEAR = 0.35;
/** Of the free edge, so much has to be clear. */
const SHARE = 0.4;

/** A clear extension is seen from beneath as well; bare there it is dull, and a file's marks show through. */
export const undersideBare: NailRule = {
  codes: ['underside-bare'],
  asks: 'Is the underside of what is clear finished?',
  check: (nail) => {
    const { field, context, operations, elements } = nail;
    const { frame, grid } = field;
    // A ready tip is as smooth below as above; what is built over a form is as dull as its paper.
    if (field.edge === 'plate' || field.edge === 'tip' || frame.length_mm - frame.bed_mm < SEEN_FROM_MM)
      return [];
    if (operations.length === 0 || operations.some(({ verb }) => verb === 'underside')) return [];
    const colourAt = pileColours(field, context.product);
    const lets = (x: number, y: number) =>
      luminance(colourAt(x, y, { ground: grey(1) })) - luminance(colourAt(x, y, { ground: grey(0) }));
    const past = [...grid.inside.keys()].filter(
      (cell) => grid.inside[cell] && grid.y[cellY(cell)]! > frame.bed_mm + 1,
    );
    const clear = past.filter((cell) => lets(grid.x[cellX(cell)]!, grid.y[cellY(cell)]!) > CLEAR);
    if (past.length === 0 || clear.length / past.length < SHARE) return [];
    const top = elements.find((one) => techniqueOf(one.kind).ways?.['underside-too']);
    return [
      {
        severity: 'note' as const,
        message: 'The extension is clear, and its underside is left bare.',
        reason:
          'Seen from beneath it is dull, with the marks of the file; a thin top there has a light of its own, the palm up.',
        figure: {
          words: 'clear of the free edge',
          value: Math.round((100 * clear.length) / past.length),
          limit: SHARE * 100,
          is: 'at most',
          unit: '%',
        },
        tries: top ? granted(nail, top.id, 'underside-too', {}) : [],
      },
    ];
  },
};
