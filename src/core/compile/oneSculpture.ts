import { settingOf, type Laid } from '../craft/families';
import { laidBy, type Draft, liesAllOver } from '../craft/operation';
import { setDraft } from '../craft/drafts';
import { pinchAgain } from '../craft/structures';
import type { Verb } from '../craft/surfaces';
import { wholePlace, type NailContext } from '../craft/context';
import type { Product } from '../model/product';
import { append } from '../model/extent';
import type { Placed } from './placed';

/** What is laid bead on bead, or layer on layer, and is one body once it has set. */
export const MELTS: readonly Laid[] = ['acrylic', 'dip'];
/** Work that adds to such a body. */
export const ADDS: readonly Verb[] = ['sculpt', 'cap', 'bed', 'dip'];
/** Work on what was just laid, while it is soft. */
const WHILE_SOFT: readonly Verb[] = ['pinch', 'rest', 'place', 'press', 'dust-off', 'activate'];

interface Body {
  laid: Laid;
  work: Placed[];
  /** Where in the work its last bead or layer is. */
  last: number;
  /** What ended it, and was put off because more was laid. */
  putOff: Placed[];
  ends: Placed[];
}

/**
 * A run of what melts into itself is one sculpture: foundation, coloured beads, bands, veil and cap follow each other while the
 * one below is soft, and the body is left to set, pinched, tapped and filed once, at its end (common practice).
 */
export function oneSculpture(line: readonly Placed[], context: NailContext): Placed[] {
  const { product } = context;
  const done: Placed[] = [];
  let body: Body | undefined;
  const close = () => {
    if (body) append(done, body.putOff.length > 0 ? endedOnce(body, context) : [...body.work, ...body.ends]);
    body = undefined;
  };
  for (const placed of line) {
    const { draft } = placed;
    const laid = laidBy(draft, product);
    const adds = ADDS.includes(draft.verb) && MELTS.includes(laid);
    if (body && (draft.ends ?? draft.until === 'hard')) body.ends.push(placed);
    else if (body && adds && body.laid === laid) body = goneOn(body, placed);
    else if (adds) {
      close();
      body = { laid, work: [placed], last: 0, putOff: [], ends: [] };
    } else if (body && body.ends.length === 0 && WHILE_SOFT.includes(draft.verb)) body.work.push(placed);
    else {
      close();
      done.push(placed);
    }
  }
  close();
  return done;
}

/** More is laid on it while it is soft: nothing waits for it, unless it is pinched first. */
function goneOn({ laid, work, last, putOff, ends }: Body, placed: Placed): Body {
  const pinched = work[last + 1]?.draft.verb === 'pinch';
  const before = work.map((one, i) => (i === last && !pinched ? waiting(one) : one));
  return { laid, work: [...before, placed], last: before.length, putOff: [...putOff, ...ends], ends: [] };
}

/** Its end, once: set, pinched again where it was pinched, tapped, off its form, filed, cleaned. */
function endedOnce({ work, last, putOff, ends }: Body, { product, practice }: NailContext): Placed[] {
  const { element, stage, draft } = work[last]!;
  const end = [...putOff, ...ends];
  const of = (...verbs: Verb[]) => end.filter((one) => verbs.includes(one.draft.verb));
  const edge_um = Math.round(practice.edge_mm * 1000);
  const files = of('file').length > 0 ? filedOnce(of('file')).map((one) => toEdge(one, edge_um)) : of('buff');
  const others: readonly Verb[] = ['activate', 'rest', 'tap', 'form-off', 'file', 'buff', 'dust-off', 'wipe'];
  const laid = draft.product ? product(draft.product) : undefined;
  const build = work.find((one) => one.draft.verb === 'pinch')?.element;
  const setting = laid && settingOf(laid);
  return [
    ...work.map((one, i) =>
      i === last && setting ? waiting(one, build ? setting.working_s : undefined) : one,
    ),
    ...(setting ? settled(laid, build !== undefined) : []).map((one): Placed => ({
      element: build ?? element,
      stage,
      draft: one,
    })),
    ...[
      ...whole(of('activate'), []),
      ...of('tap').slice(0, 1),
      ...of('form-off').slice(0, 1),
      ...files,
      ...whole(of('dust-off'), files),
      ...whole(of('wipe'), files),
      ...end.filter((one) => !others.includes(one.draft.verb)),
    ].map((one) => (one.stage === 'shape' ? one : { ...one, stage })),
  ];
}

/** What is filed all over in the end is not filed before. */
function filedOnce(files: readonly Placed[]): readonly Placed[] {
  const all = files.findLastIndex(({ draft }) => liesAllOver(draft.place));
  return files.slice(Math.max(0, all));
}

/** What was to carry art is filed with the art on it: its edge keeps the thickness of a finished one. */
function toEdge(placed: Placed, edge_um: number): Placed {
  const { removal } = placed.draft;
  if (!removal || removal.edge_um >= edge_um) return placed;
  return { ...placed, draft: { ...placed.draft, removal: { ...removal, edge_um } } };
}

/** Left until it is hard; pinched on the way, where its build is. */
function settled(laid: Product, pinched: boolean): Draft[] {
  const { dry_s } = settingOf(laid)!;
  return [...(pinched ? [pinchAgain()] : []), setDraft(laid, dry_s, 'set', wholePlace())];
}

/** Dust off and wiped once: on the part that was filed, or everywhere where several were. */
function whole(work: readonly Placed[], files: readonly Placed[]): Placed[] {
  const first = work.find((one) => one.element === files[0]?.element) ?? work[0];
  if (!first) return [];
  return files.length < 2 && work.length === 1
    ? [first]
    : [{ ...first, draft: { ...first.draft, place: wholePlace() } }];
}

function waiting(placed: Placed, wait_s?: number): Placed {
  const { wait_s: _, ...draft } = placed.draft;
  return { ...placed, draft: wait_s === undefined ? draft : { ...draft, wait_s } };
}
