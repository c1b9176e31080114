'use client';
import '../kit/tableStyles';
import { Button, Checkbox, Table } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { IconDownload, IconPrinter } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { tableCsv } from '@/core/files/tableCsv';
import { dayWords, today } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import { amountWords } from '@/core/stock/amounts';
import { newEntryOf } from '@/core/stock/newEntry';
import { onTable, type TableLine } from '@/core/stock/onTable';
import { freeId } from '@/core/model/freeId';
import { putOnShelf } from '@/data/shelf';
import { putSupplies } from '@/data/supplies';
import { useRuledOut } from '../clients/useRuledOut';
import { downloadText, fileName } from '../kit/download';
import { Go } from '../kit/Go';
import { notKept } from '../kit/notify';
import { clockWords } from '@/core/model/times';
import type { TableProps } from './props';
import { MetalSheen } from '../shelf/Bottle';
import { StockFields } from './StockFields';
import { Thing } from './Thing';
import classes from './TableView.module.css';

/** What goes on the table, in order of first use, and how it stands with the shelf. */
export function LayOut({ set, needs, stock }: TableProps) {
  const on = set.appointment?.on ?? today();
  const lines = useMemo(() => onTable(needs, stock, on), [needs, stock, on]);
  const [laid, setLaid] = useLocalStorage<string[]>({ key: `laid ${set.id}`, defaultValue: [] });
  const [open, setOpen] = useState<string>();
  const { client, ruledOut } = useRuledOut();
  const ruled = new Map(ruledOut.map(({ product, words }) => [`product ${product.id}`, words]));
  const toSee = lines.filter(
    ({ key, standing, past }) =>
      standing === 'missing' || standing === 'short' || past?.gone === true || ruled.has(key),
  );
  const lay = (key: string) =>
    setLaid(laid.includes(key) ? laid.filter((one) => one !== key) : [...laid, key]);
  const put = (line: TableLine) => {
    const taken = [...stock.supplies, ...stock.shelf.map(({ product }) => product)];
    const made = newEntryOf(line, (wanted) => freeId(wanted, taken));
    if (!made) return;
    (('shelf' in made ? putOnShelf([made.shelf]) : putSupplies([made.supply])) as Promise<void>)
      .then(() => setOpen(line.key))
      .catch(notKept);
  };
  return (
    <>
      <p className={classes.lead} data-testid="table-says">
        {lines.length} things, {laid.filter((key) => lines.some((line) => line.key === key)).length} laid out.{' '}
        {toSee.length > 0 ? (
          <b>
            {toSee.length === 1 ? 'One is' : `${toSee.length} are`} wanting or past{' '}
            {toSee.length === 1 ? 'its' : 'their'} date.
          </b>
        ) : (
          'Nothing is wanting that was counted.'
        )}{' '}
        Amounts hold what stays in brush, palette and wipe.
      </p>
      <div className={`${classes.head} ${classes.noPrint}`}>
        <Button variant="default" leftSection={<IconPrinter size={18} />} onClick={() => window.print()}>
          Print
        </Button>
        <Button
          variant="default"
          leftSection={<IconDownload size={18} />}
          onClick={() => downloadText(`${fileName(set.title)}, table.csv`, tableCsv(lines))}
        >
          CSV
        </Button>
        <Go href="/shopping">What to buy, for all that is planned</Go>
      </div>
      <MetalSheen />
      <Table className={`${classes.table} ${classes.lay}`} data-testid="table">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>
              <span className={classes.soft}>Laid</span>
            </Table.Th>
            <Table.Th>From</Table.Th>
            <Table.Th w="34%">What</Table.Th>
            <Table.Th className={classes.figure}>Takes</Table.Th>
            <Table.Th>On the shelf</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {lines.map((line) => (
            <Line
              key={line.key}
              line={line}
              laid={laid.includes(line.key)}
              onLay={() => lay(line.key)}
              open={open === line.key}
              onOpen={() => setOpen(open === line.key ? undefined : line.key)}
              onPut={() => put(line)}
              ruledOut={
                ruled.get(line.key) && `not on ${client?.name ?? 'these hands'}: ${ruled.get(line.key)}`
              }
            >
              {line.place && <StockFields line={line} place={line.place} stock={stock} />}
            </Line>
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}

interface LineProps {
  line: TableLine;
  laid: boolean;
  onLay: () => void;
  open: boolean;
  onOpen: () => void;
  onPut: () => void;
  ruledOut: string | undefined;
  children: React.ReactNode;
}

function Line({ line, laid, onLay, open, onOpen, onPut, ruledOut, children }: LineProps) {
  const { words, amount, on_nails, unit, first_s, place } = line;
  const lost = Math.round((1 - on_nails / amount) * 100);
  return (
    <>
      <Table.Tr data-laid={laid || undefined}>
        <Table.Td w={48}>
          <Checkbox aria-label={`Laid out: ${words}`} checked={laid} onChange={onLay} />
        </Table.Td>
        <Table.Td w={76}>{clockWords(first_s)}</Table.Td>
        <Table.Td>
          {place ? (
            <button type="button" className={classes.words} aria-expanded={open} onClick={onOpen}>
              <Thing {...line} />
              <bdi>{upperFirst(words)}</bdi>
            </button>
          ) : (
            <span className={classes.words}>
              <Thing {...line} />
              <bdi>{upperFirst(words)}</bdi>
            </span>
          )}
        </Table.Td>
        <Table.Td className={classes.figure} title={lostWords(on_nails, lost)}>
          {amountWords(amount, unit)}
        </Table.Td>
        <Table.Td>
          <Standing line={line} onPut={onPut} ruledOut={ruledOut} />
        </Table.Td>
      </Table.Tr>
      {open && place && (
        <Table.Tr>
          <Table.Td colSpan={5}>{children}</Table.Td>
        </Table.Tr>
      )}
    </>
  );
}

function lostWords(on_nails: number, lost: number): string | undefined {
  if (on_nails === 0 || lost === 0) return undefined;
  return `${lost} % of it stays in brush, palette or wipe`;
}

/** How it stands, in words; never by colour alone. */
function Standing({
  line,
  onPut,
  ruledOut,
}: {
  line: TableLine;
  onPut: () => void;
  ruledOut: string | undefined;
}) {
  const { standing, left, amount, unit, past, of, place } = line;
  return (
    <span className={classes.standing}>
      {ruledOut && <span className={classes.bad}>■ {ruledOut}</span>}
      {past && (
        <span className={past.gone ? classes.bad : classes.look}>
          {past.gone ? '■ past its date: ' : '▲ '}
          {past.by === 'opened' ? 'good until' : 'use by'} {dayWords(past.good_until)}
        </span>
      )}
      {standing === 'enough' && <span>{amountWords(left!, unit)}</span>}
      {standing === 'low' && (
        <span className={classes.look}>▲ {amountWords(left!, unit)}, not enough for another</span>
      )}
      {standing === 'short' && (
        <span className={classes.bad}>
          {left! < 0
            ? `■ ${amountWords(-left!, unit)} more was taken than was counted: count it`
            : `■ ${amountWords(left!, unit)} there, ${amountWords(amount - left!, unit)} short`}
        </span>
      )}
      {standing === 'missing' && (
        <>
          <span className={classes.bad}>■ not on the shelf</span>
          {of.kind !== 'tip' && (
            <Button variant="default" size="compact-md" className={classes.noPrint} onClick={onPut}>
              Put it there
            </Button>
          )}
        </>
      )}
      {standing === 'not-counted' && (
        <span className={classes.soft}>{place ? 'not counted' : 'kept on no shelf'}</span>
      )}
    </span>
  );
}
