import type { Region } from '../../regions';
import { REGION_KINDS } from '../../regions';
import type { Variant } from '../technique';

/** What a colour on a part of the nail is to an artist: a thing of its own. */
const PAINTED: readonly { region: Region['kind']; words: string; blurb: string; crossed?: true }[] = [
  { region: 'lines', words: 'Lines', blurb: 'Stripes or waves, drawn one by one with a liner.' },
  { region: 'lines', words: 'Checks', blurb: 'Lines one way and across.', crossed: true },
  { region: 'dots', words: 'Dots', blurb: 'Rows of dots with a dotting tool.' },
  { region: 'letters', words: 'Letters', blurb: 'A word or initials, drawn with a liner.' },
  { region: 'path', words: 'A drawn line', blurb: 'One line, drawn by hand on the nail here.' },
  { region: 'outline', words: 'A drawn shape', blurb: 'A filled shape, drawn by hand on the nail here.' },
  { region: 'oval', words: 'A spot', blurb: 'A round or oval patch of colour.' },
  { region: 'band', words: 'A band', blurb: 'A stripe of colour from side to side.' },
];

/** Each of them as one coat of `fresh`, in a colour that shows. */
export function painted<E extends { region: Region; passes: unknown }>(
  fresh: Variant<E>['fresh'],
): readonly Variant<E>[] {
  return PAINTED.map(({ region, words, blurb, crossed }) => ({
    key: words.toLowerCase().replace(/\W+/g, '-'),
    words,
    blurb,
    fresh: (id, pick) => ({
      ...fresh(id, (wanted) => pick({ ...wanted, shows: true, beside: pick(wanted) })),
      region: partOf(region, crossed),
      passes: 1,
    }),
  }));
}

function partOf(kind: Region['kind'], crossed = false): Region {
  const { fresh } = REGION_KINDS.find((one) => one.kind === kind)!;
  return fresh.kind === 'lines' ? { ...fresh, crossed } : fresh;
}
