import { OFFERS, type Offer } from '../src/core/craft/offers';
import { rowOf } from '../src/core/craft/surfaces';
import type { Operation } from '../src/core/craft/operation';
import { NAILS } from '../src/core/model/names';
import { planSet } from '../src/core/plan/planSet';
import { broughtFor, pickerOf } from '../src/core/starter/picker';
import { applyUnchecked } from '../src/core/document/changes';
import { element, setWearing } from '../src/core/testing/sets';
import { windowWords } from '../src/core/timing/windows';

const NAIL = 'left-middle';
/** What its words end with on a nail is this one's alone. */
const bare = (words: string) => words.replace(/ \(“[^”]*”\)/g, '');

/** Each thing that can be added to a look, as it is worked on a nail: what it wants, leaves, its light and what must follow soon. */
export function techniquesDoc(): string {
  const rows = OFFERS.map(rowFor);
  return [
    '# Techniques',
    '',
    'Written by `npm run schema`, and held by a test: each thing that can be added to a look, planned on a nail of soft-gel tip with a colour',
    'on it. What it *wants* is said by the table of surfaces for the first work it lays; what it *leaves* is what most of the nail is after its',
    'last step there. Guide times are of the plain kit and common practice: a product’s own direction goes before them.',
    '',
    '| technique | its steps | wants | leaves | light | what must follow | caution |',
    '| --- | --- | --- | --- | --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}

function rowFor(offer: Offer): string {
  const bareSet = setWearing([element('colour', { id: 'ground', product: 'ivory-02' })], (one) => {
    for (const name of NAILS) Object.assign(one.nails[name], { build: 'tips', in_work: name === NAIL });
  });
  const added = offer.fresh('added', pickerOf(bareSet, bareSet.looks[0]));
  const set = applyUnchecked(bareSet, {
    kind: 'many',
    changes: [
      ...broughtFor(added, bareSet),
      { kind: 'put-element', look: bareSet.looks[0]!.id, element: added },
    ],
  });
  const plan = planSet(set, { fixes: false, effort: { iterations: 0 } });
  const operations = plan.operations[NAIL];
  const own = operations.filter((one) => one.element === 'added');
  const laid = own.find((one) => one.deposit) ?? own[0];
  const last = own.at(-1);
  const left = last ? plan.surfaces[NAIL][operations.indexOf(last)]! : '';
  const windows = own.flatMap((one) => {
    const window = plan.windows[one.id];
    return window
      ? [windowWords({ words: window.words, guide_s: window.guide_s, most_s: window.most_s })]
      : [];
  });
  const cells = [
    offer.words,
    own.length > 0 ? [...new Set(own.map(stepWords))].join('; ') : 'the build’s own',
    laid ? rowOf(laid.verb).wants : 'what the build wants',
    left || 'what the build leaves',
    lights(own),
    [...new Set(windows)].join('; ') || '–',
    [...new Set(own.flatMap(({ caution }) => caution ?? []))].join(' ') || '–',
  ];
  return `| ${cells.join(' | ')} |`;
}

function stepWords({ words, lamp }: Operation): string {
  return lamp ? `${lamp.mode} ${lamp.seconds} s` : bare(words);
}

function lights(own: readonly Operation[]): string {
  const said = own.flatMap(({ lamp, wait_s }) => [
    ...(lamp ? [`${lamp.mode} ${lamp.seconds} s`] : []),
    ...(wait_s ? [`sets or dries ${wait_s} s`] : []),
  ]);
  return [...new Set(said)].join(', ') || 'none of its own';
}
