import { BODY_KINDS } from '../craft/bodies';
import { FAMILIES } from '../craft/families';
import type { PlacedPiece } from '../craft/matter';
import type { Operation } from '../craft/operation';
import type { SetDocument } from '../document/document';
import { tipsOf } from '../judge/rules/tipSize';
import { NAILS, type NailName } from '../model/names';
import type { Product } from '../model/product';
import type { SundryUse } from '../model/supply';
import { measures } from '../plan/measuredOut';
import type { Plan } from '../plan/planSet';
import type { Unit } from './amounts';
import {
  DOSES_UL,
  isPowder,
  LIQUID_G_ML,
  LIQUID_LOST,
  LIQUID_UL,
  LOST_OF_GRAINS,
  LOST_OF_SHEET,
  lostOf,
  POWDER_IN_BEAD,
  SUNDRIES,
  usualDensity_g_ml,
} from './losses';
import { productShares } from './shares';

/** What one nail's element takes of something, in its unit; not yet a whole number. */
export interface Part {
  nail: NailName;
  element: string;
  amount: number;
  /** How much of it lies on the nail in the end. */
  on_nail: number;
}

/** What a sitting takes of one thing: `amount` is whole, in µL, mg, pieces or mm². */
export interface Need {
  key: string;
  of: NeedOf;
  words: string;
  colour?: string;
  unit: Unit;
  amount: number;
  on_nails: number;
  /** When it is first taken up, in seconds from the begin. */
  first_s: number;
  parts: Part[];
}

/** What it is, so that it can be found on a shelf. */
export type NeedOf =
  | { kind: 'product'; product: Product }
  | { kind: 'body'; piece: PlacedPiece }
  | { kind: 'grain' | 'sheet'; colour: string }
  | { kind: 'tip'; box: string; size: number }
  | { kind: 'sundry'; use: SundryUse }
  /** Something that stands on no shelf of products. */
  | { kind: 'other' };

type Asked = Omit<Need, 'amount' | 'on_nails' | 'first_s' | 'parts'>;

/**
 * What a planned set takes of everything, in the order in which it is first taken up: products by the volume of their films
 * and what is lost on the way, pieces by count, grains by weight, sheets by area, tips by size, and what is used up besides.
 */
export function needsOf(
  set: SetDocument,
  { operations, laid_mm3, rounds }: Pick<Plan, 'operations' | 'laid_mm3' | 'rounds'>,
): Need[] {
  const found = new Map<string, Need>();
  const begins = new Map(rounds.flatMap((round) => round.operations.map((id) => [id, round.start_s])));
  const add = (asked: Asked, part: Part, at_s: number) => {
    if (!(part.amount > 0)) return;
    const known = found.get(asked.key);
    if (!known) found.set(asked.key, { ...asked, amount: 0, on_nails: 0, first_s: at_s, parts: [part] });
    else {
      known.parts.push(part);
      known.first_s = Math.min(known.first_s, at_s);
    }
  };
  const products = new Map(set.kit.products.map((product) => [product.id, product]));
  const measured = measures(set, operations);
  for (const nail of NAILS) {
    for (const operation of operations[nail]) {
      const at_s = begins.get(operation.id) ?? 0;
      const of = (amount: number, lost: number): Part => ({
        nail,
        element: operation.element,
        amount: amount / (1 - lost),
        on_nail: amount,
      });
      const taken = [
        ...liquidOf(operation, products),
        ...poured(operation, products, laid_mm3[operation.id] ?? 0),
      ];
      for (const { asked, amount, lost } of taken) add(asked, of(amount, lost), at_s);
      for (const one of measured) if (one.operation === operation.id) add(...measuredNeed(one, of), at_s);
      if (operation.deposit?.kind === 'pieces')
        for (const piece of operation.deposit.pieces) add(bodyNeed(piece), of(1, 0), at_s);
      for (const sundry of SUNDRIES)
        if (sundry.a_nail !== undefined && sundry.verbs.includes(operation.verb))
          add(sundryNeed(sundry), { ...of(sundry.a_nail, 0), on_nail: 0 }, at_s);
    }
  }
  addOnce(operations, begins, add);
  for (const { nail, box, size } of tipsOf(set).fits)
    add(
      {
        key: `tip ${box.id} ${size}`,
        of: { kind: 'tip', box: box.id, size },
        words: `tip ${size}, ${box.name}`,
        unit: 'pieces',
      },
      { nail, element: 'build', amount: 1, on_nail: 1 },
      tipAt(operations[nail], begins),
    );
  return [...found.values()].map(summed).sort((a, b) => a.first_s - b.first_s || (a.key < b.key ? -1 : 1));
}

/** Whole numbers, upward: less than all of it does not do. Hundredths of a unit are rounding of the sum. */
function summed(need: Need): Need {
  const sum = (of: (part: Part) => number) => need.parts.reduce((all, part) => all + of(part), 0);
  const amount = Math.ceil(sum((part) => part.amount) - 0.01);
  return { ...need, amount, on_nails: Math.min(amount, Math.round(sum((part) => part.on_nail))) };
}

interface Poured {
  asked: Asked;
  amount: number;
  lost: number;
}

/** The liquid that an operation's powder is taken up with. */
function liquidOf({ liquid }: Operation, products: ReadonlyMap<string, Product>): Poured[] {
  const product = liquid === undefined ? undefined : products.get(liquid);
  return product ? [{ asked: productNeed(product), amount: LIQUID_UL, lost: 0 }] : [];
}

/** What an operation takes out of bottles and pots: the product of its film, or what leaves none. */
function poured(operation: Operation, products: ReadonlyMap<string, Product>, mm3: number): Poured[] {
  const { product: id, deposit, paint, verb } = operation;
  if (id === undefined) return [];
  const product = products.get(id);
  if (!product) return [];
  if (mm3 === 0 || !deposit) {
    const dose = DOSES_UL[verb];
    return dose === undefined ? [] : [{ asked: productNeed(product), amount: dose, lost: 0 }];
  }
  return productShares(id, paint).flatMap(({ product: one, share }): Poured[] => {
    const lost = lostOf(product.family, paint);
    if (one === undefined) return [{ asked: clearNeed(product), amount: mm3 * share, lost }];
    const of = products.get(one);
    return of ? ofFilm(of, mm3 * share, lost) : [];
  });
}

/** A film of a product as it is told: by volume, or by weight; a bead of acrylic is powder and liquid. */
function ofFilm(product: Product, mm3: number, lost: number): Poured[] {
  // 1 mm³ is 1 µL.
  if (!isPowder(product.family)) return [{ asked: productNeed(product), amount: mm3, lost }];
  const mg = mm3 * usualDensity_g_ml(product.family);
  if (FAMILIES[product.family].laid !== 'acrylic') return [{ asked: productNeed(product), amount: mg, lost }];
  return [
    { asked: productNeed(product), amount: mg * POWDER_IN_BEAD, lost },
    { asked: LIQUID, amount: (mg * (1 - POWDER_IN_BEAD)) / LIQUID_G_ML, lost: LIQUID_LOST },
  ];
}

const LIQUID: Asked = { key: 'acrylic liquid', of: { kind: 'other' }, words: 'acrylic liquid', unit: 'ul' };

function productNeed(product: Product): Asked {
  const colour = product.colour ?? product.grains?.colour;
  return {
    key: `product ${product.id}`,
    of: { kind: 'product', product },
    words: product.name,
    ...(colour ? { colour } : {}),
    unit: isPowder(product.family) ? 'mg' : 'ul',
  };
}

function clearNeed({ family }: Product): Asked {
  const words = `clear ${FAMILIES[family].words}, to thin with`;
  return { key: words, of: { kind: 'other' }, words, unit: 'ul' };
}

function measuredNeed(
  {
    kind,
    words,
    colour,
    amount,
  }: { kind: 'grains' | 'sheet'; words: string; colour: string; amount: number },
  of: (amount: number, lost: number) => Part,
): [Asked, Part] {
  const asked: Asked = {
    key: `${kind} ${words} ${colour.toLowerCase()}`,
    of: { kind: kind === 'grains' ? 'grain' : 'sheet', colour },
    words,
    colour,
    unit: kind === 'grains' ? 'mg' : 'mm2',
  };
  return [asked, of(amount, kind === 'grains' ? LOST_OF_GRAINS : LOST_OF_SHEET)];
}

function bodyNeed(piece: PlacedPiece): Asked {
  const sort = BODY_KINDS[piece.kind].sortOf(piece);
  return {
    key: `${piece.kind} ${sort} ${piece.colour.toLowerCase()}`,
    of: { kind: 'body', piece },
    words: piece.kind === 'stone' ? `stones ${sort}` : sort,
    colour: piece.colour,
    unit: 'pieces',
  };
}

function sundryNeed({ use, words, many, a_set }: (typeof SUNDRIES)[number]): Asked {
  return {
    key: `sundry ${use}`,
    of: { kind: 'sundry', use },
    words: a_set === 1 ? words : many,
    unit: 'pieces',
  };
}

/** What the sitting as a whole uses up once, for the nail that wants it first. */
function addOnce(
  operations: Plan['operations'],
  begins: ReadonlyMap<string, number>,
  add: (asked: Asked, part: Part, at_s: number) => void,
): void {
  const inTurn = NAILS.flatMap((nail) => operations[nail])
    .map((operation) => ({ operation, at_s: begins.get(operation.id) ?? 0 }))
    .sort((a, b) => a.at_s - b.at_s);
  for (const sundry of SUNDRIES) {
    const first = sundry.a_set && inTurn.find(({ operation }) => sundry.verbs.includes(operation.verb));
    if (!first) continue;
    const { nail, element } = first.operation;
    add(sundryNeed(sundry), { nail, element, amount: sundry.a_set!, on_nail: 0 }, first.at_s);
  }
}

const TIP_VERBS: ReadonlySet<string> = new Set(['ready-tip', 'press-on', 'glue-tip']);

function tipAt(operations: readonly Operation[], begins: ReadonlyMap<string, number>): number {
  const first = operations.find(({ verb }) => TIP_VERBS.has(verb));
  return (first && begins.get(first.id)) ?? 0;
}
