import { adjusting, filmIndex, type NailCase, type NailRule } from '../rule';
import type { Operation } from '../../craft/operation';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import { levelShare, pieceStands_mm } from '../../simulate/simulate';
import { pieceOutline } from '../../craft/pieces';
import { cellAt } from '../../simulate/field';

/** More than this under the pieces and the strength is built below them, where it does not help (common practice). */
const MAX_BELOW_UM = 420;

/** Clear left over the worst corner after filing is aimed at this when a thicker cap is offered. */
const SPARE_UM = 40;
const MOST_CAP_UM = 3000;

/** A bed no thicker than this is not what is too thick. */
const THIN_BED_UM = 80;

interface Cover {
  stands_um: number;
  clear_um: number;
  /** Share of the cap's thickness that lies over the worst corner. */
  share: number;
}

/** Clear over each piece at its worst corner, before filing. */
function covers(nail: NailCase, laid: Operation, cap: Operation): Cover[] {
  const deposit = laid.deposit;
  if (deposit?.kind !== 'pieces' || cap.deposit?.kind !== 'level') return [];
  const t_um = cap.deposit.t_um;
  const { frame } = nail.context;
  return deposit.pieces.map((piece) => {
    const stands_um = pieceStands_mm(frame, piece, deposit.pressed) * 1000;
    const least = Math.min(...pieceOutline(piece).map((point) => levelShare(frame, point.x, point.y)));
    return { stands_um, clear_um: t_um * least - stands_um, share: least };
  });
}

/** Height that counts is the one after flattening, at the worst corner on the C-curve. */
export const clearOverPieces: NailRule = {
  codes: ['piece-proud', 'cap-thin', 'thick-under-inlay'],
  asks: 'Do the pieces lie low enough under enough clear?',
  check: (nail) => {
    const findings: FindingDraft[] = [];
    nail.operations.forEach((laid, i) => {
      if (laid.verb !== 'place') return;
      const cap = nail.operations.slice(i).find((one) => one.element === laid.element && one.verb === 'cap');
      const filing = nail.operations.slice(i).find((one) => one.element === laid.element && one.removal);
      if (cap) findings.push(...judgeCover(nail, laid, cap, filing?.removal?.allowance_um ?? 0));
      findings.push(...judgeBelow(nail, laid));
    });
    return findings;
  },
};

function judgeCover(nail: NailCase, laid: Operation, cap: Operation, allowance_um: number): FindingDraft[] {
  const all = covers(nail, laid, cap);
  const worst = all.reduce((a, b) => (b.clear_um < a.clear_um ? b : a));
  const about = { operation: cap.id, element: laid.element };
  const needed_um = Math.max(...all.map((one) => (one.stands_um + allowance_um + SPARE_UM) / one.share));
  const thicker = Math.ceil(needed_um / 10) * 10;
  const fix =
    thicker <= MOST_CAP_UM
      ? adjusting(nail, laid.element, { cap_um: thicker }, `Lay the cap ${thicker} µm thick`)
      : {};
  if (worst.clear_um < 0) {
    const count = all.filter((one) => one.clear_um < 0).length;
    return [
      {
        ...about,
        code: 'piece-proud',
        severity: 'stop',
        message: `${count === 1 ? 'A piece stands' : `${count} pieces stand`} proud of the cap: the worst corner is ${Math.round(-worst.clear_um)} µm above it.`,
        reason:
          'A stiff piece does not follow the C-curve; its corners rise through the clear and are filed off.',
        figure: {
          words: 'clear over the worst corner',
          value: Math.round(worst.clear_um),
          limit: 0,
          is: 'at least',
          unit: 'µm',
        },
        ...fix,
      },
    ];
  }
  if (worst.clear_um < allowance_um) {
    return [
      {
        ...about,
        code: 'cap-thin',
        severity: 'stop',
        message: `Only ${Math.round(worst.clear_um)} µm of clear lie over the worst corner, and the file takes ${allowance_um} µm.`,
        reason: 'Levelling reaches the pieces before the surface is even.',
        figure: {
          words: 'clear over the worst corner',
          value: Math.round(worst.clear_um),
          limit: allowance_um,
          is: 'at least',
          unit: 'µm',
        },
        ...fix,
      },
    ];
  }
  return [];
}

function judgeBelow(nail: NailCase, laid: Operation): FindingDraft[] {
  const at = filmIndex(nail.field, laid.id);
  const deposit = laid.deposit;
  if (at < 0 || deposit?.kind !== 'pieces') return [];
  const bedding = nail.operations.find((one) => one.element === laid.element && one.verb === 'bed')?.deposit;
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
      else below += film.t_um[cell]!;
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
      message: `${Math.round(most)} µm of product lie under the pieces.`,
      reason: 'Below must be thin: strength is built above, and a thick bed lifts the pieces into the file.',
      figure: {
        words: 'product under the pieces',
        value: rounded(most, 0),
        limit: MAX_BELOW_UM,
        is: 'at most',
        unit: 'µm',
      },
      ...(bed > THIN_BED_UM ? adjusting(nail, laid.element, { bed_um: 60 }, 'Lay the bed 60 µm thin') : {}),
    },
  ];
}
