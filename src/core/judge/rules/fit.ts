import { areaOf } from '../../craft/area';
import { isStanding } from '../../craft/bodies';
import { techniqueOf, type Element } from '../../craft/techniques';
import type { Area } from '../../geometry/regions';
import { append } from '../../model/extent';
import { regionKindOf, type Region } from '../../regions';
import { granted, trying, type NailCase, type NailRule } from '../rule';
import { outlinePolygon } from '../../geometry/frame';
import { overlap_mm2, polygonArea_mm2, spill_mm2 } from '../../geometry/polygons';
import { lowerFirst } from '../../model/letters';
import type { Operation } from '../../craft/operation';
import { rounded } from '../../model/rounded';
import type { FindingDraft, Fix } from '../finding';
import type { PlacedPiece } from '../../craft/matter';
import { isRound, pieceOutline } from '../../craft/pieces';

/** Stones may touch and overlap by a hair. */
const OVERLAP_MM2 = 0.15;
/** A piece or motif may stand over the edge by this share of itself. */
const OVERHANG_SHARE = 0.06;

/** What is drawn past the edge is tried so much smaller. */
const SMALLER = 0.7;

/** So many meetings of two steps tell as much as all of them. */
const ENOUGH = 4;

interface LaidPiece {
  piece: PlacedPiece;
  operation: string;
  element: string;
  /** Which bed it lies in; stones and charms stand on the surface. */
  bed: number;
}

/** Size, overlap and place of what is laid on the nail, on its curves. */
export const fit: NailRule = {
  codes: ['too-large', 'pieces-overlap', 'off-the-plate', 'region-off-the-plate'],
  asks: 'Does everything fit on this nail, and beside its neighbours?',
  check: (nail) => {
    const { operations, context, elements } = nail;
    const { frame } = context;
    const outline = outlinePolygon(frame);
    let beds = 0;
    const laid: LaidPiece[] = operations.flatMap((operation) => {
      if (operation.verb === 'bed') beds += 1;
      const { deposit } = operation;
      if (deposit?.kind !== 'pieces') return [];
      return deposit.pieces.map((piece) => ({
        piece,
        operation: operation.id,
        element: operation.element,
        bed: isStanding(piece) ? -1 : beds,
      }));
    });
    const findings: FindingDraft[] = [];
    const large = new Set<LaidPiece>();
    for (const one of laid) {
      const { piece } = one;
      const room = 2 * frame.halfWidth_mm(Math.max(0, Math.min(piece.y_mm, frame.length_mm)));
      const turn = (piece.turn_deg * Math.PI) / 180;
      const span = Math.abs(piece.width_mm * Math.cos(turn)) + Math.abs(piece.length_mm * Math.sin(turn));
      if (!isStanding(piece) || span <= room || room <= 0) continue;
      large.add(one);
      findings.push({
        code: 'too-large',
        severity: 'stop',
        operation: one.operation,
        element: one.element,
        message: `The ${piece.words} is wider than the nail there.`,
        tries: granted(nail, one.element, 'smaller', { share: room / span }),
        reason: 'What is wider than the nail stands over skin, catches and levers itself off.',
        figure: {
          words: 'width',
          value: rounded(span, 2),
          limit: rounded(room, 2),
          is: 'at most',
          unit: 'mm',
        },
        fix: leaveOff(context.name, one.element, 'Leave it off this nail'),
      });
    }
    append(
      findings,
      offPlate(
        laid.filter((one) => !large.has(one)),
        outline,
        nail,
      ),
    );
    append(findings, overlaps(laid));
    for (const element of elements) {
      const off = drawnPast(nail, element.id, outline);
      if (!off) continue;
      findings.push({
        code: 'region-off-the-plate',
        severity: 'warn',
        operation: off.drawn.id,
        element: element.id,
        message: `Part of it lies outside the nail: ${lowerFirst(off.drawn.words.split(', ')[0]!)}.`,
        reason: 'What is drawn past the edge ends up on skin, or is not there: the motif is cut.',
        figure: {
          words: 'outside the nail',
          value: rounded(off.out, 2),
          limit: rounded(off.limit, 2),
          is: 'at most',
          unit: 'mm²',
        },
        tries: [
          ...('fit' in element && element.fit === 'keep'
            ? trying(nail, element.id, { fit: 'scale' }, 'Shrink it on smaller nails')
            : []),
          ...('region' in element ? cutToTheNail(nail, element) : []),
          ...granted(nail, element.id, 'onto-the-nail', {}),
          ...granted(nail, element.id, 'nearer-middle', {}),
          ...granted(nail, element.id, 'smaller', { share: SMALLER }),
          leaveOff(context.name, element.id, 'Leave it off this nail'),
        ],
      });
    }
    return findings;
  },
};

/** One stroke or shape of several may stand over the edge by this share of itself (common practice: what is cut there is cut by less). */
const STROKE_OVERHANG_SHARE = 0.25;
/** Ends of strokes that nobody sees. */
const UNSEEN_MM2 = 0.3;

/** The work of an element that lies furthest past the nail's edge, where that is too far: all of it together, or one shape of it. */
function drawnPast(
  { operations, context }: NailCase,
  element: string,
  outline: { x: number; y: number }[],
): { drawn: Operation; out: number; limit: number } | undefined {
  const seen = new Set<Area>();
  for (const drawn of operations) {
    const { deposit, place } = drawn;
    if (drawn.element !== element || !deposit || deposit.kind === 'pieces') continue;
    if (place.around || place.along_edge || !regionKindOf(place.region.kind).sized) continue;
    const area = areaOf(context.frame, place);
    if (seen.has(area)) continue;
    seen.add(area);
    const { out, all } = spillOf(area, outline);
    if (all <= 0) continue;
    if (out / all >= OVERHANG_SHARE) return { drawn, out, limit: all * OVERHANG_SHARE };
    const shape = area.polygons.length > 1 && out > UNSEEN_MM2 ? furthestOut(area, outline) : undefined;
    if (shape) return { drawn, ...shape };
  }
  return undefined;
}

/** The one shape of several that stands too far over the edge. */
function furthestOut(
  { polygons }: Area,
  outline: { x: number; y: number }[],
): { out: number; limit: number } | undefined {
  const shapes = polygons
    .map((one) => spill_mm2([one], outline))
    .filter(({ out, all }) => out > UNSEEN_MM2 && out / all >= STROKE_OVERHANG_SHARE)
    .sort((a, b) => b.out - a.out);
  const [worst] = shapes;
  return worst && { out: worst.out, limit: worst.all * STROKE_OVERHANG_SHARE };
}

/** By the area of a place on a nail, which is kept as long as its frame: the same for every trial. */
const spills = new WeakMap<Area, ReturnType<typeof spill_mm2>>();

function spillOf(area: Area, outline: { x: number; y: number }[]): ReturnType<typeof spill_mm2> {
  const before = spills.get(area);
  if (before) return before;
  const spill = spill_mm2(area.polygons, outline);
  spills.set(area, spill);
  return spill;
}

/** What brings a region back onto the nail. */
function cutToTheNail(nail: NailCase, element: Element & { region: Region }): Fix[] {
  const ways = regionKindOf(element.region.kind).sized?.inwards(element.region) ?? [];
  return ways.flatMap(({ words, region }) => trying(nail, element.id, { region }, words));
}

function leaveOff(nail: NailRuleName, element: string, words: string) {
  return {
    words,
    change: { kind: 'nail-change' as const, nail, change: { element, leave_off: true as const } },
  };
}
type NailRuleName = Parameters<NailRule['check']>[0]['name'];

/** The same nearer to the middle of the nail; what is not built in may also be left off. */
function drawnIn(nail: NailCase, id: string): Fix[] {
  const element = nail.elements.find((one) => one.id === id);
  const builtIn = element && techniqueOf(element.kind).inlaid;
  return [
    ...granted(nail, id, 'nearer-middle', {}),
    ...(builtIn ? [] : [leaveOff(nail.name, id, 'Leave it off this nail')]),
  ];
}

function offPlate(laid: LaidPiece[], outline: { x: number; y: number }[], nail: NailCase): FindingDraft[] {
  const byOperation = new Map<string, { one: LaidPiece; out: number; count: number }>();
  for (const one of laid) {
    const shape = pieceOutline(one.piece);
    const out = polygonArea_mm2(shape) - overlap_mm2(outline, shape);
    if (out <= Math.max(0.05, OVERHANG_SHARE * polygonArea_mm2(shape))) continue;
    const known = byOperation.get(one.operation) ?? { one, out: 0, count: 0 };
    byOperation.set(one.operation, { one, out: known.out + out, count: known.count + 1 });
  }
  return [...byOperation.values()].map(({ one, out, count }) => ({
    code: 'off-the-plate',
    severity: 'stop',
    operation: one.operation,
    element: one.element,
    message: `${count === 1 ? `A ${one.piece.words} lies` : `${count} pieces lie`} past the nail's edge.`,
    reason: 'What stands past the edge catches, and at the sides it sits on skin.',
    figure: { words: 'past the edge', value: rounded(out, 2), limit: 0.05, is: 'at most', unit: 'mm²' },
    tries: drawnIn(nail, one.element),
  }));
}

/** What each step lays over others, by its worst meeting. */
function overlaps(laid: readonly LaidPiece[]): FindingDraft[] {
  const worst = new Map<string, { a: LaidPiece; b: LaidPiece; area: number; count: number }>();
  const shaped = laid.map((one) => ({
    one,
    reach_mm: Math.hypot(one.piece.width_mm, one.piece.length_mm) / 2,
    outline: pieceOutline(one.piece),
  }));
  for (let j = 1; j < shaped.length; j += 1) {
    const b = shaped[j]!;
    for (let i = 0; i < j; i += 1) {
      const a = shaped[i]!;
      // Only things at the same height meet: what lies in one bed, or stands on the surface.
      if (a.one.bed !== b.one.bed) continue;
      const dx = a.one.piece.x_mm - b.one.piece.x_mm;
      const dy = a.one.piece.y_mm - b.one.piece.y_mm;
      if (dx * dx + dy * dy > (a.reach_mm + b.reach_mm) ** 2) continue;
      const known = worst.get(b.one.operation);
      if (known && known.count >= ENOUGH) break;
      const area = bothRound(a.one.piece, b.one.piece)
        ? lens_mm2(a.one.piece.width_mm / 2, b.one.piece.width_mm / 2, Math.hypot(dx, dy))
        : overlap_mm2(a.outline, b.outline);
      if (area <= OVERLAP_MM2) continue;
      const more = !known || area > known.area;
      worst.set(b.one.operation, {
        a: more ? a.one : known.a,
        b: b.one,
        area: Math.max(area, known?.area ?? 0),
        count: (known?.count ?? 0) + 1,
      });
    }
  }
  return [...worst.values()].map(({ a, b, area, count }) => ({
    code: 'pieces-overlap',
    severity: isStanding(a.piece) ? 'stop' : 'warn',
    operation: b.operation,
    element: b.element,
    message: `The ${a.piece.words} and the ${b.piece.words} lie over each other${count >= ENOUGH ? ' in several places' : count > 1 ? ` in ${count} places` : ''}, by up to ${rounded(area, 1)} mm².`,
    reason: 'Two pieces cannot sit in one bed: the upper one stands off and is knocked loose.',
    figure: { words: 'overlap', value: rounded(area, 2), limit: OVERLAP_MM2, is: 'at most', unit: 'mm²' },
  }));
}

function bothRound(a: PlacedPiece, b: PlacedPiece): boolean {
  return [a, b].every(isRound);
}

/** Area shared by two discs whose middles are `d` apart (circle geometry). */
function lens_mm2(r: number, s: number, d: number): number {
  if (d >= r + s) return 0;
  if (d <= Math.abs(r - s)) return Math.PI * Math.min(r, s) ** 2;
  const a = (d * d + r * r - s * s) / (2 * d);
  const b = d - a;
  return (
    r * r * Math.acos(a / r) -
    a * Math.sqrt(r * r - a * a) +
    s * s * Math.acos(b / s) -
    b * Math.sqrt(s * s - b * b)
  );
}
