'use client';
import '../kit/tableStyles';
import { Button, Table } from '@mantine/core';
import { useEffect, useMemo, useState } from 'react';
import { dayWords, today } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import { messageOf } from '@/core/model/messageOf';
import { notesOn } from '@/core/model/wear';
import { groupsOf, stepOn, type WornGroup } from '@/core/wear/groups';
import { GROUPINGS, wornNails, type WornNail } from '@/core/wear/held';
import { comparedWords, logRankBySet } from '@/core/wear/survival';
import { useClients } from '../clients/useClients';
import { Go } from '../kit/Go';
import { Choice } from '../kit/Inputs';
import { late } from '../kit/late';
import { PageHead } from '../kit/PageHead';
import { pathOf } from '../kit/route';
import { useTitle } from '../kit/useTitle';
import { useAllWorn } from './useWorn';
import shelf from '../shelf/ShelfView.module.css';
import classes from './WearView.module.css';

const HoldsChart = late(() => import('./HoldsChart').then((one) => one.HoldsChart), 'The chart', {
  instead: () => <p className={classes.soft}>The chart could not be loaded; the table says the same.</p>,
});

/** So many groups are drawn; the table has all. */
const MOST_DRAWN = 4;
/** The day that the table tells of: three weeks. */
const TOLD_DAYS = 21;

/** What holds: days to the first thing that failed, by whatever nails can be told apart by. */
export function HoldsView() {
  useTitle('What holds');
  // It comes while the store is read.
  useEffect(() => void HoldsChart.bring().catch(() => undefined), []);
  const { all, fault } = useAllWorn();
  const { clients } = useClients();
  const [by, setBy] = useState('build');
  const [pair, setPair] = useState<[string, string]>();
  const nails = useMemo(() => wornNails(all ?? [], today()), [all]);
  const nameOf = (name: string) => clients?.find(({ id }) => id === name)?.name ?? name;
  const groups = useMemo(() => groupsOf(nails, by), [nails, by]);
  const shown = pair?.every((one) => groups.some(({ name }) => name === one))
    ? pair
    : ([groups[0]?.name ?? '', groups[1]?.name ?? ''] as [string, string]);
  const of = (name: string) => groups.find((one) => one.name === name);
  return (
    <main className={shelf.page}>
      <PageHead words="What holds">
        <Choice
          label="Told apart by"
          value={by}
          choices={Object.entries(GROUPINGS).map(([value, { words }]) => ({ value, label: words }))}
          onChange={(next) => {
            setBy(next);
            setPair(undefined);
          }}
        />
      </PageHead>
      {fault !== undefined && <p role="alert">It cannot be read: {messageOf(fault)}.</p>}
      {all?.length === 0 && (
        <p className={shelf.none}>
          Nothing was worn yet. A set that is done stands under Wear, and what became of its nails is noted
          there.
        </p>
      )}
      {groups.length > 0 && (
        <>
          <HoldsChart
            groups={groups.slice(0, MOST_DRAWN).map((one) => ({ ...one, name: nameOf(one.name) }))}
          />
          <Table className={classes.table} data-testid="holds">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>{GROUPINGS[by]!.words}</Table.Th>
                <Table.Th>Nails</Table.Th>
                <Table.Th>Failed</Table.Th>
                <Table.Th>Hold after {TOLD_DAYS} days</Table.Th>
                <Table.Th>Half hold for</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {groups.map((one) => (
                <Table.Tr key={one.name}>
                  <Table.Td>{upperFirst(nameOf(one.name))}</Table.Td>
                  <Table.Td>{one.nails.length}</Table.Td>
                  <Table.Td>{one.failed}</Table.Td>
                  <Table.Td>{holdsWords(one)}</Table.Td>
                  <Table.Td>
                    {one.median_days === undefined ? 'longer than was seen' : `${one.median_days} days`}
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
          {groups.length > 1 && (
            <section aria-label="Two compared" data-testid="compared">
              <h2>Two compared</h2>
              <div className={classes.ask}>
                {([0, 1] as const).map((i) => (
                  <Choice
                    key={i}
                    label={i === 0 ? 'This' : 'beside this'}
                    value={shown[i]}
                    choices={groups.map(({ name }) => ({ value: name, label: upperFirst(nameOf(name)) }))}
                    onChange={(next) => setPair(i === 0 ? [next, shown[1]] : [shown[0], next])}
                  />
                ))}
              </div>
              <p role="status">
                {shown[0] === shown[1]
                  ? 'Choose two.'
                  : comparedWords(
                      logRankBySet(of(shown[0])?.nails ?? [], of(shown[1])?.nails ?? [], ({ worn }) => worn),
                      [upperFirst(nameOf(shown[0])), upperFirst(nameOf(shown[1]))],
                    )}
              </p>
            </section>
          )}
          <Behind
            title={
              groups.length > 1 && shown[0] !== shown[1]
                ? `The sets behind ${nameOf(shown[0])} and ${nameOf(shown[1])}`
                : 'The sets behind it'
            }
            nails={shown.flatMap((name) => of(name)?.nails ?? [])}
          />
        </>
      )}
    </main>
  );
}

const MOST_LISTED = 24;

/** The sets that some nails are of, each once, the latest first. */
function Behind({ title, nails }: { title: string; nails: readonly WornNail[] }) {
  const [most, setMost] = useState(MOST_LISTED);
  const sets = [...new Set(nails.map(({ worn }) => worn))].sort((a, b) => (a.made_on < b.made_on ? 1 : -1));
  return (
    <>
      <h2>{title}</h2>
      <ul className={shelf.changes}>
        {sets.slice(0, most).map((worn) => {
          const notes = notesOn(worn);
          return (
            <li key={worn.set}>
              <Go href={pathOf({ kind: 'set', id: worn.set, view: 'wear' })}>{worn.title}</Go>, made{' '}
              {dayWords(worn.made_on)}
              {worn.off_on ? `, off ${dayWords(worn.off_on)}` : ', worn still'}
              {notes > 0 ? `, ${notes} noted` : ''}
            </li>
          );
        })}
      </ul>
      {sets.length > most && (
        <Button variant="default" onClick={() => setMost(most + MOST_LISTED * 4)}>
          {sets.length - most} more
        </Button>
      )}
    </>
  );
}

function holdsWords({ steps, nails }: WornGroup): string {
  const seen = nails.filter(({ days }) => days >= TOLD_DAYS).length;
  if (seen === 0 && steps.every(({ days }) => days > TOLD_DAYS)) return 'not seen so long yet';
  const step = stepOn(steps, TOLD_DAYS);
  if (!step) return 'all';
  const percent = (share: number) => Math.round(share * 100);
  return `${percent(step.holds)} % (${percent(step.low)} to ${percent(step.high)})`;
}
