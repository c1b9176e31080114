'use client';
import { Button, Checkbox, Modal, SegmentedControl } from '@mantine/core';
import { IconWand } from '@tabler/icons-react';
import { useEffect, useMemo, useReducer, useState } from 'react';
import type { Wishes } from '@/core/compose/compose';
import { applyChange } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import { wornLooks } from '@/core/document/wearers';
import { NAILS, type NailName } from '@/core/model/names';
import { composed } from '@/workers/planner';
import type { Composed } from '@/workers/plannerApi';
import { notDrawn } from '../kit/notDrawn';
import { LittleHands } from '../sets/LittleHands';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './Compose.module.css';

const SHOWN = 8;

/** Who wears what, proposed: other ways to give the set's looks to ten fingers, and what the eye finds now. */
export function Compose() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        variant="default"
        mb={8}
        px={12}
        leftSection={<IconWand size={18} />}
        onClick={() => setOpen(true)}
      >
        Who wears what
      </Button>
      <Modal
        opened={open}
        onClose={() => setOpen(false)}
        size={1080}
        title="Who wears what"
        attributes={{ header: { role: 'none' } }}
      >
        {open && <Proposals onTaken={() => setOpen(false)} />}
      </Modal>
    </>
  );
}

function Proposals({ onTaken }: { onTaken: () => void }) {
  const set = useStudio((s) => s.set);
  const selected = useStudio((s) => s.selected);
  const store = useStudioStore();
  const [offered, setOffered] = useState<readonly string[]>(() => offeredFirst(set));
  const [accents, setAccents] = useState('1');
  const [keeping, setKeeping] = useState(false);
  const [answer, setAnswer] = useState<{ to: Wishes; made: Composed }>();
  const [tries, again] = useReducer((n: number) => n + 1, 0);
  const wishes = useMemo<Wishes>(
    () => ({
      looks: offered,
      accents: Number(accents),
      alike: set.practice.hands === 'alike',
      keep: keeping ? worn(set, selected) : {},
    }),
    [set, offered, accents, keeping, selected],
  );
  useEffect(() => {
    let stale = false;
    composed(set, wishes, SHOWN).then(
      (made) => {
        if (!stale) setAnswer({ to: wishes, made });
      },
      (error: unknown) => {
        if (!stale) notDrawn(error, again);
      },
    );
    return () => {
      stale = true;
    };
  }, [set, wishes, tries]);
  const found = answer?.made;
  // What was proposed for other wishes is still seen, and is no longer to be taken.
  const old = answer?.to !== wishes;
  return (
    <div className={classes.compose}>
      <div className={classes.wishes}>
        <h3>Now</h3>
        {found?.balance.map((one) => (
          <p key={one} className={classes.says}>
            {one}
          </p>
        ))}
        {found?.balance.length === 0 && <p className={classes.says}>The ten are at peace with each other.</p>}
        <h3>Wishes</h3>
        <p className={classes.label}>Nails that stand out, a hand</p>
        <SegmentedControl data={['0', '1', '2', '3']} value={accents} onChange={setAccents} />
        <p className={classes.label}>Looks to choose from</p>
        {set.looks.map((look) => (
          <Checkbox
            key={look.id}
            label={look.name}
            checked={offered.includes(look.id)}
            onChange={(event) =>
              setOffered(
                event.currentTarget.checked
                  ? [...offered, look.id]
                  : offered.filter((one) => one !== look.id),
              )
            }
          />
        ))}
        <Checkbox
          mt={8}
          label={
            selected.length === 1
              ? 'The chosen nail keeps its look'
              : `The ${selected.length} chosen nails keep theirs`
          }
          disabled={selected.length === 0}
          checked={keeping}
          onChange={(event) => setKeeping(event.currentTarget.checked)}
        />
      </div>
      <ul className={classes.proposals} aria-label="Proposals, the calmest first" aria-busy={old}>
        {found?.proposals.map(({ looks }) => (
          <li key={NAILS.map((nail) => looks[nail]).join()}>
            <button
              type="button"
              className={classes.proposal}
              disabled={old}
              aria-label={`Take: ${wordsOf(set, looks)}`}
              onClick={() => {
                store.getState().change({ kind: 'dress', looks });
                onTaken();
              }}
            >
              <LittleHands set={dressed(set, looks)} width={360} />
            </button>
          </li>
        ))}
        {found?.proposals.length === 0 && <li>Choose a look to propose with.</li>}
      </ul>
    </div>
  );
}

/** The looks that are worn, where there is more than one. */
function offeredFirst(set: SetDocument): string[] {
  const looks = wornLooks(set);
  return (looks.length > 1 ? looks : set.looks).slice(0, 6).map((look) => look.id);
}

function worn(set: SetDocument, nails: readonly NailName[]): Wishes['keep'] {
  return Object.fromEntries(
    nails.flatMap((nail) => (set.nails[nail].look === null ? [] : [[nail, set.nails[nail].look]])),
  ) as Wishes['keep'];
}

function dressed(set: SetDocument, looks: Record<NailName, string>): SetDocument {
  const next = applyChange(set, { kind: 'dress', looks });
  return next.ok ? next.value : set;
}

/** What the left hand would wear, finger by finger. */
function wordsOf(set: SetDocument, looks: Record<NailName, string>): string {
  return NAILS.slice(0, 5)
    .map((nail) => set.looks.find((look) => look.id === looks[nail])?.name ?? '')
    .join(', ');
}
