import { buildOf } from '../../document/nailContext';
import { gelDepth, neededDose } from '../../craft/cure';
import { FAMILIES, lampOf, settingOf } from '../../craft/families';
import type { Operation } from '../../craft/operation';
import { leastOf, mostOf } from '../../model/extent';
import type { Product } from '../../model/product';
import { rounded } from '../../model/rounded';
import { CURED, NONE, type Film, type NailField } from '../../simulate/field';
import { MIN_FAULT_MM2 } from '../../simulate/grips';
import type { FindingDraft, Fix } from '../finding';
import { granted, type NailCase, type NailRule } from '../rule';

/** Every film that hardens must have done so by the end: by light at its bottom, or by time. */
export const underCured: NailRule = {
  codes: ['under-cured', 'shaded-cure'],
  asks: 'Is every film hard through by the end?',
  check: (nail) => {
    const { field, context, operations } = nail;
    return field.films.flatMap((film): FindingDraft[] => {
      const product = film.kind === 'film' && film.product ? context.product(film.product) : undefined;
      const operation = operations.find((one) => one.id === film.operation);
      if (!product || !operation) return [];
      const open: number[] = [];
      film.phase.forEach((phase, cell) => {
        if (phase !== NONE && phase !== CURED) open.push(cell);
      });
      if (open.length * field.grid.cell_mm2 < MIN_FAULT_MM2) return [];
      if (settingOf(product)) return [notSet(operation, product, film, open)];
      if (FAMILIES[product.family].hardens === 'activator') return [notActivated(operation, film, open)];
      const need = neededDose(product);
      if (!need) return [];
      const shade = shadeOver(field, film);
      return shade && open.every((cell) => shade[cell]! > 0)
        ? [
            {
              ...underMetal(field, operation, product, open),
              tries: [...onTheTip(nail, operation), ...granted(nail, operation.element, 'sets-in-dark', {})],
            },
          ]
        : [
            {
              ...underLight(operation, product, film, open, need.cured),
              tries: [...granted(nail, operation.element, 'cures-through', {}), ...onTheTip(nail, operation)],
            },
          ];
    });
  },
};

/** The metal above a film, by how far in from its edge each cell lies. */
function shadeOver(field: NailField, film: Film): Float32Array | undefined {
  return field.films.slice(field.films.indexOf(film)).find((one) => one.shade_mm)?.shade_mm;
}

function underLight(
  operation: Operation,
  product: Product,
  film: Film,
  open: readonly number[],
  need_s: number,
): FindingDraft {
  const least = leastOf(open.map((cell) => film.dose[cell]!));
  const thickest = mostOf(open.map((cell) => film.t_um[cell]!));
  const depth_um = lampOf(product)!.depth_um;
  const hard_um = gelDepth(depth_um, least * Math.exp(thickest / depth_um), need_s);
  const share = rounded((least / need_s) * 100, 0);
  return {
    code: 'under-cured',
    severity: 'stop',
    operation: operation.id,
    element: operation.element,
    message:
      share === 0
        ? `${operation.words} never sees the lamp.`
        : `${operation.words} is not cured through: it stays soft at the bottom (${Math.round(hard_um)} of ${Math.round(thickest)} µm harden).`,
    reason: 'Under-cured gel is soft and lumpy, lifts early, and is the main road to allergy.',
    figure: { words: 'light at the bottom', value: share, limit: 100, is: 'at least', unit: '%' },
  };
}

/** What lies inside a tip keeps the light from the gel that fixes it. */
function onTheTip(nail: NailCase, operation: Operation): Fix[] {
  const build = buildOf(nail.set, nail.context.nail);
  if (operation.verb !== 'press-on' || build.kind !== 'soft-gel-tip' || build.art === 'above') return [];
  return [
    {
      words: 'Lay colour and pieces on the tip instead',
      change: { kind: 'put-build', build: { ...build, art: 'above' } },
    },
  ];
}

function underMetal(
  field: NailField,
  operation: Operation,
  product: Product,
  open: readonly number[],
): FindingDraft {
  const area = rounded(open.length * field.grid.cell_mm2, 1);
  return {
    code: 'shaded-cure',
    severity: 'warn',
    operation: operation.id,
    element: operation.element,
    message: `Under the metal ${product.name} stays soft: light comes only from the side.`,
    reason:
      'Soft gel under metal never hardens: the piece comes off and what is uncured can sensitise. Glue sets in the dark.',
    figure: { words: 'soft under metal', value: area, limit: MIN_FAULT_MM2, is: 'at most', unit: 'mm²' },
  };
}

function notActivated(operation: Operation, film: Film, open: readonly number[]): FindingDraft {
  return {
    code: 'under-cured',
    severity: 'stop',
    operation: operation.id,
    element: operation.element,
    message: `${operation.words}: no activator hardens it.`,
    reason: 'Dip without activator stays soft below for hours, smears under the file and peels.',
    figure: {
      words: 'soft dip',
      value: Math.round(mostOf(open.map((cell) => film.t_um[cell]!))),
      limit: 0,
      is: 'at most',
      unit: 'µm',
    },
  };
}

function notSet(operation: Operation, product: Product, film: Film, open: readonly number[]): FindingDraft {
  const { dry_s } = settingOf(product)!;
  const least = leastOf(open.map((cell) => film.dose[cell]!));
  return {
    code: 'under-cured',
    severity: 'stop',
    operation: operation.id,
    element: operation.element,
    message: `${operation.words} is not hard by the end: it had ${Math.round(least)} of ${dry_s} s.`,
    reason: 'What dries or sets by itself needs its time before anything touches it.',
    figure: { words: 'time to harden', value: Math.round(least), limit: dry_s, is: 'at least', unit: 's' },
  };
}
