'use client';
import '../kit/tableStyles';
import { Button, Table } from '@mantine/core';
import { useState } from 'react';
import { moneyWords } from '@/core/model/money';
import { upperFirst } from '@/core/model/letters';
import { amountWords } from '@/core/stock/amounts';
import type { Material } from '@/core/stock/cost';
import { placeOf, type Place } from '@/core/stock/held';
import { changeOnShelf } from '@/data/shelf';
import { changeSupply } from '@/data/supplies';
import { notKept } from '../kit/notify';
import { StoredFigure } from '../kit/StoredFigure';
import type { TableProps } from './props';
import { Thing } from './Thing';
import classes from './TableView.module.css';

/** What the material costs, thing by thing; and where a price is wanting, the place to note it. */
export function MaterialTable({
  needs,
  stock,
  material,
  currency,
}: Pick<TableProps, 'needs' | 'stock'> & { material: Material; currency: string }) {
  const [noting, setNoting] = useState(false);
  const cost = new Map(material.lines.map((line) => [line.key, line.cents]));
  const placed = needs.map((need) => ({ need, place: placeOf(need, stock) }));
  const wanting = placed.filter(({ need, place }) => place && !cost.has(need.key));
  const shown = noting
    ? placed.filter(({ place }) => place)
    : placed.filter(({ need }) => cost.has(need.key));
  return (
    <section aria-label="The material">
      <h3>The material</h3>
      {shown.length > 0 && (
        <div className={classes.across}>
          <Table className={classes.table} data-testid="material">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>What</Table.Th>
                <Table.Th className={classes.figure}>Takes</Table.Th>
                {noting && <Table.Th>A full one holds</Table.Th>}
                {noting && <Table.Th>Its price, {currency}</Table.Th>}
                <Table.Th className={classes.figure}>Costs</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {shown.map(({ need, place }) => (
                <Table.Tr key={need.key}>
                  <Table.Td>
                    <span className={classes.words}>
                      <Thing {...need} />
                      {upperFirst(need.words)}
                    </span>
                  </Table.Td>
                  <Table.Td className={classes.figure}>{amountWords(need.amount, need.unit)}</Table.Td>
                  {noting && place && <Noted words={need.words} place={place} />}
                  <Table.Td className={classes.figure}>
                    {cost.has(need.key) ? moneyWords(cost.get(need.key)!, currency) : ''}
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </div>
      )}
      {shown.length === 0 && <p className={classes.soft}>No price of what this set takes is noted yet.</p>}
      <Button variant="default" mt="sm" onClick={() => setNoting(!noting)}>
        {noting
          ? 'Done'
          : wanting.length > 0
            ? `Note what ${wanting.length === 1 ? 'one thing costs' : `${wanting.length} things cost`}`
            : 'Change what they cost'}
      </Button>
    </section>
  );
}

/** What a full one holds and cost, where it stands on the shelf. */
function Noted({ words, place }: { words: string; place: Place }) {
  const put = (own: object) =>
    void (place.table === 'shelf' ? changeOnShelf : changeSupply)(place.id, (now: object) => ({
      ...now,
      ...own,
    })).catch(notKept);
  const holds = place.item ? (place.item.holds ?? '') : (place.packNoted ?? '');
  return (
    <>
      <Table.Td w={150}>
        <StoredFigure
          label={`A full one holds: ${words}`}
          quiet
          value={holds}
          min={0.1}
          max={99999}
          onPut={(holds) => put(place.item ? { holds } : { pack: holds })}
        />
      </Table.Td>
      <Table.Td w={150}>
        <StoredFigure
          label={`Price: ${words}`}
          quiet
          value={place.item ? (place.item.price ?? '') : (place.priceNoted ?? '')}
          min={0}
          max={99999}
          onPut={(price) => put({ price })}
        />
      </Table.Td>
    </>
  );
}
