'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconPin, IconPinFilled } from '@tabler/icons-react';
import type { Look } from '@/core/document/document';
import { anotherLook } from '@/core/document/onlyHere';
import { freeKey, wearersOf } from '@/core/document/wearers';
import { nailsWords, type NailName } from '@/core/model/names';
import { tidyWords } from '@/core/model/primitives';
import { MoreMenu } from '../kit/MoreMenu';
import { chosenNails } from '../studio/slices/document';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import classes from './LookHead.module.css';

/** The open look: its name, and on which nails what is done to it is done. */
export function LookHead({ look }: { look: Look }) {
  const full = useSettled((set) => freeKey(set.looks) === undefined);
  const pinned = useStudio((s) => s.pinned);
  const store = useStudioStore();
  const { change, openLookAt, pinLook } = store.getState();
  return (
    <>
      <div className={classes.bar}>
        <input
          key={look.name}
          className={classes.title}
          aria-label="Name of this look"
          defaultValue={look.name}
          onBlur={(event) => {
            const name = tidyWords(event.target.value);
            if (name && name !== look.name) change({ kind: 'put-look', look: { ...look, name } });
          }}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
        <ActionIcon
          variant="subtle"
          color="gray"
          aria-pressed={pinned}
          aria-label="Keep this look open"
          title="Keep this look open whichever nail is chosen"
          onClick={() => pinLook(!pinned)}
        >
          {pinned ? <IconPinFilled size={20} /> : <IconPin size={20} />}
        </ActionIcon>
        <MoreMenu
          label="More for this look"
          entries={[
            ...(full
              ? []
              : [
                  {
                    key: 'duplicate',
                    words: 'Duplicate this look',
                    onPick: () => {
                      const copy = anotherLook(look, store.getState().set);
                      if (copy && change({ kind: 'put-look', look: copy })) openLookAt(copy.id);
                    },
                  },
                ]),
            {
              key: 'remove',
              words: 'Remove this look',
              danger: true,
              onPick: () => {
                if (change({ kind: 'remove-look', look: look.id }))
                  openLookAt(store.getState().set.looks[0]?.id);
              },
            },
          ]}
        />
      </div>
      <Worn look={look} />
    </>
  );
}

/** On which nails the look is: the chosen ones, others as well, or none yet; and the way to make it so. */
function Worn({ look }: { look: Look }) {
  const set = useSettled((now) => now);
  const selected = useStudio((s) => s.selected);
  const bothHands = useStudio((s) => s.bothHands);
  const carried = useSettled((now, s) => s.carried?.by === 'look' && s.carried.after === now);
  const { changeWorn, onlyOnChosen } = useStudioStore().getState();
  const chosen = chosenNails({ selected, bothHands });
  const wearers = wearersOf(set, look.id);
  const here = chosen.filter((name) => wearers.includes(name));
  const elsewhere = wearers.filter((name) => !chosen.includes(name));
  return (
    <div className={classes.worn} data-carried={carried || undefined} role="status">
      <span>{wornWords(here, elsewhere)}</span>
      {here.length > 0 && elsewhere.length > 0 && freeKey(set.looks) && (
        <Button variant="default" onClick={onlyOnChosen}>
          Only on {nailsWords(here)}
        </Button>
      )}
      {here.length < chosen.length && (
        <Button onClick={() => changeWorn({ kind: 'wear', nails: selected, look: look.id })}>
          Put on {nailsWords(chosen)}
        </Button>
      )}
    </div>
  );
}

function wornWords(here: readonly NailName[], elsewhere: readonly NailName[]): string {
  if (here.length === 0)
    return elsewhere.length === 0 ? 'Worn by no nail yet.' : `Worn by ${others(elsewhere)}.`;
  if (elsewhere.length === 0) return `On ${nailsWords(here)}.`;
  return `On ${nailsWords(here)}, and also on ${others(elsewhere)}.`;
}

const others = (nails: readonly NailName[]) =>
  nails.length === 1 ? 'one more nail' : `${nails.length} more nails`;
