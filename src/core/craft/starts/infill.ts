import { grown_mm } from '../../model/growth';
import { rounded } from '../../model/rounded';
import { Start, type Mend, type StartOf } from '../../model/start';
import { primePlate } from '../primePlate';
import { pushBackDraft, sanitiseDraft, shapeDraft, shineOffDraft } from '../prepWork';
import { wholePlace } from '../context';
import { dustOffDraft } from '../drafts';
import { EDGE_UNDER_ART_UM } from '../structures';
import { CAUTIONS, HAND_S } from '../handwork';
import { ofKind } from '../../model/registry';
import { numberField } from '../technique';
import type { StartKind } from '../start';
import { STONES_OFF } from './removal';

/** Share of the old thickness that comes off with the old colour (common practice). */
const FILED_BACK = 0.5;
/** Pieces want thin below them, and what is mended new product over it: there the old set is filed back further. */
const FILED_BACK_UNDER_PIECES = 0.75;
/** What is laid anew, as a share of a new nail: the rest is still there. */
const LAID_ANEW = 0.75;
/** The step at the new growth is filed out over this stretch (common practice). */
const SEAM_MM = 4;

/** What is broken is opened down to sound product before anything is laid on it (common practice). */
const MENDING: Record<Mend, { words: string; file: string; hand_s: number }> = {
  no: { words: 'Nothing', file: '', hand_s: 0 },
  crack: { words: 'A crack', file: ', the crack opened to a groove in sound product', hand_s: 45 },
  lift: { words: 'It has lifted', file: ', all that has lifted filed off to where it holds', hand_s: 45 },
  chip: { words: 'A chip', file: ', the chip filed to a slope that holds', hand_s: 20 },
};
const TORN = 'Where the plate itself is torn, sore or discoloured, it is left alone and seen by a doctor.';

/** Bare plate at the cuticle: as measured, or as it grows in the weeks worn. */
export function gapOf_mm(start: StartOf<'infill'>): number {
  return start.gap_mm ?? rounded(grown_mm(start.weeks), 1);
}

/** A set that has grown out: filed back, its gap filled, its apex brought back over the stress area. */
export const infill: StartKind<StartOf<'infill'>> = {
  kind: 'infill',
  words: 'Grown out, to be filled',
  blurb: 'The old set stays: filed back, the gap filled, the apex brought back.',
  fields: ({ gap_mm }) => [
    ...(gap_mm === null ? [numberField(ofKind(Start, 'infill'), 'weeks', 'Worn for')] : []),
    { kind: 'optional', path: 'gap_mm', words: 'The gap is measured', fresh: () => 2.4 },
    numberField(ofKind(Start, 'infill'), 'gap_mm', 'Bare at the cuticle'),
    {
      kind: 'choice',
      path: 'mend',
      words: 'Broken on it',
      choices: Object.entries(MENDING).map(([value, { words }]) => ({ value, words })),
    },
    { kind: 'switch', path: 'stones', words: 'Stones or charms on it' },
  ],
  fresh: () => ({ kind: 'infill', weeks: 3, gap_mm: null, mend: 'no', stones: false }),
  found: (start, worn_um) => ({
    dull: false,
    old: { from_mm: gapOf_mm(start), apex_um: worn_um, stays: true },
  }),
  shines: () => true,
  keeps: (start, build, context) => {
    const gap_mm = gapOf_mm(start);
    const mending = MENDING[start.mend];
    const isMended = start.mend !== 'no';
    const { bed_mm, shape } = context.frame;
    const place = { ...wholePlace(), margin_mm: 0 };
    const { foundation, structure, primer } = build.refill();
    return {
      stages: {
        arrive: [sanitiseDraft(context)],
        prepare: [
          ...(start.stones ? [STONES_OFF] : []),
          pushBackDraft(),
          {
            step: 'file-back',
            verb: 'file-back',
            words: `File back: the old colour off, the step at the new growth to nothing${mending.file}`,
            place,
            removal: {
              allowance_um: Math.round(
                build.worn_um * (context.inlaid || isMended ? FILED_BACK_UNDER_PIECES : FILED_BACK),
              ),
              edge_um: EDGE_UNDER_ART_UM,
              seam_mm: { from: gap_mm, to: Math.min(gap_mm + SEAM_MM, bed_mm) },
            },
            hand_s: HAND_S['file-back'] + mending.hand_s,
            ...(isMended ? { caution: `${TORN} ${CAUTIONS['file-back']}` } : {}),
            reason:
              'Its apex has grown out past the stress area and is taken down; what has lifted is filed away, not glued over.',
          },
          shapeDraft(`Shorten the free edge and file it ${shape}`),
          {
            ...shineOffDraft('Take the shine off the new growth'),
            place: { ...place, region: { kind: 'band', from: 0, to: Math.min(1, gap_mm / bed_mm) } },
          },
          dustOffDraft('brush', 'Dust in the gap lifts the fill.'),
          ...primePlate(context, primer),
        ],
        foundation,
      },
      ...(structure
        ? { structure: { ...structure, apex_um: Math.round(structure.apex_um * LAID_ANEW) } }
        : {}),
    };
  },
};
