'use client';
import '../kit/tableStyles';
import { Button, Checkbox, Table } from '@mantine/core';
import { IconDownload, IconPrinter } from '@tabler/icons-react';
import { useEffect, useMemo, useState } from 'react';
import { shoppingCsv } from '@/core/files/tableCsv';
import { appointmentWords, nextFirst } from '@/core/model/appointment';
import { dayAfter, dayWords, today } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import { messageOf } from '@/core/model/messageOf';
import { centsOf, moneyWords } from '@/core/model/money';
import { amountWords } from '@/core/stock/amounts';
import type { Need } from '@/core/stock/needs';
import { shoppingList, type ToBuy } from '@/core/stock/onTable';
import { watchPlanned, type PlannedSet } from '@/data/setList';
import { needsFor } from '@/workers/planner';
import { downloadText } from '../kit/download';
import { Choice } from '../kit/Inputs';
import { PageHead } from '../kit/PageHead';
import { useTitle } from '../kit/useTitle';
import { nothingFirst, useWatched } from '../kit/useWatched';
import { Thing } from '../table/Thing';
import { MetalSheen } from './Bottle';
import { usePricing, useStock } from './useStock';
import classes from './ShelfView.module.css';

/** For how long ahead it is bought, in days; null for every set that is planned, with a day or without. */
const SPANS = [
  { value: '7', label: 'The next seven days' },
  { value: '30', label: 'The next thirty days' },
  { value: 'all', label: 'All that is planned' },
];

/** What has to be bought for the sets that are to come. */
export function ShoppingView() {
  useTitle('What to buy');
  const { stock, fault } = useStock();
  const { pricing } = usePricing();
  const { value: planned, fault: other } = useWatched(nothingFirst, watchPlanned);
  const [span, setSpan] = useState('7');
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const from = today();
  const sets = useMemo(() => {
    const until = span === 'all' ? undefined : dayAfter(from, Number(span));
    const coming = (planned ?? []).filter(
      ({ document: { appointment } }) =>
        until === undefined || (appointment && appointment.on >= from && appointment.on <= until),
    );
    return nextFirst(coming, ({ document }) => document);
  }, [planned, span, from]);
  const needs = useNeeds(sets);
  const chosen = useMemo(() => sets.filter(({ document }) => !left.has(document.id)), [sets, left]);
  const waiting = chosen.filter(({ key }) => !needs.has(key)).length;
  const list = useMemo(() => {
    const known = chosen.flatMap(({ key }) => {
      const one = needs.get(key);
      return one ? [one] : [];
    });
    return stock ? shoppingList(known, stock, from) : [];
  }, [stock, from, chosen, needs]);
  return (
    <main className={classes.page}>
      <PageHead words="What to buy">
        <Choice label="For" value={span} choices={SPANS} onChange={setSpan} />
        <Button
          variant="default"
          leftSection={<IconDownload size={18} />}
          disabled={list.length === 0}
          onClick={() => downloadText('to buy.csv', shoppingCsv(list))}
        >
          CSV
        </Button>
        <Button variant="default" leftSection={<IconPrinter size={18} />} onClick={() => window.print()}>
          Print
        </Button>
      </PageHead>
      {[fault, other].map(
        (one, i) =>
          one !== undefined && (
            <p key={i} role="alert">
              It cannot be read: {messageOf(one)}.
            </p>
          ),
      )}
      {planned && sets.length === 0 && (
        <p className={classes.none}>
          No set has its day in this time. Under Hands a set gets a day; or look at all that is planned.
        </p>
      )}
      <ul className={classes.changes} aria-label="For these sets">
        {sets.map(({ document: set }) => (
          <li key={set.id}>
            <Checkbox
              label={`${set.title}${set.appointment ? `, ${appointmentWords(set.appointment)}` : ''}`}
              checked={!left.has(set.id)}
              onChange={() => {
                const next = new Set(left);
                if (!next.delete(set.id)) next.add(set.id);
                setLeft(next);
              }}
            />
          </li>
        ))}
      </ul>
      {waiting > 0 && (
        <p role="status">
          {chosen.length - waiting} of {chosen.length} sets are worked out …
        </p>
      )}
      {sets.length > 0 && waiting === 0 && list.length === 0 && (
        <p className={classes.none}>Nothing has to be bought: all that was counted is there.</p>
      )}
      {list.length > 0 && <Bought list={list} currency={pricing.currency} />}
    </main>
  );
}

function Bought({ list, currency }: { list: readonly ToBuy[]; currency: string }) {
  const costs = list.map(({ line, packs }) => {
    const price = line.place?.price;
    const other = line.place?.currency !== undefined && line.place.currency !== currency;
    return packs === undefined || price === undefined || other ? undefined : packs * centsOf(price, currency);
  });
  const sum = costs.reduce<number>((all, one) => all + (one ?? 0), 0);
  const unknown = costs.filter((one) => one === undefined).length;
  return (
    <>
      <MetalSheen />
      <Table className={classes.table} data-testid="to-buy">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>What</Table.Th>
            <Table.Th>Wanting</Table.Th>
            <Table.Th>To buy</Table.Th>
            <Table.Th>Costs</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {list.map(({ line, wanting, packs }, i) => (
            <Table.Tr key={line.key}>
              <Table.Td>
                <span className={classes.thing}>
                  <Thing {...line} />
                  {upperFirst(line.words)}
                </span>
                {line.past?.gone && ` (what is there was good until ${dayWords(line.past.good_until)})`}
              </Table.Td>
              <Table.Td>{amountWords(wanting, line.unit)}</Table.Td>
              <Table.Td>
                {packs ?? (line.place ? 'what one holds is not noted' : 'not on the shelf yet')}
              </Table.Td>
              <Table.Td>{costs[i] === undefined ? '' : moneyWords(costs[i], currency)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <p data-testid="to-buy-sum">
        {moneyWords(sum, currency)}
        {unknown > 0
          ? `, without ${unknown === 1 ? 'one thing' : `${unknown} things`} whose price is not noted`
          : ''}
        .
      </p>
    </>
  );
}

/** What each of some sets takes, as it is worked out one after the other. */
function useNeeds(sets: readonly PlannedSet[]): ReadonlyMap<string, readonly Need[]> {
  const [known, setKnown] = useState<ReadonlyMap<string, readonly Need[]>>(new Map());
  const next = sets.find(({ key }) => !known.has(key));
  useEffect(() => {
    if (!next) return;
    let stale = false;
    const take = (needs: readonly Need[]) => {
      if (!stale) setKnown((before) => new Map(before).set(next.key, needs));
    };
    needsFor(next.document).then(take, () => take([]));
    return () => {
      stale = true;
    };
  }, [next]);
  return known;
}
