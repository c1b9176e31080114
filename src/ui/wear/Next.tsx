'use client';
import { Button } from '@mantine/core';
import { IconCalendarPlus, IconDownload, IconEraser, IconRepeat } from '@tabler/icons-react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import type { NailName } from '@/core/model/names';
import type { Worn } from '@/core/model/wear';
import { dueOf, growthOf } from '@/core/wear/growth';
import { infillOf } from '@/core/wear/infill';
import { anewOf } from '@/core/wear/removal';
import { makeFor } from '@/data/clients';
import { addSet } from '@/data/sets';
import { useClientOf } from '../clients/useClients';
import { go } from '../kit/Go';
import { notDone } from '../kit/notify';
import { pathOf } from '../kit/route';
import { saveWeek } from './dueFile';
import { GrowsOut } from './GrowsOut';
import { useAllWorn } from './useWorn';
import classes from './WearView.module.css';

/** When it is due, and the set that follows. */
export function Next({ set, worn, nail }: { set: SetDocument; worn: Worn; nail: NailName }) {
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
        Due between <b>{dayWords(due.from)}</b> and <b>{dayWords(due.to)}</b>, for {due.why}
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
          onClick={() =>
            saveWeek(`${worn.title}, due`, [
              { kind: 'due', set: worn.set, title: worn.title, on: due.to, due },
            ])
          }
        >
          Calendar file
        </Button>
      </div>
      <GrowsOut set={set} worn={worn} due={due} growth={growth} nail={nail} />
    </section>
  );
}
