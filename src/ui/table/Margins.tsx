'use client';
import '../kit/tableStyles';
import { Table } from '@mantine/core';
import { moneyWords } from '@/core/model/money';
import type { Pricing } from '@/core/model/pricing';
import type { Material } from '@/core/stock/cost';
import { marginsOf } from '@/core/stock/margins';
import type { Price } from '@/core/stock/price';
import type { TableProps } from './props';
import classes from './TableView.module.css';

/** What each look leaves of the price. */
export function Margins({
  set,
  plan,
  needs,
  material,
  price,
  pricing,
}: TableProps & { material: Material; price: Price; pricing: Pricing }) {
  const work = price.lines.find(({ what }) => what === 'work')?.cents ?? 0;
  const margins = marginsOf(set, plan, needs, material, {
    net_cents: price.total_cents - price.tax_cents,
    work_cents: work,
  });
  const money = (cents: number) => moneyWords(cents, pricing.currency);
  if (margins.length === 0) return null;
  return (
    <section aria-label="What each look leaves">
      <h3>What each look leaves</h3>
      <div className={classes.across}>
        <Table className={classes.table}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Look</Table.Th>
              <Table.Th className={classes.figure}>Of the price</Table.Th>
              <Table.Th className={classes.figure}>Its work</Table.Th>
              <Table.Th className={classes.figure}>Its material</Table.Th>
              <Table.Th className={classes.figure}>Leaves</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {margins.map((one) => (
              <Table.Tr key={one.look}>
                <Table.Td>
                  {one.name}, {one.nails.length === 1 ? 'one nail' : `${one.nails.length} nails`}
                </Table.Td>
                <Table.Td className={classes.figure}>{money(one.price_cents)}</Table.Td>
                <Table.Td className={classes.figure}>{money(one.work_cents)}</Table.Td>
                <Table.Td className={classes.figure}>{money(one.material_cents)}</Table.Td>
                <Table.Td className={`${classes.figure} ${one.margin_cents < 0 ? classes.bad : ''}`}>
                  {money(one.margin_cents)}
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
    </section>
  );
}
