import { filmIndex, granted, type NailCase, type NailRule } from '../rule';
import type { Operation } from '../../craft/operation';
import { pieceOutline } from '../../craft/pieces';
import { mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import { cellAt, height_um } from '../../simulate/field';
import { isSolid } from '../../simulate/layers';
import { pieceStands_mm } from '../../craft/pieces';
import { beadShare } from '../../geometry/bead';
import type { FindingDraft } from '../finding';

/** More than this under the pieces and the strength is built below them, where it does not help (common practice). */
const MAX_BELOW_UM = 420;
/** Clear left over the worst corner after filing is aimed at this when a thicker cap is offered. */
const SPARE_UM = 40;
const MOST_CAP_UM = 3000;
/** A bed no thicker than this is not what is too thick. */
const THIN_BED_UM = 80;

interface Corner {
  /** Which piece, in the order they are laid. */
  piece: number;
  /** Clear over the worst corner of one piece: the level the cap settled to, less the corner's height. */
  clear_um: number;
  /** How much of what is added at the apex lies there. */
  share: number;
}

/** The worst corner of each piece under the cap that was poured over it. */
function corners(nail: NailCase, laid: Operation, level_um: Float32Array): Corner[] {
  const deposit = laid.deposit;
  if (deposit?.kind !== 'pieces') return [];
  const { field } = nail;
  const first = field.films.findIndex((film) => film.operation === laid.id);
  return deposit.pieces.flatMap((piece, i): Corner[] => {
    const stands_um = pieceStands_mm(field.frame, piece, deposit.pressed) * 1000;
    const all = pieceOutline(piece).flatMap((point): Corner[] => {
      const cell = cellAt(field, point.x, point.y);
      if (cell < 0 || level_um[cell] === 0) return [];
      return [
        {
          piece: i,
          clear_um: level_um[cell]! - height_um(field, cell, first) - stands_um,
          share: beadShare(field.frame, point.x, point.y),
        },
      ];
    });
    return all.length > 0 ? [all.reduce((a, b) => (b.clear_um < a.clear_um ? b : a))] : [];
  });
}

/** Height that counts is the one after flattening, at the worst corner on the C-curve. */
export const clearOverPieces: NailRule = {
  codes: ['piece-proud', 'cap-thin', 'thick-under-inlay'],
  asks: 'Do the pieces lie low enough under enough clear?',
  check: (nail) =>
    nail.operations.flatMap((laid): FindingDraft[] =>
      laid.verb === 'place' ? [...judgeCover(nail, laid), ...judgeBelow(nail, laid)] : [],
    ),
};

function judgeCover(nail: NailCase, laid: Operation): FindingDraft[] {
  const at = filmIndex(nail.field, laid.id);
  const cap = at < 0 ? undefined : nail.field.films.slice(at).find((film) => film.level_um);
  if (!cap?.level_um) return [];
  const all = corners(nail, laid, cap.level_um);
  if (all.length === 0) return [];
  const capped = nail.operations.findIndex((one) => one.id === cap.operation);
  const filing = nail.operations.slice(capped).find((one) => one.removal);
  const allowance_um = filing?.removal?.allowance_um ?? 0;
  const worst = all.reduce((a, b) => (b.clear_um < a.clear_um ? b : a));
  const proud = worst.clear_um < 0;
  if (!proud && worst.clear_um >= allowance_um) return [];
  const thicker = thickerCap_um(nail, cap.operation, all, allowance_um);
  const moreClear =
    thicker === undefined ? [] : granted(nail, laid.element, 'thicker-clear', { cap_um: thicker });
  const laidBetter = granted(nail, laid.element, 'lie-along', {
    out: all.flatMap((one) => (one.clear_um < allowance_um ? [one.piece] : [])),
  });
  const count = all.filter((one) => one.clear_um < 0).length;
  return [
    {
      operation: cap.operation,
      element: laid.element,
      code: proud ? 'piece-proud' : 'cap-thin',
      severity: 'stop',
      message: proud
        ? `${count === 1 ? 'A piece stands' : `${count} pieces stand`} out of the cap: the file will reach ${count === 1 ? 'it' : 'them'}.`
        : 'The clear over the pieces is thinner than what the file takes.',
      reason: proud
        ? 'A stiff piece does not follow the C-curve; its corners rise through the clear and are filed off.'
        : 'Levelling reaches the pieces before the surface is even.',
      figure: proud
        ? {
            words: 'worst corner above the cap',
            value: Math.round(-worst.clear_um),
            limit: 0,
            is: 'at most',
            unit: 'µm',
          }
        : {
            words: 'clear over the worst corner',
            value: Math.round(worst.clear_um),
            limit: allowance_um,
            is: 'at least',
            unit: 'µm',
          },
      // What lies flat wants more clear; what stands up is turned or trimmed first.
      tries: [
        ...(proud ? laidBetter : []),
        ...moreClear,
        ...(proud ? [] : laidBetter),
        ...granted(nail, laid.element, 'lie-lower', {}),
      ],
    },
  ];
}

/** A cap that would leave enough clear over every corner; undefined where none within reach would. */
function thickerCap_um(
  nail: NailCase,
  operation: string,
  all: readonly Corner[],
  allowance_um: number,
): number | undefined {
  const deposit = nail.operations.find((one) => one.id === operation)?.deposit;
  if (deposit?.kind !== 'level') return undefined;
  const missing_um = mostOf(
    all.map((one) => (allowance_um + SPARE_UM - one.clear_um) / Math.max(0.05, one.share)),
  );
  const thicker = Math.ceil((deposit.t_um + missing_um) / 10) * 10;
  return thicker > deposit.t_um && thicker <= MOST_CAP_UM ? thicker : undefined;
}

function judgeBelow(nail: NailCase, laid: Operation): FindingDraft[] {
  const deposit = laid.deposit;
  const at = nail.field.films.findIndex((film) => film.operation === laid.id);
  if (at < 0 || deposit?.kind !== 'pieces') return [];
  const before = nail.operations.findIndex((one) => one.id === laid.id);
  const bedding = nail.operations
    .slice(0, before)
    .reverse()
    .find((one) => one.verb === 'bed')?.deposit;
  const bed = bedding?.kind === 'conformal' ? bedding.t_um : 0;
  let most = 0;
  for (const piece of deposit.pieces) {
    const cell = cellAt(nail.field, piece.x_mm, piece.y_mm);
    if (cell < 0) continue;
    let below = 0;
    for (let f = 0; f < at; f += 1) {
      const film = nail.field.films[f]!;
      // A ready tip is the build itself, not a base that could be thinner.
      if (film.kind === 'tip') below = 0;
      else if (isSolid(film)) below += film.t_um[cell]!;
    }
    most = Math.max(most, below);
  }
  if (most <= MAX_BELOW_UM) return [];
  return [
    {
      code: 'thick-under-inlay',
      severity: 'warn',
      operation: laid.id,
      element: laid.element,
      message: 'The pieces lie on too much product: they end up high, where the file is.',
      reason: 'Below must be thin: strength is built above, and a thick bed lifts the pieces into the file.',
      figure: {
        words: 'product under the pieces',
        value: rounded(most, 0),
        limit: MAX_BELOW_UM,
        is: 'at most',
        unit: 'µm',
      },
      tries: bed > THIN_BED_UM ? granted(nail, laid.element, 'thinner-bed', { bed_um: 60 }) : [],
    },
  ];
}
