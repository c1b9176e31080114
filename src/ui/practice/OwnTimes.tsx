'use client';
import { Button, Table } from '@mantine/core';
import { IconDownload } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { ownHands, type OwnHands, type TimedRound } from '@/core/bench/ownTimes';
import { FAMILIES } from '@/core/craft/families';
import { ownTimesCsv } from '@/core/files/ownTimesCsv';
import { upperFirst } from '@/core/model/letters';
import { nailWords } from '@/core/model/names';
import type { OwnTime } from '@/core/model/ownTime';
import { countFrom, countRound, watchOwnLogs } from '@/data/ownTimes';
import { downloadText } from '../kit/download';
import { notDone } from '../kit/notify';
import '../kit/tableStyles';
import { nothingFirst, useWatched } from '../kit/useWatched';
import { clockWords } from '@/core/model/times';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './PracticeView.module.css';

/** How long my hands take, as the records of the bench show; a set is planned with them once it is said. */
export function OwnTimes() {
  const logs = useWatched(nothingFirst, watchOwnLogs).value;
  const own = useMemo(() => logs && ownHands(logs.benches, logs.since_ms), [logs]);
  if (!logs || !own) return null;
  return (
    <section className={classes.times} aria-label="My own times">
      <h3>My own times</h3>
      <Source own={own} />
      {own.times.length > 0 && <Shares times={own.times} />}
      <LeftOut rounds={own.rounds} />
      <div className={classes.own}>
        {own.times.length > 0 && (
          <>
            <Button
              variant="default"
              leftSection={<IconDownload size={18} />}
              onClick={() => downloadText('My own times.csv', ownTimesCsv(own.times))}
            >
              CSV
            </Button>
            <Button variant="default" onClick={() => void countFrom(Date.now()).catch(notDone)}>
              Begin anew from today
            </Button>
          </>
        )}
        {logs.since_ms > 0 && (
          <Button variant="default" onClick={() => void countFrom(0).catch(notDone)}>
            Take all sittings again
          </Button>
        )}
      </div>
    </section>
  );
}

/** What this set is planned with, and what it could be. */
function Source({ own }: { own: OwnHands }) {
  const planned = useStudio((s) => s.set.practice.own_times);
  const store = useStudioStore();
  const put = (own_times: OwnTime[] | null) =>
    store.getState().change({ kind: 'practice', practice: { own_times } });
  const same = JSON.stringify(planned) === JSON.stringify(own.times);
  return (
    <div className={classes.source}>
      <p>
        {own.times.length === 0
          ? 'Each sitting worked at the bench shows how long these hands take. From the third time on, a kind of work stands here.'
          : `${own.times.length} kinds of work, as ${own.sittings === 1 ? 'one sitting shows' : `${own.sittings} sittings show`} them. `}
        {planned
          ? same
            ? 'This set is planned with them.'
            : 'This set is planned with own times that were others.'
          : 'This set is planned by the guide and the pace above.'}
      </p>
      {own.times.length > 0 && !same && (
        <Button onClick={() => put(own.times)}>Plan this set with them</Button>
      )}
      {planned && (
        <Button variant="default" onClick={() => put(null)}>
          Back to the guide
        </Button>
      )}
    </div>
  );
}

/** The widest share that is drawn. */
const MOST_DRAWN = 2.5;

function Shares({ times }: { times: readonly OwnTime[] }) {
  const per = (share: number) => `${(Math.min(MOST_DRAWN, share) / MOST_DRAWN) * 100}%`;
  return (
    <Table>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>Work</Table.Th>
          <Table.Th>Of the guide</Table.Th>
          <Table.Th>Beside the guide</Table.Th>
          <Table.Th>Times</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {times.map(({ work, family, hand, share, from, to, times: count }) => (
          <Table.Tr key={`${work} ${family} ${hand}`}>
            <Table.Td>
              {upperFirst(work.replaceAll('-', ' '))}
              {family && `, ${FAMILIES[family].words}`}
              {hand && `, ${hand} hand`}
            </Table.Td>
            <Table.Td>
              {share} ×{' '}
              <small>
                ({from} to {to})
              </small>
            </Table.Td>
            <Table.Td className={classes.drawn}>
              <span className={classes.scale} aria-hidden>
                <i style={{ left: per(from), right: `calc(100% - ${per(to)})` }} />
                <b style={{ left: per(share) }} />
                <em style={{ left: per(1) }} />
              </span>
            </Table.Td>
            <Table.Td>{count}</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

/** So many that lie far off are named; the longest first. */
const MOST_NAMED = 6;

/** What lies far off its kind: named, and left out unless it is said to count. */
function LeftOut({ rounds }: { rounds: readonly TimedRound[] }) {
  const [all, setAll] = useState(false);
  const far = rounds.filter(({ outlier, chosen }) => outlier || chosen === false);
  if (far.length === 0) return null;
  const shown = all ? far : far.toSorted((a, b) => b.share - a.share).slice(0, MOST_NAMED);
  return (
    <>
      <h4>Far off all others of their kind</h4>
      <ul className={classes.far}>
        {shown.map((one) => (
          <li key={`${one.set} ${one.event}`}>
            <span>
              {DAY.format(one.at_ms)}, {one.nails.map(nailWords).join(', ')}: {one.words},{' '}
              {clockWords(one.took_s)}, {Math.round(one.share * 10) / 10} × the guide
            </span>
            <Button
              variant="default"
              onClick={() => void countRound(one.set, one.event, !one.counts).catch(notDone)}
            >
              {one.counts ? 'Leave it out' : 'Count it'}
            </Button>
          </li>
        ))}
      </ul>
      {far.length > shown.length && (
        <Button variant="subtle" onClick={() => setAll(true)}>
          {far.length - shown.length} more
        </Button>
      )}
    </>
  );
}

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
