import { buildKindOf, type Build } from '../craft/builds';
import type { Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import type { Shape } from '../model/shapes';
import { buildOf } from '../document/nailContext';

/**
 * Makes nails so long past the free edge: what carries its own length all together where every nail of it is meant, else
 * each nail by itself; grown nails by their free edge.
 */
export function lengthened(set: SetDocument, nails: readonly NailName[], free_mm: number): Change {
  return byBuild(set, nails, (build, names, all) => {
    if (buildKindOf(build.kind).edge === 'plate')
      return [{ kind: 'measure', nails: names, plate: { free_edge_mm: free_mm } }];
    if (!all || !('length_mm' in build))
      return [{ kind: 'nail', nails: names, put: { own_free_mm: free_mm } }];
    return [
      { kind: 'put-build', build: { ...build, length_mm: free_mm } },
      { kind: 'nail', nails: names, put: { own_free_mm: null } },
    ];
  });
}

/** Gives nails a shape: their build where every nail of it is meant, else each nail by itself; null as the build has it. */
export function shaped(set: SetDocument, nails: readonly NailName[], shape: Shape | null): Change {
  return byBuild(set, nails, (build, names, all) =>
    all && shape !== null
      ? [
          { kind: 'put-build', build: { ...build, shape } },
          { kind: 'nail', nails: names, put: { own_shape: null } },
        ]
      : [{ kind: 'nail', nails: names, put: { own_shape: shape } }],
  );
}

function byBuild(
  set: SetDocument,
  nails: readonly NailName[],
  changesOf: (build: Build, nails: NailName[], all: boolean) => Change[],
): Change {
  const builds = new Map<string, NailName[]>();
  for (const name of nails) {
    const { id } = buildOf(set, set.nails[name]);
    builds.set(id, [...(builds.get(id) ?? []), name]);
  }
  const users = (id: string) => NAILS.filter((name) => buildOf(set, set.nails[name]).id === id).length;
  return {
    kind: 'many',
    changes: [...builds].flatMap(([id, names]) => {
      const build = set.builds.find((one) => one.id === id);
      return build ? changesOf(build, names, users(id) === names.length) : [];
    }),
  };
}
