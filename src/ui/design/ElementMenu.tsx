'use client';
import { partsMirrored, partsOf } from '@/core/craft/copies';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look, SetDocument } from '@/core/document/document';
import { motifSvg } from '@/core/picture/motifSvg';
import { downloadBlob, fileName } from '../kit/download';
import { MoreMenu, type MenuEntry } from '../kit/MoreMenu';
import { notKept } from '../kit/notify';
import { useSettled, useStudio, useStudioStore, type StudioStore } from '../studio/studio';
import { keepMotif, keptOf, mendMotif } from './keepMotif';
import { elementId } from './elementId';
import { pickerOf } from '@/core/starter/picker';
import { useCopying } from './useCopying';
import { useEditing } from './useEditing';

/** What can be done with an element, and with those of its parts that are chosen, besides changing its options. */
export function ElementMenu({ look, element: ofLook }: { look: Look; element: Element }) {
  const set = useSettled((now) => now);
  const held = useStudio((s) => s.openPart);
  const also = useStudio((s) => s.alsoParts);
  const copied = useStudio((s) => s.copied);
  const store = useStudioStore();
  const { copy, paste } = useCopying();
  const { element, put, own, worn, whose } = useEditing(look, ofLook);
  const { copies } = techniqueOf(element.kind);
  const chosen = held ? [held, ...also] : also;
  const count = copies ? partsOf(element, copies, chosen).length : 0;

  function copyInto(into: Look, other: Element) {
    const id = elementId(other.id.slice(0, 34), into);
    if (store.getState().change({ kind: 'put-element', look: into.id, element: { ...other, id } }))
      store.getState().openLookAt(into.id, id);
  }

  return (
    <MoreMenu
      label="More for this element"
      entries={[
        ...(copies && count > 0
          ? [
              {
                key: 'copy',
                words: `Copy ${partWords(copies.part, chosen, count)} (Ctrl C)`,
                onPick: () => copy(element, chosen),
              },
              {
                key: 'mirror',
                words: `Mirror ${partWords(copies.part, chosen, count)} over the centre line`,
                onPick: () => put(partsMirrored(element, copies, chosen)),
              },
            ]
          : []),
        ...(copied ? [{ key: 'paste', words: 'Lay what was copied (Ctrl V)', onPick: paste }] : []),
        ...(worn && !own
          ? [
              {
                key: 'own',
                words: `Change it on the ${whose} only`,
                onPick: () => store.getState().editOwnOnly(true),
              },
            ]
          : []),
        ...libraryEntries(look.id, ofLook, store),
        { key: 'again', words: 'Duplicate it here', onPick: () => copyInto(look, ofLook) },
        ...crossedBy(ofLook, set).map((other) => ({
          key: 'plaid',
          words: 'Cross it in another colour: a plaid',
          onPick: () => copyInto(look, other),
        })),
        ...set.looks
          .filter((one) => one.id !== look.id)
          .map((one) => ({
            key: one.id,
            words: `Copy it into ${one.name}`,
            onPick: () => copyInto(one, ofLook),
          })),
      ]}
    />
  );
}

/** What can be done with a drawing and the artist's own library. */
function libraryEntries(look: string, element: Element, store: StudioStore): MenuEntry[] {
  const { library } = techniqueOf(element.kind);
  if (!library) return [];
  const taken = library.taken(element);
  const svg = () => {
    const { set } = store.getState();
    const kept = keptOf(element, set, 'motif', element.id);
    downloadBlob(`${fileName(kept.name)}.svg`, new Blob([motifSvg(kept)], { type: 'image/svg+xml' }));
  };
  return [
    taken === undefined
      ? {
          key: 'keep',
          words: 'Keep it in my motifs',
          onPick: () => void keepMotif(store, look, element).catch(notKept),
        }
      : {
          key: 'mend',
          words: 'Mend my motif, here and wherever this set has it',
          onPick: () => void mendMotif(store, element).catch(notKept),
        },
    { key: 'svg', words: 'Export it as SVG', onPick: svg },
  ];
}

/** "stone 3", "3 stones": the parts that are chosen, in words. */
function partWords(part: string, chosen: readonly string[], count: number): string {
  const first = chosen.find((id) => id.startsWith(`${part}-`)) ?? '';
  return count === 1 ? `${part} ${Number(/\d+/.exec(first)?.[0]) + 1}` : `${count} ${part}s`;
}

/** Lines as they would cross these: square to them, in another colour of the kit. Nothing where it is no set of lines. */
function crossedBy(element: Element, set: SetDocument): Element[] {
  if (!('region' in element) || !('product' in element) || element.region.kind !== 'lines') return [];
  const { product } = element;
  const pick = pickerOf(set);
  const turn_deg = element.region.turn_deg > 90 ? element.region.turn_deg - 90 : element.region.turn_deg + 90;
  return [
    {
      ...element,
      product: pick({ families: ['gel-colour'], ...(product ? { beside: product } : {}) }),
      region: { ...element.region, turn_deg, crossed: false },
    },
  ];
}
