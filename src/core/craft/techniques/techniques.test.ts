import fc from 'fast-check';
import { DEMO_SETS } from '../../demo';
import { pieceOutline } from '../pieces';
import { overlap_mm2 } from '../../geometry/polygons';
import { polygonDistance_mm } from '../../geometry/regions';
import { NAILS, type NailName } from '../../model/names';
import { applyChange } from '../../document/changes';
import { compileNail } from '../../compile/compile';
import { contextOf } from '../../document/nailContext';
import { buildKindOf } from '../builds';
import type { SetDocument } from '../../document/document';
import { HOLDINGS, type HoldingName } from '../holdings';
import type { Draft } from '../operation';
import type { PlacedPiece } from '../matter';
import { element, findingsOn, setWearing, pick } from '../../testing/sets';
import { genericSupplies } from '../../starter/supplies';
import { readPath, writePath } from '../fieldPath';
import type { Field } from '../technique';
import { Element, TECHNIQUES, techniqueOf } from './index';

const contexts = DEMO_SETS.flatMap((demo) => {
  const set = demo.make();
  return NAILS.map((name) => contextOf(set, name));
});
const on = (name: NailName, change: Parameters<typeof setWearing>[1] = () => undefined) =>
  contextOf(setWearing([], change), name);
const laid = (drafts: readonly Draft[]): PlacedPiece[] =>
  drafts.flatMap((draft) => (draft.deposit?.kind === 'pieces' ? draft.deposit.pieces : []));

describe.each(TECHNIQUES.map((technique) => [technique.kind, technique] as const))(
  '%s',
  (_kind, technique) => {
    const fresh = technique.fresh('one', pick);
    /** With all that may be missing. */
    const full = technique.fields.reduce<typeof fresh>(
      (made, field) =>
        field.kind === 'optional' && (readPath(made, field.path) ?? null) === null
          ? (writePath(made, field.path, field.fresh(pick)) as typeof fresh)
          : made,
      fresh,
    );

    it('starts as an element that its own schema and the union take', () => {
      expect(technique.schema.safeParse(fresh).success).toBe(true);
      expect(Element.safeParse(fresh)).toEqual({ success: true, data: fresh });
      expect(techniqueOf(technique.kind)).toBe(technique);
    });

    it('has words and a blurb that end as sentences do', () => {
      expect(technique.words.length).toBeGreaterThan(2);
      expect(technique.blurb).toMatch(/\.$/);
    });

    it('has editor fields that address values of a fresh element, within their limits', () => {
      const check = (fields: readonly Field[], value: unknown) => {
        for (const field of fields) {
          const option = readPath(value, field.path);
          const found = option === undefined && field.kind === 'number' ? field.absent : option;
          // What it is kept on is another's: a new one lies anywhere; and nothing needs a name.
          if (field.kind === 'element' || field.kind === 'words') continue;
          expect(found).toBeDefined();
          if (field.kind === 'number') {
            expect(found).toBeGreaterThanOrEqual(field.min);
            expect(found).toBeLessThanOrEqual(field.max);
          }
          if (field.kind === 'choice') expect(field.choices.map((choice) => choice.value)).toContain(found);
          if (field.kind === 'list') check(field.item, (found as unknown[])[0] ?? field.fresh);
        }
      };
      check(technique.fields, full);
    });

    it('stays valid when a number field is moved anywhere between its limits', () => {
      for (const field of technique.fields) {
        if (field.kind !== 'number') continue;
        const middle = field.min + field.step * Math.round((field.max - field.min) / field.step / 2);
        for (const value of [field.min, middle, field.max]) {
          expect(Element.safeParse(writePath(full, field.path, value)).success).toBe(true);
        }
      }
    });

    it('plans on every nail of every demo set: each step once, films with a thickness, each with its reason', () => {
      for (const context of contexts) {
        const drafts = technique.plan(fresh, context);
        const ids = drafts.map((draft) => `${draft.step}#${draft.pass ?? 1}`);
        expect(new Set(ids).size).toBe(ids.length);
        for (const draft of drafts) {
          expect(draft.words.length).toBeGreaterThan(3);
          expect(draft.reason.length).toBeGreaterThan(10);
          expect(draft.hand_s).toBeGreaterThanOrEqual(0);
          if (draft.deposit && 't_um' in draft.deposit) expect(draft.deposit.t_um).toBeGreaterThan(0);
          if (draft.lamp) expect(draft.lamp.seconds).toBeGreaterThan(0);
          if (draft.product) expect(context.product(draft.product)).toBeDefined();
        }
      }
    });

    it('gives no stop on a typical finger over a plain colour', () => {
      const set = setWearing([
        element('colour', { id: 'ground', product: 'sage-03' }),
        technique.fresh('one', pick),
      ]);
      const findings = findingsOn(set, 'left-middle');
      // A film over the whole nail hides the colour below it, and that is told of that colour.
      expect(
        findings.filter(
          ({ code, element: of }) =>
            // This nail has no build that could be made of anything.
            code !== 'built-unused' && (code !== 'art-hidden' || of !== 'ground'),
        ),
      ).toEqual([]);
    });
  },
);

describe('crystals', () => {
  it('lie in order along the cuticle, the same to both sides, the first in the middle', () => {
    const stones = laid(
      techniqueOf('crystals').plan(element('crystals', { fit: 'keep' }), on('left-middle')),
    );
    expect(stones).toHaveLength(5);
    expect(stones[0]!.x_mm).toBe(0);
    for (let i = 1; i < stones.length; i += 2) {
      expect(stones[i]!.x_mm).toBeCloseTo(-stones[i + 1]!.x_mm, 9);
      expect(stones[i]!.y_mm).toBeCloseTo(stones[i + 1]!.y_mm, 9);
      expect(stones[i]!.y_mm).toBeGreaterThanOrEqual(stones[0]!.y_mm);
    }
  });

  it('never overlap where as many as fit are placed', () => {
    const sizes = fc.array(fc.constantFrom('SS3' as const, 'SS5' as const, 'SS7' as const, 'SS9' as const), {
      minLength: 1,
      maxLength: 8,
    });
    fc.assert(
      fc.property(
        sizes,
        fc.constantFrom<NailName>('left-little', 'left-thumb', 'right-ring'),
        (list, name) => {
          const stones = laid(
            techniqueOf('crystals').plan(element('crystals', { sizes: list, fit: 'repeat' }), on(name)),
          );
          stones.forEach((a, i) =>
            stones
              .slice(i + 1)
              .forEach((b) => expect(overlap_mm2(pieceOutline(a), pieceOutline(b))).toBeLessThan(0.15)),
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  it('take smaller stock sizes on a small nail, never an odd size between', () => {
    const little = laid(
      techniqueOf('crystals').plan(element('crystals', { sizes: ['SS9'], fit: 'scale' }), on('left-little')),
    );
    expect(little[0]!.width_mm).toBe(1.75);
  });

  it('are bedded with a bead each, or set into the top, as the artist works', () => {
    const bedded = on('left-ring', (set) => (set.practice.stones = 'bedded'));
    expect(
      techniqueOf('crystals')
        .plan(element('crystals'), bedded)
        .map((draft) => draft.step),
    ).toEqual(['bead', 'set', 'flash']);
    expect(
      techniqueOf('crystals')
        .plan(element('crystals'), on('left-ring'))
        .map((draft) => draft.step),
    ).toEqual(['set']);
    expect(techniqueOf('crystals').stands!(element('crystals'), bedded)).toHaveLength(5);
    expect(techniqueOf('crystals').usual(element('crystals'), bedded)).toBe('surface');
    expect(techniqueOf('crystals').usual(element('crystals'), on('left-ring'))).toBe('over');
  });
});

describe('meeting a smaller nail and the other hand', () => {
  const pieces = element('inlay').pieces;

  it('scale shrinks the pieces in their measure, keep does not', () => {
    const shrunk = laid(techniqueOf('inlay').plan(element('inlay', { fit: 'scale' }), on('left-little')));
    const kept = laid(techniqueOf('inlay').plan(element('inlay', { fit: 'keep' }), on('left-little')));
    expect(kept[0]!.length_mm).toBe(pieces[0]!.length_mm);
    expect(shrunk[0]!.length_mm).toBeLessThan(kept[0]!.length_mm);
    expect(shrunk[0]!.length_mm / shrunk[0]!.width_mm).toBeCloseTo(kept[0]!.length_mm / kept[0]!.width_mm, 9);
  });

  it('repeat places fewer, drop leaves any technique off', () => {
    const repeated = laid(techniqueOf('inlay').plan(element('inlay', { fit: 'repeat' }), on('left-little')));
    expect(repeated).toHaveLength(2);
    expect(repeated[0]!.length_mm).toBe(pieces[0]!.length_mm);
    const small = (elements: Element[]) =>
      setWearing(elements, (set) => (set.nails['left-little'].plate.width_mm = 8));
    for (const kind of TECHNIQUES.map((technique) => technique.kind)) {
      const set = small([{ ...techniqueOf(kind).fresh('one', pick), fit: 'drop' } as Element]);
      expect(compileNail(set, 'left-little').elements).toEqual([]);
      expect(compileNail(set, 'left-thumb').elements).toHaveLength(1);
    }
  });

  it('mirror turns places and angles over on the right hand only; same leaves them', () => {
    const left = laid(techniqueOf('inlay').plan(element('inlay'), on('left-ring')));
    const right = laid(techniqueOf('inlay').plan(element('inlay'), on('right-ring')));
    const same = laid(techniqueOf('inlay').plan(element('inlay', { hand: 'same' }), on('right-ring')));
    left.forEach((piece, i) => {
      expect(right[i]!.x_mm).toBeCloseTo(-piece.x_mm, 12);
      expect(right[i]!.turn_deg).toBeCloseTo(-piece.turn_deg, 12);
      expect(same[i]!.x_mm).toBeCloseTo(piece.x_mm, 12);
    });
  });

  it('a ready charm keeps its size on every nail', () => {
    for (const name of NAILS) {
      expect(laid(techniqueOf('charm').plan(element('charm'), on(name)))[0]!.width_mm).toBe(4);
    }
  });
});

describe('passes', () => {
  it('an ombre is laid in the passes asked for, each cured, slowest colour deciding', () => {
    const drafts = techniqueOf('ombre').plan(element('ombre', { passes: 3 }), on('left-ring'));
    expect(drafts.map((draft) => draft.step)).toEqual(['blend', 'cure', 'blend', 'cure', 'blend', 'cure']);
  });

  it('a French without liner has none, with one it is drawn and cured after the tip', () => {
    const without = techniqueOf('french').plan(element('french', { liner: null }), on('left-ring'));
    expect(without.some((draft) => draft.step === 'liner')).toBe(false);
    const drafts = techniqueOf('french').plan(element('french'), on('left-ring'));
    expect(drafts.slice(-2).map((draft) => draft.step)).toEqual(['liner', 'cure-liner']);
    expect(drafts[drafts.length - 2]!.place.along_edge).toEqual({ width_mm: 0.4 });
  });

  it('a wipe top is wiped after its cure, a no-wipe is not', () => {
    const wipe = on('left-ring', (set) => {
      set.kit.products.find((product) => product.id === 'top-a')!.family = 'top-wipe';
    });
    const gloss = element('finish', { finish: 'gloss' });
    expect(
      techniqueOf('finish')
        .plan(gloss, wipe)
        .map((draft) => draft.step),
    ).toEqual(['coat', 'cure', 'wipe']);
    expect(
      techniqueOf('finish')
        .plan(gloss, on('left-ring'))
        .map((draft) => draft.step),
    ).toEqual(['coat', 'cure']);
  });
});

describe('what stands on the shelf', () => {
  const taking = TECHNIQUES.filter((one) => one.fromShelf);
  it.each(taking.map((one) => [one.kind, one] as const))(
    '%s takes it up with its measures',
    (kind, technique) => {
      const before = element(kind as Element['kind']);
      const { kind: wanted, take } = technique.fromShelf!;
      for (const supply of genericSupplies()) {
        const after = take(before, supply);
        if (supply.kind !== wanted) {
          expect(after).toBe(before);
          continue;
        }
        expect(Element.parse(after)).toEqual(after);
        expect(JSON.stringify(after)).toContain('colour' in supply ? supply.colour : '');
      }
      expect(genericSupplies().some((one) => one.kind === wanted)).toBe(true);
    },
  );

  it('an inlay is full at sixty pieces', () => {
    const { take } = techniqueOf('inlay').fromShelf!;
    const piece = genericSupplies().find((one) => one.kind === 'piece')!;
    let inlay: Element = element('inlay');
    for (let i = 0; i < 80; i += 1) inlay = take(inlay, piece);
    expect(inlay.kind === 'inlay' && inlay.pieces).toHaveLength(60);
  });
});

describe('what lies where it is put', () => {
  const charm = element('charm');
  const round = techniqueOf('stones').arrangements!.find((one) => one.key === 'round-charm')!;

  it.each(NAILS)('stones round a charm touch neither it nor each other, on the %s', (name) => {
    const context = on(name);
    const stones = round.lay(element('stones'), context, [{ body: charm }]);
    const pieces = laid(techniqueOf('stones').plan(stones, context));
    const all = [...pieces, ...laid(techniqueOf('charm').plan(charm, context))];
    expect(pieces.length).toBeGreaterThanOrEqual(4);
    all.forEach((a, i) =>
      all
        .slice(i + 1)
        .forEach((b) => expect(overlap_mm2(pieceOutline(a), pieceOutline(b))).toBeLessThan(1e-6)),
    );
  });

  it.each(['few', 'many'])('pieces strewn (%s) lie apart and on the nail, and again otherwise', (key) => {
    const strew = techniqueOf('inlay').arrangements!.find((one) => one.key === key)!;
    const context = on('left-middle');
    const once = strew.lay(element('inlay'), context, []);
    const pieces = laid(techniqueOf('inlay').plan(once, context));
    expect(pieces.length).toBeGreaterThan(3);
    pieces.forEach((a, i) =>
      pieces
        .slice(i + 1)
        .forEach((b) => expect(overlap_mm2(pieceOutline(a), pieceOutline(b))).toBeLessThan(1e-6)),
    );
    expect(strew.lay(element('inlay'), context, [])).toEqual(once);
    expect(strew.lay(once, context, [])).not.toEqual(once);
  });

  it.each(['round-charm', 'ring', 'line', 'grid', 'cluster', 'scatter'])(
    'stones of two sizes are laid %s in turn, none touching another',
    (key) => {
      const lay = techniqueOf('stones').arrangements!.find((one) => one.key === key)!;
      const two = element('stones', {
        fit: 'keep',
        stones: [
          { size: 'SS9', colour: '#e9f1f5', across: -0.2, along: 0.6 },
          { size: 'SS3', colour: '#d8a440', across: 0.1, along: 0.6 },
        ],
      });
      const context = on('left-thumb');
      const laidOut = lay.lay(two, context, [{ body: charm }]);
      if (laidOut.kind !== 'stones') throw new Error('stones stay stones');
      const sizes = new Set(laidOut.stones.map((stone) => `${stone.size} ${stone.colour}`));
      expect(laidOut.stones.length).toBeGreaterThan(1);
      expect([...sizes].sort()).toEqual(['SS3 #d8a440', 'SS9 #e9f1f5']);
      const pieces = laid(techniqueOf('stones').plan(laidOut, context));
      pieces.forEach((a, i) =>
        pieces.slice(i + 1).forEach((b) => {
          const apart = Math.hypot(a.x_mm - b.x_mm, a.y_mm - b.y_mm) - (a.width_mm + b.width_mm) / 2;
          // A ring is laid along its round: its chords are a little shorter.
          expect(apart).toBeGreaterThan(0.02);
        }),
      );
    },
  );

  it('stones go side by side along a drawn line, however it bends', () => {
    const context = on('left-thumb');
    const line = [
      { x: -4, y: 4 },
      { x: -4, y: 12 },
      { x: 3, y: 12 },
      { x: 3, y: 9 },
    ];
    const row = element('stones', {
      fit: 'keep',
      stones: [
        { size: 'SS7', colour: '#e9f1f5', across: 0, along: 0.5 },
        { size: 'SS3', colour: '#e9f1f5', across: 0, along: 0.5 },
      ],
    });
    const pieces = laid(
      techniqueOf('stones').plan(techniqueOf('stones').drawn![0]!.lay(row, context, line), context),
    );
    expect(pieces.length).toBeGreaterThan(6);
    expect(Math.hypot(pieces[0]!.x_mm + 4, pieces[0]!.y_mm - 4)).toBeLessThan(0.1);
    pieces.forEach((a, i) =>
      pieces.slice(i + 1).forEach((b, k) => {
        const apart = Math.hypot(a.x_mm - b.x_mm, a.y_mm - b.y_mm) - (a.width_mm + b.width_mm) / 2;
        expect(apart).toBeGreaterThan(0.05);
        if (k === 0) expect(apart).toBeLessThan(0.3);
      }),
    );
  });

  it('pieces are strewn in a drawn shape and nowhere else', () => {
    const context = on('left-thumb');
    const shape = [
      { x: -5, y: 5 },
      { x: 5, y: 5 },
      { x: 0, y: 14 },
    ];
    const { drawn } = techniqueOf('inlay');
    const inlay = element('inlay', { fit: 'keep' });
    const small = { ...inlay, pieces: [{ ...inlay.pieces[0]!, length_mm: 1.4, width_mm: 0.6 }] };
    const pieces = laid(techniqueOf('inlay').plan(drawn![0]!.lay(small, context, shape), context));
    expect(pieces.length).toBeGreaterThan(5);
    for (const piece of pieces)
      for (const corner of pieceOutline(piece))
        expect(polygonDistance_mm(shape, corner.x, corner.y)).toBeGreaterThan(-0.05);
    expect(drawn![0]!.lay(small, context, shape.slice(0, 2))).toBe(small);
  });

  it('stiff pieces are strewn so that the file stays clear of them on that nail’s curve', () => {
    const strew = techniqueOf('inlay').arrangements!.find((one) => one.key === 'many')!;
    const inlay = element('inlay');
    const stiff = { ...inlay.pieces[0]!, length_mm: 5, width_mm: 0.8, thickness_mm: 0.1, stiffness: 1 };
    const wearing = (one: Element) =>
      setWearing([element('colour'), one], (set) => (set.nails['left-ring'].plate.arch_mm = 4));
    const set = wearing({ ...inlay, pieces: [stiff], cap_um: 650 });
    const context = contextOf(set, 'left-ring');
    const strewn = strew.lay({ ...inlay, pieces: [stiff], cap_um: 650 }, context, []);
    const turns = strewn.kind === 'inlay' ? strewn.pieces.map((one) => Math.abs(one.turn_deg)) : [];
    expect(turns.length).toBeGreaterThan(2);
    const codes = (one: Element) => findingsOn(wearing(one)).map((found) => found.code);
    expect(codes(strewn)).not.toContain('piece-proud');
    if (strewn.kind !== 'inlay') throw new Error('an inlay stays one');
    expect(codes({ ...strewn, pieces: strewn.pieces.map((one) => ({ ...one, turn_deg: 60 })) })).toContain(
      'piece-proud',
    );
    // Soft ones may turn further: the rule is the curve's, not the technique's.
    const soft = strew.lay({ ...inlay, pieces: [{ ...stiff, stiffness: 0.1 }], cap_um: 650 }, context, []);
    const softTurns = soft.kind === 'inlay' ? soft.pieces.map((one) => Math.abs(one.turn_deg)) : [];
    expect(Math.max(...softTurns)).toBeGreaterThan(Math.max(...turns));
  });

  it('a moved stone of a row is mirrored on the other hand, and moves no other', () => {
    const row = element('crystals');
    const moved = { ...row, moved: [{ stone: 1, across: 0.1, up_mm: 2 }] };
    const at = (one: Element, name: NailName) =>
      laid(techniqueOf('crystals').plan(one, on(name))).map(({ x_mm, y_mm }) => [x_mm, y_mm] as const);
    const [before, after] = [at(row, 'left-middle'), at(moved, 'left-middle')];
    expect(after[1]![1]).toBeCloseTo(before[1]![1] + 2, 6);
    expect(after.filter((_, i) => i !== 1)).toEqual(before.filter((_, i) => i !== 1));
    at(moved, 'right-middle').forEach(([x, y], i) => {
      expect(x).toBeCloseTo(-after[i]![0], 6);
      expect(y).toBeCloseTo(after[i]![1], 6);
    });
  });
});

it('a motif that fits the larger nails once is told for the small one before painting, and a choice clears it', () => {
  const oval = { kind: 'oval', across: 0, along: 0.7, width_mm: 13, length_mm: 6, turn_deg: 0 } as const;
  const set = setWearing([element('colour', { region: oval, fit: 'keep' })]);
  expect(findingsOn(set, 'left-thumb').map((one) => one.code)).not.toContain('region-off-the-plate');
  const told = findingsOn(set, 'left-little').find((one) => one.code === 'region-off-the-plate')!;
  expect(told.tries.map((one) => one.words)).toEqual([
    'Shrink it on smaller nails',
    'Leave it off this nail',
  ]);
  for (const way of told.tries) {
    const mended = applyChange(set, way.change);
    if (!mended.ok) throw new Error('the way out is no change');
    expect(findingsOn(mended.value, 'left-little').map((one) => one.code)).not.toContain(
      'region-off-the-plate',
    );
  }
});

describe('ways of holding what stands on a nail', () => {
  const form = (set: SetDocument) => {
    const build = { ...buildKindOf('sculpted-form').fresh('form'), material: 'acrylic' as const };
    set.builds = [build as SetDocument['builds'][number]];
    for (const nail of NAILS) set.nails[nail].build = 'form';
  };
  const own = (set: SetDocument, id: string) =>
    compileNail(set, 'left-middle').operations.filter(({ element: of }) => of === id);

  it.each(Object.keys(HOLDINGS) as HoldingName[])('a charm %s holds, with nothing to be said', (bedding) => {
    const charm = element('charm', { bedding, metallic: false });
    const set = setWearing(bedding === 'acrylic' ? [charm] : [element('colour'), charm], (all) => {
      if (bedding === 'acrylic') form(all);
    });
    // A clear form has its underside named, whatever stands on it.
    expect(findingsOn(set, 'left-middle').filter(({ code }) => code !== 'underside-bare')).toEqual([]);
    expect(own(set, 'charm').at(-1)!.lamp === undefined).toBe(bedding !== 'gel');
  });

  it('stones in glue are held one at a time, each as long as it takes to set', () => {
    const stones = (count: number) =>
      setWearing([
        element('colour'),
        element('stones', {
          bedding: 'glue',
          stones: Array.from({ length: count }, (_, i) => ({
            size: 'SS3' as const,
            across: -0.4 + 0.3 * i,
            along: 0.6,
            colour: '#eef3f6',
          })),
        }),
      ]);
    const steps = own(stones(3), 'stones').map(({ step }) => step);
    expect(steps).toEqual(['bead', 'set', 'hold', 'bead', 'set', 'hold', 'bead', 'set', 'hold']);
    expect(findingsOn(stones(3), 'left-middle')).toEqual([]);
  });
});
