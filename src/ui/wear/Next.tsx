'use client';
import { Button, SegmentedControl } from '@mantine/core';
import { IconCalendarPlus, IconDownload, IconEraser, IconRepeat } from '@tabler/icons-react';
import { useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import { nailWords, NAILS, type NailName } from '@/core/model/names';
import type { Worn } from '@/core/model/wear';
import { wayOnOf, WAYS_ON, type WayOn } from '@/core/wear/follow';
import { dueOf, growthOn } from '@/core/wear/growth';
import { infillOf } from '@/core/wear/infill';
import { weekFile } from '@/core/wear/weekFile';
import { anewOf } from '@/core/wear/removal';
import { makeFor } from '@/data/clients';
import { addSet } from '@/data/sets';
import { useClientOf } from '../clients/useClients';
import { downloadText, fileName } from '../kit/download';
import { go } from '../kit/Go';
import { notDone } from '../kit/notify';
import { pathOf } from '../kit/route';
import { GrowsOut } from './GrowsOut';
import { useAllWorn } from './useWorn';
import classes from './WearView.module.css';

const WAY_WORDS: Record<WayOn, string> = { fill: 'Filled', mend: 'Mended', new: 'Made new' };

/** When it is due, and the set that follows. */
export function Next({ set, worn, nail }: { set: SetDocument; worn: Worn; nail: NailName }) {
  const { all } = useAllWorn();
  const client = useClientOf(set.id);
  const growth = growthOn(worn, all ?? []);
  const [ways, setWays] = useState<Partial<Record<NailName, WayOn>>>({});
  const due = dueOf(worn, growth);
  if (!due) return null;
  async function make(next: SetDocument) {
    const id = await addSet(next);
    if (client) await makeFor(id, client.id);
    go(pathOf({ kind: 'set', id, view: 'hands' }));
  }
  const on = due.to < today() ? today() : due.to;
  const broken = NAILS.filter((name) => set.nails[name].in_work && wayOnOf(worn, name) !== 'fill');
  const wayOn = (name: NailName) => ways[name] ?? wayOnOf(worn, name);
  return (
    <section className={classes.next} aria-label="What comes next" data-testid="due">
      <h3>What comes next</h3>
      <p>
        Due between <b>{dayWords(due.from)}</b> and <b>{dayWords(due.to)}</b>, for {due.why}
      </p>
      {broken.map((name) => (
        <div key={name} className={classes.wayOn}>
          <span>{upperFirst(nailWords(name))}</span>
          <SegmentedControl
            aria-label={`What becomes of the ${nailWords(name)}`}
            value={wayOn(name)}
            data={WAYS_ON.map((value) => ({ value, label: WAY_WORDS[value] }))}
            onChange={(way) => setWays({ ...ways, [name]: way as WayOn })}
          />
        </div>
      ))}
      <div className={classes.ask}>
        <Button
          leftSection={<IconRepeat size={18} />}
          onClick={() => void make(infillOf(set, worn, on, growth, wayOn)).catch(notDone)}
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
            downloadText(
              `${fileName(worn.title)}, due.ics`,
              weekFile([{ kind: 'due', set: worn.set, title: worn.title, on: due.to, due }], new Date()),
            )
          }
        >
          Calendar file
        </Button>
      </div>
      <GrowsOut set={set} worn={worn} due={due} growth={growth} nail={nail} />
    </section>
  );
}
