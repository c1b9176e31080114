import fc from 'fast-check';
import { isHeldAfter } from '../craft/operation';
import { applyChange } from '../document/changes';
import type { Edit } from '../document/edits';
import type { SetDocument } from '../document/document';
import { parseSet } from '../document/parse';
import { NAILS } from '../model/names';
import { planNail } from '../plan/nailPlan';
import { planSet } from '../plan/planSet';
import { runs } from '../testing/runs';
import { element, findingsOn, QUICK, setWearing } from '../testing/sets';
import { PUT_IN, putIn, putInProducts, type PutIn, type Wished } from './putIn';
import { editsAbout } from './reorder';

const NAIL = 'left-ring';
const worn = () => setWearing([element('colour')]);
const order = (set: SetDocument) => planNail(set, NAIL).compiled.operations;
const wish = (verb: PutIn, over: Partial<Wished> = {}): Wished => ({
  verb,
  seconds: PUT_IN[verb].seconds,
  held: false,
  ...over,
});

/** Puts work in after the operation of an element's step. */
function withWork(set: SetDocument, after: string, wished: Wished) {
  const { change, operation } = putIn(
    set,
    order(set).find((one) => one.id === `${NAIL}/${after}`)!,
    wished,
  );
  const next = applyChange(set, change);
  if (!next.ok) throw new Error(next.faults[0]!.message);
  return { set: next.value, operation };
}

describe('work put in by hand', () => {
  it('stands right after its step, is written and read again, and goes with one press', () => {
    for (const verb of Object.keys(PUT_IN) as PutIn[]) {
      const product = putInProducts(verb, worn().kit.products)[0]?.id;
      const { set, operation } = withWork(
        worn(),
        'colour/cure#1',
        wish(verb, { ...(product ? { product } : {}) }),
      );
      const line = order(set);
      const at = line.findIndex((one) => one.id === operation);
      expect(line[at - 1]!.id).toBe(`${NAIL}/colour/cure#1`);
      expect(line[at]!.verb).toBe(verb);
      const read = parseSet(JSON.parse(JSON.stringify(set)));
      expect(read).toEqual({ ok: true, value: set });
      const said = editsAbout(set.edits, operation);
      expect(said.some((edit) => edit.kind === 'insert' && edit.verb === verb)).toBe(true);
    }
  });

  it('a coat lies on the nail, as thick as its product says, with its own cure behind it', () => {
    const colour = worn().kit.products.find((one) => one.id === 'amber-11')!;
    const { set, operation } = withWork(worn(), 'colour/cure#1', wish('coat', { product: colour.id }));
    const { compiled, nominal } = planNail(set, NAIL);
    const film = nominal.field.films.find((one) => one.operation === operation)!;
    expect(Math.max(...film.t_um)).toBeCloseTo(colour.coat_um ?? 50, 0);
    const line = compiled.operations;
    const at = line.findIndex((one) => one.id === operation);
    expect(line[at + 1]).toMatchObject({ verb: 'cure', lamp: { seconds: colour.lamp?.cure_s ?? 60 } });
    expect(findingsOn(set).filter((one) => one.severity === 'stop')).toEqual([]);
    // Its own cure left out, what comes over it is told.
    const uncured = { ...set, edits: set.edits.filter((edit) => !('verb' in edit && edit.verb === 'cure')) };
    expect(findingsOn(uncured).map((one) => one.code)).toContain('uncured-covered');
  });

  it('held, it follows without a pause and without anything between', () => {
    const { set, operation } = withWork(worn(), 'colour/coat#1', wish('rest', { seconds: 40, held: true }));
    const line = order(set);
    const at = line.findIndex((one) => one.id === operation);
    expect(isHeldAfter(line[at - 1], line[at]!)).toBe(true);
    const { strokes } = planSet(set, QUICK).sitting;
    const [coat, rest] = [`${NAIL}/colour/coat#1`, operation].map((id) =>
      strokes.find((stroke) => stroke.operation === id)!,
    );
    expect(rest!.start_s).toBeCloseTo(coat!.end_s, 3);
    expect(strokes.filter(({ start_s }) => start_s > coat!.start_s && start_s < rest!.start_s)).toEqual([]);
  });

  it('anything, anywhere, held or not: every step is placed, and no sitting is under its bound', () => {
    const base = setWearing([element('colour'), element('inlay', { fit: 'keep' }), element('crystals')]);
    for (const name of NAILS) base.nails[name].build = name.startsWith('left') ? 'tips' : 'natural';
    fc.assert(
      fc.property(
        fc.constantFrom(...NAILS),
        fc.constantFrom(...(Object.keys(PUT_IN) as PutIn[])),
        fc.nat(),
        fc.nat(),
        fc.boolean(),
        fc.constantFrom('client', 'own'),
        (name, verb, at, of, held, wearer) => {
          const set = structuredClone(base);
          set.practice.wearer = wearer;
          const line = planNail(set, name).compiled.operations;
          const products = putInProducts(verb, set.kit.products);
          const product = products[of % Math.max(1, products.length)]?.id;
          const { change } = putIn(set, line[at % line.length]!, {
            ...wish(verb, { held }),
            ...(product ? { product } : {}),
          });
          const next = applyChange(set, change);
          if (!next.ok) throw new Error(next.faults[0]!.message);
          const { sitting } = planSet(next.value, QUICK);
          expect(sitting.missing).toEqual([]);
          expect(sitting.total_s).toBeGreaterThanOrEqual(sitting.lower_bound_s - 1e-6);
        },
      ),
      { numRuns: runs(8, 300) },
    );
  });

  it.each<[string, Partial<Extract<Edit, { kind: 'insert' }>>, string]>([
    ['a coat of nothing', { verb: 'coat' }, 'is missing: a coat is of a product'],
    ['a wipe of a colour', { verb: 'wipe', product: 'amber-11' }, 'is for a coat only'],
    [
      'a coat of what is not there',
      { verb: 'coat', product: 'nowhere' },
      'no product "nowhere" in this file',
    ],
    [
      'a coat of oil',
      { verb: 'coat', product: worn().kit.roles.oil },
      'is cuticle oil, which is not brushed on in a coat',
    ],
  ])('%s is refused with its place', (_words, over, message) => {
    const set = worn();
    const edit = {
      kind: 'insert' as const,
      id: 'mine',
      nail: NAIL,
      after: `${NAIL}/colour/cure#1`,
      seconds: 10,
      words: 'Mine',
      verb: 'coat' as const,
      ...over,
    };
    const read = parseSet({ ...set, edits: [edit] });
    expect(read).toEqual({ ok: false, faults: [{ path: 'edits.0.product', message }] });
  });
});
