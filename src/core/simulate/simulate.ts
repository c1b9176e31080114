import { FAMILIES } from '../craft/families';
import { laidBy, type Operation } from '../craft/operation';
import { decode, encode, flagSurfaces, SURFACE_COUNT, surfaceWords } from '../craft/surface';
import { lookup, rowOf } from '../craft/surfaces';
import { append } from '../model/extent';
import type { Product } from '../model/product';
import type { Compiled } from '../compile/compile';
import { coverOf, newCovers, type Cover, type Covers } from './cover';
import { cellX, cellY, makeField, spotWords } from './field';
import type { Film, NailField } from './field';
import type { Edge } from '../craft/build';
import { file, type FiledInto } from './filing';
import { goneDull, judgeGrip, MIN_FAULT_MM2, type Verdict } from './grips';
import { layersOf } from './layings';
import { activate, isWet, passTime, shine } from './light';
import { isFixed } from './mount';
import { tipFace } from './tipInside';

/** What a nail is like after an operation, as the scheduler needs to know it. */
export interface StateAfter {
  wet: boolean;
  tacky: boolean;
  /** The surface that most of the nail then has, in words. */
  surface: string;
  /** What its films hold as they are laid, before any file, in mm³; nothing where it lays none. */
  laid_mm3?: number;
}

/**
 * An operation, or light from a load that this nail was only along for. `elapsed_s`: time until the next step;
 * where it is not known, the operation's own.
 */
export type Step =
  | { operation: Operation; light_s?: number; elapsed_s?: number }
  | { light_s: number; elapsed_s?: number };

export interface Simulated {
  field: NailField;
  verdicts: Verdict[];
  /** One for each operation, in order. */
  states: StateAfter[];
}

/**
 * Runs a nail's operations over its surface. Never throws; what goes wrong is a verdict. `covers` may be kept
 * between runs over the same compiled nail, and only saves work.
 */
export function simulateNail(
  compiled: Compiled,
  edge: Edge,
  steps: readonly Step[],
  covers: Covers = newCovers(),
): Simulated {
  const run = beginRun(compiled, edge, covers);
  for (const step of steps) goOn(run, step);
  const { field, verdicts, states } = run;
  return { field, verdicts, states };
}

/** A run over a nail on which nothing is laid yet. */
export function beginRun({ context, found }: Compiled, edge: Edge, covers: Covers): Run {
  return {
    field: makeField(context.frame, edge, context.nail.plate, found),
    product: context.product,
    covers,
    verdicts: [],
    states: [],
    lengthened: edge === 'plate' || found.old?.stays === true,
  };
}

/** One step further. */
export function goOn(run: Run, step: Step): void {
  const { field, product, states } = run;
  if ('operation' in step) {
    const { deposit: laid, hand_s } = step.operation;
    const elapsed_s = step.elapsed_s ?? ownSeconds(step.operation);
    const pass = (seconds: number, goesOn?: (film: Film) => boolean) => {
      for (const one of [field, ...(run.tip ? [run.tip] : [])]) passTime(one, seconds, product, goesOn);
    };
    const laid_mm3 = apply(run, step.operation, step.light_s);
    if (laid) {
      // What sets by itself begins to at its first touch; of several portions the last was laid last.
      const { id, portions = 1, product: of } = step.operation;
      // Glue is held in place until it has: it is pressed out by the same hand that lays it.
      const touched_s = of && FAMILIES[product(of).family].held ? 0 : hand_s / portions;
      pass(hand_s, (film) => film.operation !== id);
      pass(touched_s, (film) => film.operation === id);
      states.push({ ...stateOf(run), laid_mm3 });
      pass(elapsed_s - hand_s);
    } else {
      pass(elapsed_s);
      states.push(stateOf(run));
    }
  } else {
    shine(field, step.light_s, product);
    if (run.tip) shine(run.tip, step.light_s, product);
    passTime(field, step.elapsed_s ?? step.light_s, product);
  }
}

/** The nominal run: every cure takes the seconds its operation asks for. */
export function nominalSteps(operations: readonly Operation[]): Step[] {
  return operations.map((operation) => ({ operation }));
}

function ownSeconds(operation: Operation): number {
  return operation.hand_s + (operation.wait_s ?? 0) + (operation.lamp?.seconds ?? 0);
}

/** What is carried from step to step. */
export interface Run extends Simulated {
  product: (id: string) => Product;
  covers: Covers;
  /** The nail has its whole length: its own, or a tip or form is on. */
  lengthened: boolean;
  /** A ready tip that is worked on from inside, until it is put on. */
  tip?: NailField;
}

/** The same run, on the inside of the tip that is not on yet. */
function insideTip(run: Run): Run {
  run.tip ??= tipFace(run.field);
  return { ...run, field: run.tip, lengthened: true };
}

/** Returns the volume of what it lays, in mm³. */
function apply(all: Run, operation: Operation, light_s?: number): number {
  const run = operation.in_tip ? insideTip(all) : all;
  const { field } = run;
  const { lengthens, bares } = rowOf(operation.verb);
  if (lengthens) run.lengthened = true;
  // Past the plate a mould carries its gel from above, as a form does from below.
  if (lengthens === 'form') layForm(field);
  const cover = coverOf(run.covers, field, operation, run.lengthened);
  append(run.verdicts, judgeGrip(field, operation, cover, run.product));
  if (lengthens === 'tip' && run.tip) append(run.verdicts, judgeGrip(run.tip, operation, cover, run.product));
  append(run.verdicts, goneDull(field, operation, cover, run.product));
  const laid = operation.deposit ? deposit(run, operation, cover) : [];
  const { leaves } = lookup(operation.verb, laidBy(operation, run.product));
  const thinned = laid.find((film) => film.profile)?.t_um;
  for (const cell of cover.held) {
    // Where what was laid has been thinned out to nothing, what was there is still on top.
    if (thinned?.[cell] === 0) continue;
    field.surface[cell] = leaves[field.surface[cell]!]!;
  }
  if (bares) bareOfOld(field, cover);
  const laid_mm3 = operation.deposit ? volumeLaid_mm3(field, operation.id) : 0;
  if (lengthens === 'tip') standFree(field, cover);
  if (operation.verb === 'activate') activate(field, cover, run.product);
  if (operation.removal) fileDown(run, operation, cover);
  if (operation.lamp) shine(field, light_s ?? operation.lamp.seconds, run.product);
  return laid_mm3;
}

/** What comes out of a bottle, a pot or off a sheet. */
const POURED: ReadonlySet<Film['kind']> = new Set(['film', 'grains', 'sheet'] as const);

/** Of the films, grains or sheets that an operation has just laid. */
function volumeLaid_mm3({ films, grid }: NailField, id: string): number {
  let um = 0;
  for (const film of films) {
    if (film.operation !== id || !POURED.has(film.kind)) continue;
    for (const t_um of film.t_um) um += t_um;
  }
  return (um / 1000) * grid.cell_mm2;
}

function bareOfOld({ films }: NailField, cover: Cover): void {
  for (const film of films) {
    if (film.kind !== 'old') continue;
    for (const cell of cover.touched) film.t_um[cell] = 0;
  }
}

/** Where nothing fixes it, a tip is as hard as it came. */
function standFree(field: NailField, cover: Cover): void {
  for (const cell of cover.held) {
    if (isFixed(field, cover, cell)) continue;
    field.surface[cell] = encode({ ...decode(field.surface[cell]!), phase: 'cured' });
  }
}

const FORM = encode({ material: 'form', phase: 'bare', finish: 'shine', soil: 'clean', prep: 'none' });

/** Past the plate the nail now ends on paper, until something is built there. */
function layForm({ grid, surface }: NailField): void {
  for (let cell = 0; cell < surface.length; cell += 1)
    if (grid.inside[cell] && !grid.onPlate[cell]) surface[cell] = FORM;
}

function deposit(run: Run, operation: Operation, cover: Cover): Film[] {
  const laid = layersOf({ ...run, operation, cover });
  append(run.field.films, laid);
  // Put on, the tip is part of the nail.
  if (rowOf(operation.verb).lengthens === 'tip') delete run.tip;
  return laid;
}

function fileDown(run: Run, operation: Operation, cover: Cover): void {
  const { field } = run;
  for (const into of file(field, operation, cover, run.product)) {
    const area_mm2 = into.touched.length * field.grid.cell_mm2;
    if (area_mm2 < MIN_FAULT_MM2) continue;
    const middle = (of: (cell: number) => number) =>
      into.touched.reduce((sum, cell) => sum + of(cell), 0) / into.touched.length;
    run.verdicts.push({
      operation: operation.id,
      reason: 'filed-through',
      area_mm2,
      where: spotWords(
        field.frame,
        middle((cell) => field.grid.x[cellX(cell)]!),
        middle((cell) => field.grid.y[cellY(cell)]!),
      ),
      found: reachedWords(into, field.grid.cell_mm2),
      wants: rowOf(operation.verb).wants,
    });
  }
}

const REACHED_WORDS = {
  piece: 'the pieces',
  colour: 'the colour',
  base: 'the base',
  plate: 'the natural plate',
} as const;

function reachedWords(into: FiledInto, cell_mm2: number): string {
  const gone = into.removed.length * cell_mm2;
  const words = REACHED_WORDS[into.what];
  return gone >= MIN_FAULT_MM2 ? `${words} and takes ${gone.toFixed(1)} mm² away` : `${words}`;
}

/** By surface code: a sticky layer that the lamp leaves. */
const STICKY = flagSurfaces((s) => s.finish === 'tacky' && (s.phase === 'cured' || s.phase === 'gelled'));

/** Counted anew after every operation; kept, so that nothing is allocated for it. */
const counts = new Uint16Array(SURFACE_COUNT);

function stateOf({ field: nail, tip }: Run): StateAfter {
  // Until it is put on, the tip is what is worked on.
  const field = tip ?? nail;
  let tacky = 0;
  counts.fill(0);
  let most = field.surface[0]!;
  for (let cell = 0; cell < field.surface.length; cell += 1) {
    if (!field.grid.inside[cell]) continue;
    const code = field.surface[cell]!;
    counts[code]! += 1;
    if (counts[code]! > counts[most]!) most = code;
    tacky += STICKY[code]!;
  }
  return {
    wet: isWet(nail) || (tip !== undefined && isWet(tip)),
    tacky: tacky * field.grid.cell_mm2 >= MIN_FAULT_MM2,
    surface: surfaceWords(decode(most)),
  };
}
