import { buildKindOf } from '../craft/builds';
import { wholePlace, type NailContext } from '../craft/context';
import { CAUTIONS, HAND_S } from '../craft/handwork';
import { techniqueOf, type Element } from '../craft/techniques';
import { finish } from '../craft/techniques/finish';
import type { Disc } from '../geometry/regions';
import type { SetDocument } from '../document/document';
import { editNail, pointers, type Edit } from '../document/edits';
import type { NailName } from '../model/names';
import type { Product } from '../model/product';
import { craftEdges, lineUp, reaches, type Edge, type Strand } from './order';
import { rounded } from '../model/rounded';
import { operationId, type Draft, type Operation, type Place, type PlacedPiece } from '../craft/operation';
import { buildOf, contextOf, wornElements } from './prepare';

/** An edit that could not be followed, and why. */
export interface EditFault {
  edit: Edit;
  nail: NailName;
  kind: 'points-nowhere' | 'circle';
  missing?: string;
}

export interface Compiled {
  operations: Operation[];
  /** Left out by the artist's edits; kept here to be named and brought back. */
  skipped: Operation[];
  elements: Element[];
  context: NailContext;
  editFaults: EditFault[];
}

const CARE = 'care';

/** One nail's operations, in the order the craft and the artist's edits ask for. Pure. */
export function compileNail(set: SetDocument, name: NailName): Compiled {
  const elements = wornElements(set, set.nails[name]);
  const context = contextOf(set, name, elements);
  const strands = strandsOf(set, context, elements);
  const edits = set.edits.filter((edit) => editNail(edit) === name);
  const skipped = new Set(edits.flatMap((edit) => (edit.kind === 'skip' ? [edit.a] : [])));
  const known = new Set(strands.flatMap((s) => s.drafts.map((d) => idOf(name, s.element, d))));

  // Skipped operations leave before the edges are drawn, so their neighbours keep their order.
  const kept = strands.map((strand) => ({
    ...strand,
    drafts: strand.drafts.filter((draft) => !skipped.has(idOf(name, strand.element, draft))),
  }));
  const filled = kept.filter((strand) => strand.drafts.length > 0);
  const operations = filled.flatMap((strand) =>
    strand.drafts.map((draft) => complete(name, strand.element, draft, context)),
  );
  const left = strands.flatMap((strand) =>
    strand.drafts
      .filter((draft) => skipped.has(idOf(name, strand.element, draft)))
      .map((draft) => complete(name, strand.element, draft, context)),
  );
  const ranks = operations.map((_, i) => i);
  const soft = craftEdges(filled, context.frame, context.product);
  const hard: Edge[] = [];
  const editFaults: EditFault[] = [];
  const index = new Map(operations.map((operation, i) => [operation.id, i]));

  for (const edit of edits) {
    if (edit.kind !== 'insert') continue;
    const at = index.get(edit.after);
    if (at === undefined) continue;
    const added = operations.length;
    operations.push(inserted(edit, context));
    index.set(operations[added]!.id, added);
    known.add(operations[added]!.id);
    ranks.push(ranks[at]! + 0.5);
    hard.push({ first: at, then: added });
    // What followed goes on following: the new work comes in between.
    for (const edge of soft.filter((e) => e.first === at)) soft.push({ first: added, then: edge.then });
  }
  for (const edit of edits) {
    const missing = pointers(edit).find((id) => !known.has(id));
    if (missing) {
      editFaults.push({ edit, nail: name, kind: 'points-nowhere', missing });
      continue;
    }
    if (edit.kind === 'hold') {
      const at = index.get(edit.a);
      if (at !== undefined) ranks[at] = ranks[at]! + 1e6;
    }
    if (edit.kind !== 'before') continue;
    const first = index.get(edit.a);
    const then = index.get(edit.b);
    if (first === undefined || then === undefined) continue;
    const next: number[][] = operations.map(() => []);
    for (const edge of hard) next[edge.first]!.push(edge.then);
    if (reaches(next, then, first)) editFaults.push({ edit, nail: name, kind: 'circle' });
    else hard.push({ first, then });
  }
  const line = lineUp(ranks, hard, soft);
  return { operations: line.map((i) => operations[i]!), skipped: left, elements, context, editFaults };
}

function strandsOf(set: SetDocument, context: NailContext, elements: readonly Element[]): Strand[] {
  const build = buildOf(set, context.nail);
  const kind = buildKindOf(build.kind);
  const strands: Strand[] = [
    { element: 'prep', shows: 'ground', drafts: kind.prep(build, context) },
    { element: 'build', shows: 'ground', drafts: kind.plan(build, context) },
  ];
  const topped = elements.some((element) => techniqueOf(element.kind).seals?.(element) ?? false);
  for (const element of elements) {
    const technique = techniqueOf(element.kind);
    strands.push({ element: element.id, shows: technique.shows, drafts: technique.plan(element, context) });
  }
  if (!topped) {
    // Every nail is sealed: a look that says nothing of its finish gets gloss.
    const gloss = { ...finish.fresh('top', { colour: '', second: '', liner: '' }), finish: 'gloss' as const };
    strands.push({ element: 'top', shows: 'finish', drafts: finish.plan(gloss, context) });
  }
  const oil = context.role('oil');
  strands.push({
    element: CARE,
    shows: 'care',
    drafts: [
      {
        step: 'oil',
        verb: 'oil',
        words: `${oil.name} around the nail`,
        product: oil.id,
        place: wholePlace(),
        hand_s: HAND_S.oil,
        reason: 'Oil comes last of all: under any layer it ruins adhesion.',
      },
    ],
  });
  return strands;
}

function idOf(name: NailName, element: string, draft: Draft): string {
  return operationId(name, element, draft.step, draft.pass ?? 1);
}

function complete(name: NailName, element: string, draft: Draft, context: NailContext): Operation {
  const product: Product | undefined = draft.product ? context.product(draft.product) : undefined;
  const operation: Operation = {
    ...draft,
    id: idOf(name, element, draft),
    nail: name,
    element,
    pass: draft.pass ?? 1,
    class: `${draft.verb}${product ? `:${product.id}` : ''}`,
  };
  const caution = CAUTIONS[draft.verb];
  if (caution) operation.caution = caution;
  if (operation.deposit?.kind === 'pieces') {
    operation.deposit = { ...operation.deposit, pieces: operation.deposit.pieces.map(roundPlaces) };
  }
  operation.place = roundDiscs(operation.place);
  // Plain data: keys without a value would not survive a file.
  return Object.fromEntries(
    Object.entries(operation).filter(([, value]) => value !== undefined),
  ) as unknown as Operation;
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

function inserted(edit: Extract<Edit, { kind: 'insert' }>, context: NailContext): Operation {
  const light = edit.verb === 'cure' || edit.verb === 'flash';
  const draft: Draft = {
    step: edit.id,
    verb: edit.verb,
    words: edit.words,
    place: wholePlace(),
    hand_s: light || edit.verb === 'rest' ? 0 : edit.seconds,
    reason: 'Added by hand.',
  };
  if (edit.verb === 'cure' || edit.verb === 'flash') draft.lamp = { mode: edit.verb, seconds: edit.seconds };
  if (edit.verb === 'rest') draft.wait_s = edit.seconds;
  return complete(context.name, 'own', draft, context);
}
