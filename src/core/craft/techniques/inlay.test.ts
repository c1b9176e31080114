import { PIECE_SHAPES } from '../../model/pieceShapes';
import { contextOf } from '../../document/nailContext';
import type { NailName } from '../../model/names';
import { pieceOutline } from '../pieces';
import { planNail } from '../../plan/nailPlan';
import { planSet } from '../../plan/planSet';
import { drawNail } from '../../picture/nailPicture';
import { element, setWearing } from '../../testing/sets';
import { PIECE_CUTS } from '../pieceCuts';
import { techniqueOf } from '.';

const first = element('inlay').pieces[0]!;
const ofShape = (shape: (typeof PIECE_SHAPES)[number], count = 1) =>
  element('inlay', {
    pieces: Array.from({ length: count }, (_, i) => ({
      ...first,
      shape,
      across: count === 1 ? 0 : -0.4 + 0.4 * i,
      along: 0.5,
      turn_deg: 0,
      width_mm: 2,
      length_mm: 2,
      colour: '#2040e0',
      metallic: false,
    })),
  });

describe('an inlay', () => {
  it.each(PIECE_SHAPES)('of a %s is named on the card, and nothing stops it', (shape) => {
    const set = setWearing([element('colour'), ofShape(shape, 3)]);
    const { operations, findings } = planSet(set, { fixes: false, effort: { iterations: 0 } });
    const placed = operations['left-ring'].find(({ step }) => step === 'place')!;
    const soaked = PIECE_CUTS[shape].soaked ? ', soaked through with clear first, no air in it' : '';
    expect(placed.words).toBe(`Place 3 ${PIECE_CUTS[shape].many}${soaked}, one or two at a time`);
    expect(findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  it('is drawn in its own outline: a triangle leaves the corners beside its point free, a square does not', () => {
    const blueAt = (shape: 'triangle' | 'square', x_mm: number, y_mm: number) => {
      const set = setWearing([element('colour', { product: 'ember-12' }), ofShape(shape)]);
      const { nominal, compiled } = planNail(set, 'left-middle');
      const px_per_mm = 14;
      const { data, width, height } = drawNail(nominal.field, compiled.context.product, px_per_mm);
      const piece = nominal.field.films.find((film) => film.pieces)!.pieces![0]!;
      const pad_mm = (height / px_per_mm - nominal.field.frame.length_mm) / 2;
      const column = Math.round(width / 2 + (piece.x_mm + x_mm * piece.width_mm) * px_per_mm);
      const row = Math.round(height - (pad_mm + piece.y_mm + y_mm * piece.length_mm) * px_per_mm);
      const i = 4 * (row * width + column);
      return data[i + 2]! > data[i]!;
    };
    expect([blueAt('triangle', 0, 0), blueAt('square', 0, 0)]).toEqual([true, true]);
    expect([blueAt('triangle', 0.38, 0.38), blueAt('square', 0.38, 0.38)]).toEqual([false, true]);
    expect([blueAt('triangle', 0.38, -0.42), blueAt('square', 0.38, -0.42)]).toEqual([true, true]);
  });

  it('a piece cut by hand lies as it was drawn, is its mirror image on the other hand, and is named', () => {
    const line = [
      { x: -1.5, y: 6 },
      { x: 1.5, y: 6 },
      { x: 1.5, y: 7 },
      { x: -1.5, y: 9 },
    ];
    const plain = setWearing([element('colour'), ofShape('star', 3)]);
    const inlaid = plain.looks.flatMap(({ elements }) => elements).find(({ kind }) => kind === 'inlay')!;
    const { lay } = techniqueOf('inlay').drawn!.find(({ words }) => words === 'Cut one by hand')!;
    const cut = lay(inlaid, contextOf(plain, 'left-ring'), line);
    const set = setWearing([element('colour'), cut]);
    const { operations, findings } = planSet(set, { fixes: false, effort: { iterations: 0 } });
    expect(findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    const placed = (nail: NailName) => operations[nail].find(({ step }) => step === 'place')!;
    expect(placed('left-ring').words).toBe('Place 3 stars and 1 hand-cut piece, one or two at a time');
    const outline = (nail: NailName) => {
      const { deposit } = placed(nail);
      return deposit?.kind === 'pieces' ? pieceOutline(deposit.pieces.at(-1)!) : [];
    };
    const close = (side: number) =>
      line.map(({ x, y }) => ({ x: expect.closeTo(side * x, 1), y: expect.closeTo(y, 1) }));
    expect(outline('left-ring')).toMatchObject(close(1));
    expect(outline('right-ring')).toMatchObject(close(-1));
    // Of no length nothing is cut; another cut takes its place, and its outline waits.
    expect(lay(inlaid, contextOf(plain, 'left-ring'), line.slice(0, 1))).toBe(inlaid);
  });

  it('is called by what most of its pieces are cut as, and else pieces', () => {
    const { called } = techniqueOf('inlay');
    const mixed = (...shapes: (typeof PIECE_SHAPES)[number][]) =>
      called!(element('inlay', { pieces: shapes.map((shape) => ({ ...first, shape })) }), () => undefined!);
    expect(mixed('star', 'star', 'star')).toBe('three stars');
    expect(mixed('heart', 'heart', 'leaf')).toBe('two hearts');
    expect(mixed('heart', 'leaf')).toBe('two pieces');
    expect(mixed('hexagon')).toBe('a hexagon');
  });
});
