'use client';
import { Button, Checkbox } from '@mantine/core';
import { lookOf } from '@/core/compile/prepare';
import { lowerFirst, upperFirst } from '@/core/model/letters';
import { twinWearsIt } from '@/core/document/bothHands';
import { fingersWords } from '@/core/model/names';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { elementWords } from './elementWords';
import { Mirror } from './Mirror';
import { ReferencePicture } from './ReferencePicture';

const ROW = { body: { minHeight: 44, alignItems: 'center' } } as const;

/** What is this nail's own: whether it is worked on, what of its look it leaves off, what it has otherwise. */
export function NailOnly() {
  const set = useSettled((now) => now);
  const focus = useStudio((s) => s.focus);
  const selected = useStudio((s) => s.selected);
  const ownOnly = useStudio((s) => s.ownOnly);
  const alike = useStudio((s) => s.bothHands) && twinWearsIt(set, focus);
  const openLook = useStudio((s) => s.openLook);
  const store = useStudioStore();
  const { change, changeWorn } = store.getState();
  const nail = set.nails[focus];
  const look = lookOf(set, nail);
  const targets = selected.length > 0 ? selected : [focus];
  return (
    <>
      {look?.id === openLook && (
        <Checkbox
          label={alike ? `${upperFirst(fingersWords(focus))} only` : 'This nail only'}
          checked={ownOnly}
          styles={ROW}
          onChange={(event) => store.setState({ ownOnly: event.currentTarget.checked })}
        />
      )}
      {look?.elements.map((element) => {
        const own = nail.changes.find((one) => one.element === element.id);
        const words = elementWords(element, look, set.kit.products);
        if (own && 'options' in own)
          return (
            <Button
              key={element.id}
              variant="default"
              onClick={() => {
                changeWorn({ kind: 'clear-nail-change', nail: focus, element: element.id });
                store.setState({ ownOnly: false });
              }}
            >
              {words} as the look has it
            </Button>
          );
        if (look.elements.length < 2) return null;
        return (
          <Checkbox
            key={element.id}
            label={`Wears its ${lowerFirst(words)}`}
            checked={!own}
            styles={ROW}
            onChange={() =>
              changeWorn(
                own
                  ? { kind: 'clear-nail-change', nail: focus, element: element.id }
                  : { kind: 'nail-change', nail: focus, change: { element: element.id, leave_off: true } },
              )
            }
          />
        );
      })}
      <Checkbox
        label={targets.length > 1 ? `Work on these ${targets.length} nails` : 'Work on this nail'}
        checked={nail.in_work}
        styles={ROW}
        onChange={() => change({ kind: 'in-work', nails: targets, in_work: !nail.in_work })}
      />
      {selected.length === 2 && (
        <Button
          variant="default"
          onClick={() => changeWorn({ kind: 'swap', nails: [selected[0]!, selected[1]!] })}
        >
          Swap these two
        </Button>
      )}
      <ReferencePicture />
      <Mirror />
    </>
  );
}
