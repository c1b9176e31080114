import { BUILDS } from '../src/core/craft/builds';
import { FAMILIES } from '../src/core/craft/families';
import { STARTS } from '../src/core/craft/starts';
import { TECHNIQUES } from '../src/core/craft/techniques';
import { REGION_KINDS } from '../src/core/regions';
import { genericKit } from '../src/core/starter/kit';
import { newSet } from '../src/core/starter/newSet';
import { pickerOf } from '../src/core/starter/picker';

const BEGIN = '<!-- parts: written by npm run schema -->';
const END = '<!-- /parts -->';

/** One of everything that a set can hold, whole, as it begins: what to copy from. */
function parts(): string {
  const pick = pickerOf(newSet('set', 'Set'));
  const lines = (rows: readonly object[]) => ['```', ...rows.map((row) => JSON.stringify(row)), '```'];
  const { products } = genericKit();
  const madeOf = new Map(products.map((one) => [one.family, one]));
  return [
    '### Regions',
    '',
    ...lines(REGION_KINDS.map((one) => one.fresh)),
    '',
    '### Elements',
    '',
    ...lines(TECHNIQUES.map((one) => one.fresh(one.kind, pick))),
    '',
    '### Builds',
    '',
    ...lines(BUILDS.map((one) => one.fresh(one.kind))),
    '',
    '### Starts',
    '',
    ...lines(STARTS.map((one) => one.fresh())),
    '',
    '### Products, one of each family',
    '',
    ...lines(Object.keys(FAMILIES).flatMap((family) => madeOf.get(family as never) ?? [])),
  ].join('\n');
}

/** `docs/format.md` with its parts as the program has them now. */
export function withParts(text: string): string {
  const [before, rest] = text.split(BEGIN);
  const after = rest?.split(END)[1];
  if (before === undefined || after === undefined) throw new Error('docs/format.md has lost its marks');
  return `${before}${BEGIN}\n\n${parts()}\n\n${END}${after}`;
}
