import { FAMILIES } from '../../craft/families';
import { techniqueOf } from '../../craft/techniques';
import { buildOf } from '../../document/nailContext';
import { buildKindOf, type Build } from '../../craft/builds';
import { lowerFirst } from '../../model/letters';
import type { Role } from '../../model/product';
import type { FindingDraft, Fix } from '../finding';
import type { NailCase, NailRule } from '../rule';

/** The build that is made of what stands in for each part of the kit, on the wearer's own length where it can be. */
const BUILT_OF: Partial<Record<Role, { kind: Build['kind']; over: object }>> = {
  builder: { kind: 'natural-builder', over: {} },
  putty: { kind: 'sculpted-form', over: { material: 'putty' } },
  acrylic: { kind: 'sculpted-form', over: { material: 'acrylic' } },
  dip: { kind: 'dip', over: {} },
};

/** This nail's build, and that of all that share it, in what its look wants. */
function builtOf({ set, context }: NailCase, role: Role): Fix[] {
  const of = BUILT_OF[role];
  if (!of) return [];
  const before = buildOf(set, context.nail);
  const { words, fresh } = buildKindOf(of.kind);
  const build = { ...fresh(before.id), ...of.over, shape: before.shape } as Build;
  return [{ words: `Build it as ${lowerFirst(words)}`, change: { kind: 'put-build', build } }];
}

/** A build in colour on a nail whose build has none of that product, or whose colours are not of one family. */
export const builtUnused: NailRule = {
  codes: ['built-unused', 'built-mixed'],
  asks: 'Is the nail built of what its look says?',
  check: (nail) =>
    nail.elements.flatMap((element): FindingDraft[] => {
      const { builds, products } = techniqueOf(element.kind);
      const made = builds?.(element, nail.context);
      if (!made) return [];
      const about = { element: element.id, severity: 'warn' as const };
      const { words, laid } = FAMILIES[made.product.family];
      const other = products(element)
        .map((id) => nail.context.product(id))
        .find((product) => FAMILIES[product.family].laid !== laid);
      if (other)
        return [
          {
            ...about,
            code: 'built-mixed',
            message: `${made.product.name} and ${other.name} are not laid as one.`,
            reason: `${words} and ${FAMILIES[other.family].words} are worked and hardened each in its own way.`,
          },
        ];
      if (nail.operations.some(({ product, paint }) => product === made.product.id && paint)) return [];
      return [
        {
          ...about,
          code: 'built-unused',
          message: `Nothing of this nail is built in ${made.product.name}.`,
          reason: `It is ${words}; the build of this nail is made of something else.`,
          tries: builtOf(nail, made.role),
        },
      ];
    }),
};
