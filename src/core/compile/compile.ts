import { isLeftOff, wholePlace, type NailContext } from '../craft/context';
import { areaOf } from '../craft/area';
import { coatOf } from '../craft/cure';
import { dries_s, lampOf } from '../craft/families';
import { cautionFor, inTipCaution, PACE, workSeconds } from '../craft/handwork';
import { placeWords } from '../craft/placeWords';
import { regionNoun } from '../regions';
import { polygonArea_mm2 } from '../geometry/polygons';
import {
  laidBy,
  operationId,
  RESERVED_ELEMENTS,
  type Draft,
  type Operation,
  type Place,
  IN_TIP,
} from '../craft/operation';
import type { PlacedPiece } from '../craft/matter';
import { rowOf } from '../craft/surfaces';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { editNail, isInsertedCoat, type Edit } from '../document/edits';
import type { Area, Disc } from '../geometry/regions';
import { handOf, type NailName } from '../model/names';
import { nearestOwn } from '../model/ownTime';
import { rounded } from '../model/rounded';
import type { FoundOn } from '../craft/start';
import { fromFirstTouch } from './fromFirstTouch';
import { oneLight } from './oneLight';
import { followEdits, type EditFault } from './followEdits';
import { coverer, meet } from '../craft/lattice';
import type { Placed } from './placed';
import { buildOf, contextOf, wornElements } from '../document/nailContext';
import { foundOn } from './stages';
import { lineOf } from './strands';

export interface Compiled {
  operations: Operation[];
  /** Left out by the artist's edits; kept here to be named and brought back. */
  skipped: Operation[];
  elements: Element[];
  context: NailContext;
  found: FoundOn;
  /** Ids of the whole order, what is left out in the place where it would stand. */
  order: readonly string[];
  editFaults: EditFault[];
}

/** One nail's operations: the order of the complete nail, then the artist's edits on it. Pure. */
export function compileNail(set: SetDocument, name: NailName): Compiled {
  const context = contextOf(set, name);
  const elements = wornElements(set, set.nails[name]).filter(
    (element) => !('fit' in element) || !isLeftOff(context.frame, element),
  );
  const build = buildOf(set, context.nail);
  const found = foundOn(build, context);
  if (!context.nail.in_work)
    return { operations: [], skipped: [], order: [], elements, context, found, editFaults: [] };
  const completed = lineOf(build, context, elements).map((placed, i, all) =>
    complete(placed, context, all[i - 1]),
  );
  const line = toldApart(oneLight(fromFirstTouch(completed, context.product)), elements);
  const cover = coverer(context.frame);
  const followed = followEdits(
    line,
    set.edits.filter((edit) => editNail(edit) === name),
    {
      product: context.product,
      inserted: (edit) => inserted(edit, context),
      touch: (a, b) => meet(cover([a]), cover([b])),
    },
  );
  return {
    operations: followed.operations,
    skipped: followed.skipped,
    order: followed.order,
    elements,
    context,
    found,
    editFaults: followed.faults,
  };
}

/** A levelling film gathers lint and creeps to the walls past this (common practice). */
const LEVELLING_OPEN_S = 120;

/** Films that may lie on a part of the nail: their words say which. */
const FILM_WORK: readonly Operation['verb'][] = [
  'coat',
  'burnish',
  'rub',
  'strew',
  'lay-sheet',
  'stick',
  'stamp',
  'top',
  'matte-top',
  'top-over',
];

/** What else art may be made of: of a build it says so itself, or lies all over. */
const ART_WORK: readonly Operation['verb'][] = ['cap', 'sculpt', 'dip', 'draw', 'base'];
const PROGRAMS_OWN: readonly string[] = RESERVED_ELEMENTS;

/** Where it is laid, where its words do not say so: of what is held after work on the same place, that work has. */
function whereWords({ element, draft }: Placed, before: Placed | undefined, name: NailName): string {
  const { verb, place } = draft;
  const says = FILM_WORK.includes(verb) || (ART_WORK.includes(verb) && !PROGRAMS_OWN.includes(element));
  const said = place.along_edge !== undefined || (draft.held && before?.draft.place === place);
  if (!says || said) return '';
  const [within] = place.within ?? [];
  const on = within && (regionNoun(within.place.region) || 'shape');
  return [
    draft.where ?? placeWords(place.region, place.mirror, name),
    on ? `${within.outside ? 'beside' : 'only on'} the ${on}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

function areaOn_mm2(frame: NailContext['frame'], place: Place): number {
  const area = areaOf(frame, place);
  let area_mm2 = AREAS_MM2.get(area);
  if (area_mm2 === undefined) {
    area_mm2 = area.polygons.reduce((sum, polygon) => sum + polygonArea_mm2(polygon), 0);
    AREAS_MM2.set(area, area_mm2);
  }
  return Math.min(frame.arc_mm * frame.length_mm, area_mm2);
}
/** By the area of a place, which is kept as long as its frame: the same for every plan of a nail. */
const AREAS_MM2 = new WeakMap<Area, number>();

/** Where two elements of a nail say the same of their work, each says its own name with it. */
function toldApart(line: readonly Operation[], elements: readonly Element[]): Operation[] {
  const own = new Set(elements.map((one) => one.id));
  const says = new Map<string, Set<string>>();
  for (const { element, words } of line)
    if (own.has(element)) says.set(words, (says.get(words) ?? new Set()).add(element));
  return line.map((one) => {
    const alike = !one.lamp && own.has(one.element) && says.get(one.words)!.size > 1;
    return alike ? { ...one, words: `${one.words} (“${one.element}”)` } : one;
  });
}

/** How long the hands of this artist take for it: as was seen of them, or by their pace. */
function timesOf(
  draft: Draft,
  { practice, product, name, frame }: NailContext,
): Pick<Operation, 'hand_s' | 'guide_s' | 'own'> {
  const { verb, fixed_s = 0 } = draft;
  const family = draft.product ? product(draft.product).family : undefined;
  const own = nearestOwn(practice.own_times ?? [], { work: verb, family, hand: handOf(name) });
  const area_mm2 = areaOn_mm2(frame, draft.place);
  const seconds = (pace: number) => workSeconds(verb, draft.hand_s - fixed_s, area_mm2, pace);
  return {
    hand_s: fixed_s + seconds(own?.share ?? PACE[practice.pace]),
    guide_s: seconds(1),
    ...(own && draft.hand_s > fixed_s
      ? { own: { quick: own.from / own.share, slow: own.to / own.share, times: own.times } }
      : {}),
  };
}

function complete(placed: Placed, context: NailContext, before?: Placed): Operation {
  const { element, stage } = placed;
  const { draft } = placed;
  const pass = draft.pass ?? 1;
  const operation: Operation = {
    ...draft,
    ...timesOf(draft, context),
    id: operationId(context.name, element, draft.step, pass),
    nail: context.name,
    element,
    stage,
    pass,
    class: `${rowOf(draft.verb).as ?? draft.verb}${draft.product ? `:${draft.product}` : ''}`,
  };
  const where = whereWords(placed, before, context.name);
  if (where) operation.words = `${draft.words}, ${where}`;
  if (draft.in_tip) operation.words += IN_TIP;
  const lays = draft.deposit !== undefined || rowOf(draft.verb).fromBelow === true;
  const laid = lays && draft.product ? context.product(draft.product) : undefined;
  // A product's own direction goes before any guide.
  if (laid?.open_s !== undefined) operation.open_s = laid.open_s;
  else if (laid && draft.open_s === undefined && lampOf(laid)) operation.open_s = LEVELLING_OPEN_S;
  const caution = draft.in_tip
    ? inTipCaution(draft.verb)
    : (draft.caution ?? cautionFor(draft.verb, laidBy(draft, context.product), draft.words));
  if (caution) operation.caution = caution;
  if (operation.deposit?.kind === 'pieces') {
    operation.deposit = { ...operation.deposit, pieces: operation.deposit.pieces.map(roundPlaces) };
  }
  operation.place = roundDiscs(operation.place);
  return plain(operation);
}

/** What drafts tell the compiler alone. */
const MARKS = ['where', 'ends'] as const satisfies readonly (keyof Draft)[];

/** Plain data: keys without a value would not survive a file, and what is only for the compiler is none of it. */
function plain(operation: Operation): Operation {
  const keys = operation as unknown as Record<string, unknown>;
  for (const mark of MARKS) Reflect.deleteProperty(keys, mark);
  for (const key in keys) if (keys[key] === undefined) Reflect.deleteProperty(keys, key);
  return operation;
}

/** Places are rounded to a tenth of a micrometre, so that every machine writes the same plan. */
function roundPlaces(piece: PlacedPiece): PlacedPiece {
  return {
    ...piece,
    x_mm: rounded(piece.x_mm, 4),
    y_mm: rounded(piece.y_mm, 4),
    width_mm: rounded(piece.width_mm, 4),
    length_mm: rounded(piece.length_mm, 4),
    height_mm: rounded(piece.height_mm, 4),
    turn_deg: rounded(piece.turn_deg, 4),
  };
}

function roundDiscs(place: Place): Place {
  const round = (discs: Disc[]) =>
    discs.map((d) => ({ x: rounded(d.x, 4), y: rounded(d.y, 4), r_mm: rounded(d.r_mm, 4) }));
  return {
    ...place,
    scale: rounded(place.scale, 6),
    ...(place.free ? { free: round(place.free) } : {}),
    ...(place.around ? { around: round(place.around) } : {}),
  };
}

/** What an inserted coat is of, where its artist does not say; a colour always says. */
const COAT_ROLES = { base: 'base', coat: 'base', top: 'top', 'matte-top': 'matte_top' } as const;

function inserted(edit: Extract<Edit, { kind: 'insert' }>, context: NailContext): Operation {
  const light = edit.verb === 'cure' || edit.verb === 'flash';
  const draft: Draft = {
    step: edit.id,
    verb: edit.verb,
    words: edit.words,
    place: wholePlace(),
    hand_s: light || (edit.verb === 'rest' && !edit.held) ? 0 : edit.seconds,
    reason: 'Added by hand.',
  };
  if (edit.verb === 'cure' || edit.verb === 'flash') draft.lamp = { mode: edit.verb, seconds: edit.seconds };
  // What is held takes the hands, as long in quick ones as in slow ones.
  if (edit.verb === 'rest') draft[edit.held ? 'fixed_s' : 'wait_s'] = edit.seconds;
  if (edit.verb === 'buff') draft.place = { ...draft.place, margin_mm: 0 };
  if (edit.verb === 'wipe') draft.product = context.role('cleanser').id;
  if (edit.verb === 'oil') draft.product = context.role('oil').id;
  if (isInsertedCoat(edit.verb)) {
    const product = edit.product ? context.product(edit.product) : context.role(COAT_ROLES[edit.verb]);
    draft.product = product.id;
    draft.deposit = { kind: 'conformal', t_um: coatOf(product) };
    const wait_s = dries_s(product);
    if (wait_s !== undefined) draft.wait_s = wait_s;
  }
  if (edit.held) draft.held = true;
  return complete({ element: 'own', stage: 'surface', draft }, context);
}
