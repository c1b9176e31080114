'use client';
import { Button, Modal, Radio } from '@mantine/core';
import dayjs from 'dayjs';
import { Fragment, useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { faultWords } from '@/core/model/placeWords';
import type { BackedUp } from '@/core/files/backup';
import { upperFirst } from '@/core/model/letters';
import { nameOf, takeIn, type Differing, type Sides } from '@/data/backup';
import { TABLES, type TableName } from '@/data/tables';
import { notify, notKept } from '../kit/notify';
import type { ReadBackup } from './readFile';
import classes from './SetsView.module.css';

type Choice = 'both' | 'backup';

/** What a backup would bring, before anything is stored. */
export function BackupChoice({ read, onClose }: { read: ReadBackup; onClose: () => void }) {
  const [differing, setDiffering] = useState<Choice>('both');
  const [fault, setFault] = useState<string>();
  const { sets, tables } = read.preview;
  const others = tables.reduce((sum, { sides }) => sum + sides.differing.length, 0);
  const copies = tables.reduce(
    (sum, { table, sides }) => sum + (TABLES[table].backup?.copy ? sides.differing.length : 0),
    0,
  );
  const differs = sets.differing.length + others > 0;
  const replaces = differing === 'backup';
  const brings = ({ fresh, differing: other }: Sides<object>, copied: boolean) =>
    fresh.length + (copied || replaces ? other.length : 0);
  const more = [
    ...counted(brings(sets, true), 'set', 'sets'),
    ...tables.flatMap(({ table, sides }) => {
      const { words, many, backup } = TABLES[table];
      const count = brings(sides, backup?.copy !== undefined);
      return backup?.words ? (count > 0 ? [backup.words] : []) : counted(count, words, many);
    }),
  ].join(', ');
  const nameHere = (table: TableName, row: object) => {
    if (TABLES[table].backup?.byCount) return undefined;
    const name = nameOf(table, row);
    return `“${read.backup.sets.find(({ document }) => document.id === name)?.document.title ?? name}”`;
  };

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
        {tables.map(({ table, sides }) => {
          const words = upperFirst(TABLES[table].backup?.words ?? TABLES[table].many);
          return (
            <Fragment key={table}>
              <Line words={`${words}, added`} names={sides.fresh.map((row) => nameHere(table, row))} />
              <Line
                words={`${words}, saying other things here`}
                names={sides.differing.map((one) => `“${nameOf(table, one.there)}” (${whereApart(one)})`)}
              />
            </Fragment>
          );
        })}
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
            label={`Keep what is here${sets.differing.length + copies > 0 ? '; the backup’s sets and cards come as copies' : ''}`}
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

const titleOf = ({ document }: BackedUp) => `“${document.title}”`;

function whichIsNewer({ there, here }: Differing<BackedUp>): string {
  const day = (one: BackedUp) => dayjs(one.changed_at).format('D MMMM, HH:mm');
  if (here.changed_at > there.changed_at)
    return `newer here (${day(here)}; the backup’s is of ${day(there)})`;
  if (here.changed_at < there.changed_at) return `newer in the backup (${day(there)}; here ${day(here)})`;
  return 'of the same moment';
}

/** What two records of one thing do not agree about, by their fields' names. */
function whereApart(both: Differing<object>): string {
  const [there, here] = [flat(both.there), flat(both.here)];
  const keys = [...new Set([...Object.keys(there), ...Object.keys(here)])];
  const at = (one: Record<string, unknown>, key: string) => JSON.stringify(one[key]);
  return keys
    .filter((key) => at(there, key) !== at(here, key))
    .map((key) => key.replace(/_(mm|um|s|deg|on)$/, '').replaceAll('_', ' '))
    .join(', ');
}

/** A product's own fields beside those of its place on the shelf. */
function flat(row: object): Record<string, unknown> {
  const { product, ...rest } = row as { product?: object };
  return { ...product, ...rest };
}

/** "2 sets", or nothing where there are none. */
function counted(count: number, one: string, many: string): string[] {
  return count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
}
