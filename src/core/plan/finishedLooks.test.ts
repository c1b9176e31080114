import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { goldenCard } from '../../../tests/goldenCard';
import { techniqueOf } from '../craft/techniques';
import type { Operation } from '../craft/operation';
import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { parseSet } from '../document/parse';
import { inOneGo } from '../model/inSlices';
import { NAILS, handOf } from '../model/names';
import { faultLine } from '../model/result';
import { runs } from '../testing/runs';
import { newSet } from '../starter/newSet';
import { cardOf, cardText } from '../timing/card';
import { judgeNail, planNail } from './nailPlan';
import { planSet } from './planSet';
import { puttingRight } from './putRight';

/*
 * Finished looks as artists ask for them, written as documents by what docs/format.md says alone: each opens, is planned
 * quiet, and has a card that can be read from first to last line (tests/cards/look-….txt).
 */

interface Written {
  /** Of the format it was written in. */
  version: number;
  name: string;
  /** The first is worn on the left hand, the last on the right. */
  builds: { id: string }[];
  elements: { id: string; kind: string }[];
  /** What the plain kit does not have. */
  products?: object[];
}

const FOLDER = join(process.cwd(), 'tests/looks');
const LOOKS = readdirSync(FOLDER).map((file): [string, Written] => [
  file.replace('.json', ''),
  JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as Written,
]);

function worn({ version, name, builds, elements, products = [] }: Written): SetDocument {
  const set = newSet('look', name);
  const nails = NAILS.map((nail) => [
    nail,
    { ...set.nails[nail], look: 'look', build: (handOf(nail) === 'left' ? builds[0] : builds.at(-1))!.id },
  ]);
  const parsed = parseSet({
    ...set,
    version,
    nails: Object.fromEntries(nails) as object,
    builds,
    looks: [{ id: 'look', name, key: 'a', elements }],
    kit: { ...set.kit, products: [...set.kit.products, ...products] },
  });
  if (!parsed.ok) throw new Error(parsed.faults.map(faultLine).join('\n'));
  return parsed.value;
}

it('there are thirty-four', () => {
  expect(LOOKS).toHaveLength(34);
});

/** Each by itself is soon put right; all of them only in the whole run. */
const SPOILED_EVERY = runs(4, 1);
const SPOILS = [
  ['a light left out', lightLeftOut],
  ['oil before the top', oilBeforeTop],
] as const;

describe.each(LOOKS)('%s', (file, written) => {
  const set = worn(written);
  const plan = planSet(set, { fixes: false, effort: { iterations: 600 } });

  it('has no stop, and one warning at most, which is true', () => {
    const found = plan.findings.filter(({ severity }) => severity !== 'note');
    expect(found.filter(({ severity }) => severity === 'stop')).toEqual([]);
    expect(found.length).toBeLessThanOrEqual(1);
  });

  it('has a card without ids, numbers run wild or words that are none', () => {
    for (const { words, reason, hand_s } of NAILS.flatMap((nail) => plan.operations[nail])) {
      expect(words).not.toMatch(/undefined|NaN|null|\d\.\d{3}|\b[a-z]+-\d\d\b/);
      expect(words).toMatch(/^\S.*\S$/);
      expect(reason.length).toBeGreaterThan(10);
      expect(hand_s).toBeGreaterThanOrEqual(0);
    }
  });

  it('reads from first to last line as it did when it was read at a table', () => {
    const told = plan.findings.map(({ severity, message }) => `${severity}: ${message}`);
    const card = [...told, cardText(cardOf(plan.passes, NAILS, plan.windows))].join('\n');
    expect(card).toBe(goldenCard(`look-${file}`, card));
  });

  it('shows every one of its elements in its work, but for the build', () => {
    const has = new Set(plan.operations['left-ring'].map((one) => one.element));
    for (const { id, kind } of written.elements) if (!techniqueOf(kind).builds) expect(has).toContain(id);
  });

  const due = LOOKS.findIndex(([name]) => name === file) % SPOILED_EVERY === 0;
  if (due)
    it.each(SPOILS)('spoiled by %s is told, and put right again', (_words, spoil) => {
      const nail = 'left-ring';
      const operations = plan.operations[nail];
      const edit = spoil(operations, written);
      // Without a lamp there is none to leave out.
      if (!edit) return;
      const spoilt = { ...set, edits: [edit] };
      const graveOf = (one: SetDocument) => {
        const made = planNail(one, nail);
        return judgeNail(one, nail, made, made.nominal).filter(({ severity }) => severity !== 'note');
      };
      const known = graveOf(set).map(({ id }) => id);
      const told = graveOf(spoilt).filter(({ id }) => !known.includes(id));
      expect(told.length).toBeGreaterThan(0);
      const right = inOneGo(puttingRight(spoilt, [nail]));
      const mended = right.change && applyChange(spoilt, right.change);
      if (!mended?.ok) throw new Error(`no way out: ${told[0]!.message}`);
      expect(graveOf(mended.value).filter(({ id }) => !known.includes(id))).toEqual([]);
    });
});

/** The first light that hardens something of the look itself; what was flashed is hardened by the next as well. */
function lightLeftOut(operations: readonly Operation[], { elements }: Written): Edit | undefined {
  const own = new Set(elements.map(({ id }) => id));
  const light = operations.find(
    (one, i) =>
      own.has(one.element) && one.lamp?.mode === 'cure' && operations[i - 1]?.lamp?.mode !== 'flash',
  );
  return light && { kind: 'skip', a: light.id };
}

function oilBeforeTop(operations: readonly Operation[]): Edit | undefined {
  const oil = operations.find(({ verb }) => verb === 'oil');
  const top = operations.findLast(({ verb }) => verb === 'top' || verb === 'matte-top' || verb === 'coat');
  return oil && top && { kind: 'before', a: oil.id, b: top.id };
}
