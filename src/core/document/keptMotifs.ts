import type { KeptMotif } from '../craft/keptMotif';
import { techniqueOf, type Element } from '../craft/techniques';
import type { Change } from './changes';
import type { SetDocument } from './document';

/** The elements of a set that were taken from one motif of the library, with the looks they are in. */
export function takenFrom(set: SetDocument, kept: string): { look: string; element: Element }[] {
  return set.looks.flatMap((look) =>
    look.elements
      .filter((element) => techniqueOf(element.kind).library?.taken(element) === kept)
      .map((element) => ({ look: look.id, element })),
  );
}

/** All of them drawn as the motif is now, each where it was placed; nothing where none would change. */
export function drawnAlike(set: SetDocument, motif: KeptMotif): Change | undefined {
  const changes = takenFrom(set, motif.id).flatMap(({ look, element }): Change[] => {
    const next = techniqueOf(element.kind).library!.take(motif, element);
    return JSON.stringify(next) === JSON.stringify(element)
      ? []
      : [{ kind: 'put-element', look, element: next }];
  });
  if (changes.length === 0) return undefined;
  const brought = motif.colours
    .map(({ product }) => product)
    .filter(({ id }, i, all) => all.findIndex((one) => one.id === id) === i)
    .filter(({ id }) => !set.kit.products.some((one) => one.id === id))
    .map((product): Change => ({ kind: 'put-product', product }));
  return { kind: 'many', changes: [...brought, ...changes] };
}
