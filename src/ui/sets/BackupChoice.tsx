'use client';
import { Button, Modal, Radio } from '@mantine/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { faultWords } from '@/core/model/placeWords';
import type { BackedUp } from '@/core/files/backup';
import type { ShelfItem } from '@/core/model/shelf';
import { takeIn, type Differing, type Sides } from '@/data/backup';
import { notify, notKept } from '../kit/notify';
import type { ReadBackup } from './readFile';
import classes from './SetsView.module.css';

type Choice = 'both' | 'backup';

/** What a backup would bring, before anything is stored. */
export function BackupChoice({ read, onClose }: { read: ReadBackup; onClose: () => void }) {
  const [differing, setDiffering] = useState<Choice>('both');
  const [fault, setFault] = useState<string>();
  const { sets, clients, products, supplies, motifs, benches, takings, worn, pricing } = read.preview;
  const others = [...clients.differing, ...products.differing, ...supplies.differing, ...motifs.differing]
    .length;
  const differs = sets.differing.length + others > 0;
  const replaces = differing === 'backup';
  const brings = <T,>({ fresh, differing: other }: Sides<T>, copied: boolean) =>
    fresh.length + (copied || replaces ? other.length : 0);
  const more = [
    ...counted(brings(sets, true), 'set', 'sets'),
    ...counted(brings(clients, true), 'client', 'clients'),
    ...counted(brings(products, false), 'product', 'products'),
    ...counted(brings(supplies, false), 'lamp, box or tool', 'lamps, boxes and tools'),
    ...counted(brings(motifs, false), 'motif', 'motifs'),
    ...counted(benches.length, 'record of a sitting', 'records of sittings'),
    ...counted(worn.length, 'worn set', 'worn sets'),
    ...counted(takings.length, 'taking off the shelf', 'takings off the shelf'),
    ...(pricing ? ['your prices'] : []),
  ].join(', ');

  async function take() {
    try {
      await takeIn(read.backup, differing);
      onClose();
      notify(`Taken in: ${more}.`);
    } catch (error) {
      setFault(messageOf(error));
    }
  }

  return (
    <Modal opened onClose={onClose} title="Take in a backup" size="lg" centered>
      <p>
        {read.name}, made {dayjs(read.backup.made_at).format('D MMMM YYYY, HH:mm')}.
      </p>
      <ul className={classes.preview}>
        <Line words="Not here yet, added" names={sets.fresh.map(titleOf)} />
        <Line words="Here just so, left alone" names={sets.same.map(titleOf)} />
        <Line
          words="Here, and other than in the backup"
          names={sets.differing.map((one) => `${titleOf(one.there)}, ${whichIsNewer(one)}`)}
        />
        <Line words="Clients’ cards, added" names={clients.fresh.map(named)} />
        <Line
          words="Cards that say other things here"
          names={clients.differing.map((one) => `${named(one.there)} (${whereApart(one)})`)}
        />
        <Line words="Products, put on the shelf" names={products.fresh} />
        <Line
          words="Products that are other here"
          names={products.differing.map(
            (one) =>
              `${named(one.there.product)} (${whereApart({ there: flat(one.there), here: flat(one.here) })})`,
          )}
        />
        <Line words="Lamps, boxes, pieces and tools, put on the shelf" names={supplies.fresh} />
        <Line
          words="Lamps, boxes, pieces and tools that are other here"
          names={supplies.differing.map((one) => `${named(one.there)} (${whereApart(one)})`)}
        />
        <Line words="Motifs, put into the library" names={motifs.fresh.map(named)} />
        <Line
          words="Motifs that are drawn otherwise here"
          names={motifs.differing.map((one) => named(one.there))}
        />
        <Line
          words="Records of sittings, added"
          names={benches.map(({ set }) => sittingOf(set, read.backup))}
        />
        <Line words="How sets wore, added" names={worn.map(({ title }) => title)} />
        <Line words="What sets took off the shelf, added" names={takings.map(({ title }) => title)} />
        {read.faults.map((one) => (
          <li key={faultWords(one)}>
            <b>Cannot be read, left out:</b> {faultWords(one)}
          </li>
        ))}
        {read.backup.records.length > 0 && (
          <li>
            <b>Could not be read when it was made, left out:</b>{' '}
            {read.backup.records.map((one) => `“${one.title}”`).join(', ')}
          </li>
        )}
      </ul>
      {differs && (
        <Radio.Group
          value={differing}
          onChange={(value) => setDiffering(value as Choice)}
          label="Where both differ"
          mb="md"
        >
          <Radio
            mt="xs"
            value="both"
            label={`Keep what is here${sets.differing.length + clients.differing.length > 0 ? '; the backup’s sets and cards come as copies' : ''}`}
          />
          <Radio mt="xs" value="backup" label="Take the backup’s; what is here goes into the bin" />
        </Radio.Group>
      )}
      {fault && <p role="alert">Nothing was taken in: {fault}.</p>}
      <Button fullWidth disabled={!more} onClick={() => void take().catch(notKept)}>
        {more ? `Take in ${more}` : 'Nothing to take in'}
      </Button>
    </Modal>
  );
}

/** So many names are told; of more, how many. */
const TOLD = 8;

function Line({ words, names }: { words: string; names: readonly unknown[] }) {
  if (names.length === 0) return null;
  const told = names.filter((one) => typeof one === 'string').slice(0, TOLD);
  const rest = names.length - told.length;
  return (
    <li>
      <b>{words}:</b> {told.join(', ')}
      {rest > 0 && (told.length > 0 ? ` and ${rest} more` : rest)}
    </li>
  );
}

const named = ({ name }: { name: string }) => `“${name}”`;
const titleOf = ({ document }: BackedUp) => `“${document.title}”`;
const flat = ({ product, ...rest }: ShelfItem) => ({ ...product, ...rest });

function whichIsNewer({ there, here }: Differing<BackedUp>): string {
  const day = (one: BackedUp) => dayjs(one.changed_at).format('D MMMM, HH:mm');
  if (here.changed_at > there.changed_at)
    return `newer here (${day(here)}; the backup’s is of ${day(there)})`;
  if (here.changed_at < there.changed_at) return `newer in the backup (${day(there)}; here ${day(here)})`;
  return 'of the same moment';
}

/** What two records of one thing do not agree about, by their fields' names. */
function whereApart({ there, here }: Differing<object>): string {
  const keys = [...new Set([...Object.keys(there), ...Object.keys(here)])];
  const at = (one: object, key: string) => JSON.stringify((one as Record<string, unknown>)[key]);
  return keys
    .filter((key) => at(there, key) !== at(here, key))
    .map((key) => key.replace(/_(mm|um|s|deg|on)$/, '').replaceAll('_', ' '))
    .join(', ');
}

/** "2 sets", or nothing where there are none. */
function counted(count: number, one: string, many: string): string[] {
  return count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
}

/** The title of the set that was worn, as the backup has it. */
function sittingOf(set: string, { sets }: ReadBackup['backup']): string {
  return sets.find(({ document }) => document.id === set)?.document.title ?? set;
}
