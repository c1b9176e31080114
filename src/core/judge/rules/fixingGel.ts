import type { Operation } from '../../craft/operation';
import { pieceStands_mm } from '../../craft/pieces';
import { mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import type { Product } from '../../model/product';
import type { Change } from '../../document/changes';
import type { FindingDraft } from '../finding';
import { granted, type NailCase, type NailRule } from '../rule';

/**
 * A bead thinner than this leaves air under the tip; a thicker one is pressed out to the skin (common practice: about a
 * tenth of a millimetre is left between plate and tip).
 */
const LEAST_UM = 60;
const MOST_UM = 350;
/** What is usually taken. */
const USUAL_UM = 120;

/** The gel that fixes a tip: enough for the room below it, and no more; its spill wiped before it is hard. */
export const fixingGel: NailRule = {
  codes: ['fixing-little', 'fixing-much', 'spill-cured', 'tip-stands-off'],
  asks: 'Is there as much gel below the tip as there is room, and is its spill off before the cure?',
  check: (nail) =>
    nail.operations.flatMap((operation, i): FindingDraft[] => {
      if (operation.verb === 'wipe-spill') return spillCured(nail, operation, i);
      if (operation.in_tip && operation.deposit?.kind === 'pieces') return standsOff(nail, operation);
      return isPressedOn(operation) && operation.deposit?.kind === 'tip'
        ? bead(nail, operation, operation.deposit.fixing_um)
        : [];
    }),
};

/** On a stand a tip is stuck on, and fixed to nobody's nail. */
function isPressedOn({ verb }: Operation): boolean {
  return verb === 'press-on';
}

function bead(nail: NailCase, operation: Operation, fixing_um: number): FindingDraft[] {
  const little = fixing_um < LEAST_UM;
  if (!little && fixing_um <= MOST_UM) return [];
  const product = nail.context.product(operation.product!);
  return [
    {
      code: little ? 'fixing-little' : 'fixing-much',
      severity: 'warn',
      operation: operation.id,
      message: little
        ? `${product.name} is too little for the room below the tip.`
        : `${product.name} is more than the room below the tip: it is pressed out to the skin.`,
      reason: little
        ? 'Where gel is missing air stays: bubbles that are seen, and from which the tip lifts.'
        : 'Fixing gel on skin is the main road to allergy, and what hardens at the cuticle lifts.',
      figure: {
        words: 'gel between plate and tip',
        value: Math.round(fixing_um),
        limit: little ? LEAST_UM : MOST_UM,
        is: little ? 'at least' : 'at most',
        unit: 'µm',
      },
      fix: { words: `Take a bead of about ${USUAL_UM} µm`, change: putCoat(product, USUAL_UM) },
    },
  ];
}

function putCoat(product: Product, coat_um: number): Change {
  return { kind: 'put-product', product: { ...product, coat_um } };
}

function spillCured(nail: NailCase, spill: Operation, at: number): FindingDraft[] {
  const pressed = nail.operations.findLastIndex(
    (one, i) => i < at && (one.verb === 'press-on' || one.verb === 'press-mould'),
  );
  const cured = nail.operations.slice(pressed + 1, at).find((one) => one.lamp?.mode === 'cure');
  if (pressed < 0 || !cured) return [];
  return [
    {
      code: 'spill-cured',
      severity: 'stop',
      operation: spill.id,
      element: spill.element,
      message: `“${spill.words}” comes after “${cured.words}”: what was pressed out is hard by then.`,
      reason:
        'A flashed spill wipes off; a cured one is a ledge on the skin that lifts, and has to be filed off.',
    },
  ];
}

/** Clear that pieces inside a tip lie in: their bed, and what closes them. */
function clearIn_um({ operations }: NailCase): number {
  return operations.reduce(
    (sum, { in_tip, verb, deposit }) =>
      in_tip && (verb === 'bed' || verb === 'cap') && deposit?.kind === 'conformal'
        ? sum + deposit.t_um
        : sum,
    0,
  );
}

/** A piece that does not follow the curve inside its tip keeps the tip from coming down on the nail. */
function standsOff(nail: NailCase, laid: Operation): FindingDraft[] {
  const { deposit } = laid;
  const press = nail.operations.find(isPressedOn)?.deposit;
  if (deposit?.kind !== 'pieces' || press?.kind !== 'tip') return [];
  const stands_um = mostOf(
    deposit.pieces.map((piece) => pieceStands_mm(nail.context.frame, piece, deposit.pressed) * 1000),
  );
  const room_um = clearIn_um(nail) + press.fixing_um;
  if (stands_um <= room_um) return [];
  return [
    {
      code: 'tip-stands-off',
      severity: 'warn',
      operation: laid.id,
      element: laid.element,
      message: 'A stiff piece stands up inside the tip: the tip does not come down on the nail.',
      reason:
        'It does not follow the curve, and its ends keep the tip off the plate: air at the sides, and a thick nail.',
      figure: {
        words: 'stands',
        value: Math.round(stands_um),
        limit: rounded(room_um, 0),
        is: 'at most',
        unit: 'µm',
      },
      tries: granted(nail, laid.element, 'lie-in-tip', {}),
    },
  ];
}
