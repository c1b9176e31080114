'use client';
import { Button, Modal, TextInput } from '@mantine/core';
import { useState } from 'react';
import { equalLengths } from '@/core/compile/lengths';
import { measureAll } from '@/core/document/changes';
import { NAILS } from '@/core/model/names';
import { platesOf } from '@/core/starter/oneBreath';
import { MoreMenu } from '../kit/MoreMenu';
import { useStudio, useStudioStore } from '../studio/studio';

/** What is done to whole hands at once. */
export function HandsMenu() {
  const store = useStudioStore();
  const { change } = store.getState();
  const selected = useStudio((s) => s.selected);
  const nails = selected.length > 1 ? selected : NAILS;
  const who = selected.length > 1 ? `the ${selected.length} chosen nails` : 'all ten nails';
  const [saying, setSaying] = useState(false);
  return (
    <>
      <MoreMenu
        label="More for the hands"
        entries={[
          { key: 'said', words: 'Say tip sizes in one breath', onPick: () => setSaying(true) },
          {
            key: 'mm',
            words: `Make ${who} equally long`,
            onPick: () => change(equalLengths(store.getState().set, nails, 'mm')),
          },
          {
            key: 'share',
            words: `Make ${who} as long for their beds`,
            onPick: () => change(equalLengths(store.getState().set, nails, 'share')),
          },
          {
            key: 'left',
            words: 'Copy the left hand’s measures to the right',
            onPick: () => change({ kind: 'copy-plates', from: 'left' }),
          },
          {
            key: 'right',
            words: 'Copy the right hand’s measures to the left',
            onPick: () => change({ kind: 'copy-plates', from: 'right' }),
          },
        ]}
      />
      {saying && <OneBreath onClose={() => setSaying(false)} />}
    </>
  );
}

/** "3 6 5 6 9": ten plates from the sizes an artist knows by heart. */
function OneBreath({ onClose }: { onClose: () => void }) {
  const store = useStudioStore();
  const [said, setSaid] = useState('');
  const [fault, setFault] = useState<string>();
  function take() {
    const { set, change } = store.getState();
    const plates = platesOf(said, set.kit.tips[0]);
    if (!plates.ok) {
      setFault(plates.faults[0]!.message);
      return;
    }
    change(measureAll(plates.value));
    onClose();
  }
  return (
    <Modal opened onClose={onClose} title="Tip sizes in one breath" centered>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        <TextInput
          data-autofocus
          label="Thumb to little finger; ten numbers for each hand its own"
          placeholder="1 5 4 5 8"
          value={said}
          error={fault}
          onChange={(event) => setSaid(event.currentTarget.value)}
        />
        <Button type="submit" mt="md" fullWidth>
          Measure the hands by them
        </Button>
      </form>
    </Modal>
  );
}
