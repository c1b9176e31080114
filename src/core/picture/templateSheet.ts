import { compileNail } from '../compile/compile';
import { areaOf } from '../craft/area';
import { pieceOutline } from '../craft/pieces';
import type { SetDocument } from '../document/document';
import { partWay } from '../geometry/figures';
import { outlineDistance_mm, outlinePolygon, type NailFrame, type Point } from '../geometry/frame';
import { mostOf } from '../model/extent';
import { NAILS, nailWords, type NailName } from '../model/names';
import { upperFirst } from '../model/letters';
import { rounded } from '../model/rounded';

/** A line of a sheet, in mm from its upper left corner. */
export interface SheetLine {
  nail?: NailName;
  what: 'outline' | 'free-edge' | 'region' | 'piece' | 'rule';
  points: Point[];
  closed: boolean;
}

export interface SheetWords {
  at: Point;
  words: string;
  size_mm: number;
  anchor: 'start' | 'middle';
}

/** A sheet of paper at true scale: ten nails unrolled flat, with what is drawn and set on them. */
export interface Sheet {
  width_mm: number;
  height_mm: number;
  lines: SheetLine[];
  words: SheetWords[];
}

/** A4, portrait (ISO 216). */
const A4 = { width_mm: 210, height_mm: 297 } as const;
const EDGE_MM = 12;
const COLUMNS = 5;
const TITLE_MM = 6;
/** What is measured after printing: a printer that shrinks the page is found out by it. */
const RULE_MM = 50;

/** The template sheet of a set. Nails are unrolled: to be cut out and bent over the nail, or traced under it. */
export function templateSheet(set: SetDocument): Sheet {
  const sheet: Sheet = { ...A4, lines: [], words: [] };
  sheet.words.push({
    at: { x: EDGE_MM, y: EDGE_MM + TITLE_MM },
    words: set.title,
    size_mm: TITLE_MM,
    anchor: 'start',
  });
  const column_mm = (A4.width_mm - 2 * EDGE_MM) / COLUMNS;
  let top = EDGE_MM + TITLE_MM + 10;
  for (const row of [NAILS.slice(0, COLUMNS), NAILS.slice(COLUMNS)]) {
    const nails = row.map((nail) => ({ nail, compiled: compileNail(set, nail) }));
    const tallest = mostOf(nails.map(({ compiled }) => compiled.context.frame.length_mm));
    nails.forEach(({ nail, compiled }, i) => {
      const middle = EDGE_MM + column_mm * (i + 0.5);
      const cuticle = top + tallest;
      // The tip points up on the sheet, as it does on the hand.
      const on = ({ x, y }: Point): Point => ({ x: rounded(middle + x, 3), y: rounded(cuticle - y, 3) });
      drawNail(sheet, nail, compiled, on);
      sheet.words.push(
        {
          at: { x: middle, y: cuticle + 6 },
          words: upperFirst(nailWords(nail)),
          size_mm: 3.2,
          anchor: 'middle',
        },
        {
          at: { x: middle, y: cuticle + 10.5 },
          words: `${rounded(compiled.context.frame.arc_mm, 1)} × ${rounded(compiled.context.frame.length_mm, 1)} mm`,
          size_mm: 2.8,
          anchor: 'middle',
        },
      );
    });
    top += tallest + 22;
  }
  checkRule(sheet);
  return sheet;
}

function drawNail(
  sheet: Sheet,
  nail: NailName,
  { context, operations }: ReturnType<typeof compileNail>,
  on: (point: Point) => Point,
): void {
  const { frame } = context;
  const add = (what: SheetLine['what'], points: readonly Point[], closed = true) =>
    sheet.lines.push({ nail, what, points: points.map(on), closed });
  add('outline', outlinePolygon(frame, 60));
  if (frame.length_mm > frame.bed_mm + 0.5) {
    const half = frame.halfWidth_mm(frame.bed_mm);
    add(
      'free-edge',
      [
        { x: -half, y: frame.bed_mm },
        { x: half, y: frame.bed_mm },
      ],
      false,
    );
  }
  const drawn = new Set<string>();
  for (const operation of operations) {
    const { deposit, place } = operation;
    if (deposit?.kind === 'pieces') {
      for (const piece of deposit.pieces) add('piece', pieceOutline(piece));
      continue;
    }
    const part = place.region.kind !== 'whole' || place.along_edge !== undefined;
    const mark = JSON.stringify(place);
    if (!operation.paint || !part || drawn.has(mark)) continue;
    drawn.add(mark);
    for (const polygon of areaOf(frame, place).polygons)
      for (const { points, closed } of onTheNail(frame, polygon)) add('region', points, closed);
  }
}

/** A curve is looked at in steps so short that none leaps over the nail. */
const STEP_MM = 0.4;

/** What of a closed curve lies on the nail: all of it, or the runs between where it leaves the outline and comes back. */
function onTheNail(frame: NailFrame, curve: readonly Point[]): Pick<SheetLine, 'points' | 'closed'>[] {
  const points = curve.flatMap((from, i) => {
    const to = curve[(i + 1) % curve.length]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / STEP_MM));
    return Array.from({ length: steps }, (_, k) => partWay(from, to, k / steps));
  });
  const into = points.map(({ x, y }) => outlineDistance_mm(frame, x, y));
  const start = into.findIndex((d) => d < 0);
  if (start < 0) return [{ points: [...curve], closed: true }];
  const runs: Point[][] = [];
  let run: Point[] | undefined;
  for (let k = 1; k <= points.length; k += 1) {
    const [a, b] = [(start + k - 1) % points.length, (start + k) % points.length];
    const crosses = into[a]! < 0 !== into[b]! < 0;
    const at = crosses && partWay(points[a]!, points[b]!, into[a]! / (into[a]! - into[b]!));
    if (at && into[b]! >= 0) runs.push((run = [at]));
    if (at && into[b]! < 0) run?.push(at);
    if (into[b]! >= 0) run?.push(points[b]!);
  }
  return runs.map((one) => ({ points: one, closed: false }));
}

function checkRule(sheet: Sheet): void {
  const y = A4.height_mm - EDGE_MM - 6;
  const x = EDGE_MM;
  const tick = (at: number, long: number) =>
    sheet.lines.push({
      what: 'rule',
      closed: false,
      points: [
        { x: x + at, y },
        { x: x + at, y: y - long },
      ],
    });
  sheet.lines.push({
    what: 'rule',
    closed: false,
    points: [
      { x, y },
      { x: x + RULE_MM, y },
    ],
  });
  for (let at = 0; at <= RULE_MM; at += 5) tick(at, at % 10 === 0 ? 3 : 1.8);
  sheet.words.push({
    at: { x: x + RULE_MM + 4, y },
    words: `${RULE_MM} mm: print at 100 %, then measure this`,
    size_mm: 3.2,
    anchor: 'start',
  });
}

const STROKE: Record<SheetLine['what'], { width_mm: number; colour: string; dash_mm?: [number, number] }> = {
  outline: { width_mm: 0.25, colour: '#000000' },
  'free-edge': { width_mm: 0.15, colour: '#777777', dash_mm: [1, 0.8] },
  region: { width_mm: 0.15, colour: '#8f2434' },
  piece: { width_mm: 0.15, colour: '#1f4f8a' },
  rule: { width_mm: 0.2, colour: '#000000' },
};

/** A line as the path data of SVG, in mm. */
export function pathOf({ points, closed }: Pick<SheetLine, 'points' | 'closed'>): string {
  return `M${points.map(({ x, y }) => `${rounded(x, 3)} ${rounded(y, 3)}`).join('L')}${closed ? 'Z' : ''}`;
}

/** How the lines of a sheet are drawn. */
export function strokeOf(what: SheetLine['what']) {
  return STROKE[what];
}

/** The sheet as an SVG file (SVG 1.1) whose user unit is one mm. */
export function sheetSvg(sheet: Sheet): string {
  const lines = sheet.lines.map((line) => {
    const { width_mm, colour, dash_mm } = STROKE[line.what];
    const nail = line.nail ? ` data-nail="${line.nail}"` : '';
    const dash = dash_mm ? ` stroke-dasharray="${dash_mm.join(' ')}"` : '';
    return `<path data-what="${line.what}"${nail} d="${pathOf(line)}" fill="none" stroke="${colour}" stroke-width="${width_mm}"${dash}/>`;
  });
  const words = sheet.words.map(
    ({ at, words: text, size_mm, anchor }) =>
      `<text x="${rounded(at.x, 2)}" y="${rounded(at.y, 2)}" font-size="${size_mm}" font-family="sans-serif" text-anchor="${anchor}">${escaped(text)}</text>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${sheet.width_mm}mm" height="${sheet.height_mm}mm" viewBox="0 0 ${sheet.width_mm} ${sheet.height_mm}">
${[...lines, ...words].join('\n')}
</svg>
`;
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** What XML cannot hold as text is written as it asks; control signs, which it cannot hold at all, are left out. */
function escaped(text: string): string {
  return text
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '')
    .replace(/[&<>"]/g, (sign) => ESCAPES[sign]!);
}
