'use client';
import type { KeptMotif } from '@/core/craft/keptMotif';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import { drawnAlike } from '@/core/document/keptMotifs';
import type { SetDocument } from '@/core/document/document';
import { upperFirst } from '@/core/model/letters';
import { allMotifs, putMotifs } from '@/data/motifs';
import { notify } from '../kit/notify';
import type { StudioStore } from '../studio/studio';

/** An element as the library keeps it: under its own id where it was taken from there. */
export function keptOf(element: Element, set: SetDocument, id: string, name: string): KeptMotif {
  const product = (of: string) => set.kit.products.find((one) => one.id === of)!;
  return techniqueOf(element.kind).library!.keep(element, id, name, product);
}

export function newMotifId(): string {
  return `motif-${crypto.randomUUID().slice(0, 18)}`;
}

/** After what it was added as: "bow-2" is a bow. */
function nameOf({ id }: Element): string {
  return upperFirst(id.replace(/-\d+$/, '').replaceAll('-', ' '));
}

/** Keeps an element's drawing; the element is from then on one that was taken from the library. */
export async function keepMotif(store: StudioStore, look: string, element: Element): Promise<void> {
  const { set, change } = store.getState();
  const kept = keptOf(element, set, newMotifId(), nameOf(element));
  await putMotifs([kept]);
  change({ kind: 'put-element', look, element: techniqueOf(element.kind).library!.take(kept, element) });
  notify(`“${kept.name}” is in your motifs: it stands in Add, for every set.`);
}

/** Keeps the drawing as it is now in the place of what was kept, and draws it so wherever this set has it. */
export async function mendMotif(store: StudioStore, element: Element): Promise<void> {
  const { set, change } = store.getState();
  const id = techniqueOf(element.kind).library!.taken(element)!;
  const before = (await allMotifs()).find((one) => one.id === id);
  const kept = keptOf(element, set, id, before?.name ?? 'Motif');
  await putMotifs([kept]);
  const alike = drawnAlike(set, kept);
  if (alike) change(alike);
  notify(
    alike
      ? `“${kept.name}” is mended in your motifs, and wherever this set has it.`
      : `“${kept.name}” is mended in your motifs.`,
  );
}
