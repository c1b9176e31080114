'use client';
import '../kit/tableStyles';
import { Table } from '@mantine/core';
import { useCallback } from 'react';
import { moneyWords } from '@/core/model/money';
import { nailsWords } from '@/core/model/names';
import type { Pricing } from '@/core/model/pricing';
import { materialOf, type Material } from '@/core/stock/cost';
import { accentsFor } from '@/workers/planner';
import { useAnswer } from '../kit/useAnswer';
import { timeWords } from '@/core/model/times';
import type { TableProps } from './props';
import classes from './TableView.module.css';

/** What each accent costs, the set planned without it. */
export function Accents({
  set,
  stock,
  material,
  pricing,
}: TableProps & { material: Material; pricing: Pricing }) {
  const accents = useAnswer(useCallback(() => accentsFor(set), [set]));
  const money = (cents: number) => moneyWords(cents, pricing.currency);
  if (accents === 'failed') return null;
  return (
    <section aria-label="What each accent costs">
      <h3>What each accent costs</h3>
      {!accents && <p className={classes.soft}>The set is planned without each …</p>}
      {accents?.length === 0 && <p className={classes.soft}>No look has an accent.</p>}
      {accents && accents.length > 0 && (
        <div className={classes.across}>
          <Table className={classes.table} data-testid="accents">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Accent</Table.Th>
                <Table.Th>On</Table.Th>
                <Table.Th className={classes.figure}>Time</Table.Th>
                <Table.Th className={classes.figure}>Material</Table.Th>
                <Table.Th className={classes.figure}>Together</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {accents.map((one) => {
                const saved = Math.max(
                  0,
                  material.cents - materialOf(one.needs, stock, pricing.currency).cents,
                );
                const work = Math.round(((pricing.rate_cents ?? 0) * one.seconds) / 3600);
                return (
                  <Table.Tr key={`${one.look} ${one.element}`}>
                    <Table.Td>{one.words}</Table.Td>
                    <Table.Td>{nailsWords(one.nails)}</Table.Td>
                    <Table.Td className={classes.figure}>{timeWords(one.seconds)}</Table.Td>
                    <Table.Td className={classes.figure}>{money(saved)}</Table.Td>
                    <Table.Td className={classes.figure}>{money(saved + work)}</Table.Td>
                  </Table.Tr>
                );
              })}
            </Table.Tbody>
          </Table>
        </div>
      )}
    </section>
  );
}
