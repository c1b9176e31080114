'use client';
import { Button } from '@mantine/core';
import { IconCalendarPlus, IconDownload, IconEraser, IconRepeat } from '@tabler/icons-react';
import { useCallback } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import { nailWords } from '@/core/model/names';
import type { Worn } from '@/core/model/wear';
import { dueOf, growthOf, type Growth, type Weakest } from '@/core/wear/growth';
import { daysBetween } from '@/core/wear/held';
import { infillOf } from '@/core/wear/infill';
import { anewOf } from '@/core/wear/removal';
import { makeFor } from '@/data/clients';
import { addSet } from '@/data/sets';
import { weakestFor } from '@/workers/planner';
import { useClientOf } from '../clients/useClients';
import { go } from '../kit/Go';
import { notDone } from '../kit/notify';
import { pathOf } from '../kit/route';
import { useAnswer } from '../kit/useAnswer';
import { saveDue } from './dueFile';
import { useAllWorn } from './useWorn';
import classes from './WearView.module.css';

/** When it is due, and the set that follows. */
export function Next({ set, worn }: { set: SetDocument; worn: Worn }) {
  const { all } = useAllWorn();
  const client = useClientOf(set.id);
  const own = (all ?? []).filter((one) => worn.client !== null && one.client === worn.client);
  const growth = growthOf(own.length > 0 ? own : [worn]);
  const due = dueOf(worn, growth);
  if (!due) return null;
  async function make(next: SetDocument) {
    const id = await addSet(next);
    if (client) await makeFor(id, client.id);
    go(pathOf({ kind: 'set', id, view: 'hands' }));
  }
  const on = due.to < today() ? today() : due.to;
  return (
    <section className={classes.next} aria-label="What comes next" data-testid="due">
      <h3>What comes next</h3>
      <p>
        Due between <b>{dayWords(due.from)}</b> and <b>{dayWords(due.to)}</b>, for {due.why}{' '}
        <Strength set={set} worn={worn} to={due.to} growth={growth} />
      </p>
      <div className={classes.ask}>
        <Button
          leftSection={<IconRepeat size={18} />}
          onClick={() => void make(infillOf(set, worn, on, growth)).catch(notDone)}
        >
          Plan the infill
        </Button>
        <Button
          variant="default"
          leftSection={<IconEraser size={18} />}
          onClick={() => void make(anewOf(set, worn, on)).catch(notDone)}
        >
          Take it off, and anew
        </Button>
        <Button
          variant="default"
          leftSection={<IconCalendarPlus size={18} />}
          rightSection={<IconDownload size={16} />}
          onClick={() => saveDue(`${worn.title}, due`, [{ worn, due }])}
        >
          Calendar file
        </Button>
      </div>
    </section>
  );
}

/** What growing out does to the nail that bears it least: its apex moves off the place where it is wanted. */
function Strength({ set, worn, to, growth }: { set: SetDocument; worn: Worn; to: string; growth: Growth }) {
  const { mm_a_day, measured } = growth;
  const days = daysBetween(worn.made_on, to);
  const weakest = useAnswer(
    useCallback(
      () => weakestFor(set, worn, days, { mm_a_day, measured }).then((one): Weakest | null => one ?? null),
      [set, worn, days, mm_a_day, measured],
    ),
  );
  if (!weakest || weakest === 'failed') return null;
  return (
    <>
      The {nailWords(weakest.nail)} then carries {weakest.carries} of what a usual natural nail does; new it
      carried {weakest.carried}.
    </>
  );
}
