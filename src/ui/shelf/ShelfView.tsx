'use client';
import '../kit/tableStyles';
import { ActionIcon, Button, Checkbox, SegmentedControl, Table, Tabs, TextInput } from '@mantine/core';
import { useInViewport, useLocalStorage } from '@mantine/hooks';
import { IconCopy, IconDownload, IconFileImport, IconSearch } from '@tabler/icons-react';
import { startTransition, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { FAMILIES } from '@/core/craft/families';
import { SUPPLIES } from '@/core/craft/supplies';
import { MAX_FILE_BYTES, tooLarge } from '@/core/document/parse';
import { decodeText } from '@/core/files/decodeText';
import { upperFirst } from '@/core/model/letters';
import { messageOf } from '@/core/model/messageOf';
import { PRODUCT_FAMILIES, type ProductFamily } from '@/core/model/product';
import type { Fault } from '@/core/model/result';
import type { ShelfItem } from '@/core/model/shelf';
import type { Supply } from '@/core/model/supply';
import { bottlesLeft } from '@/core/stock/now';
import { firstOf, onShelf, renamed } from '@/core/starter/shelf';
import { changeOnShelf, putOnShelf, takeOffShelf } from '@/data/shelf';
import { BrokenRows } from '../kit/BrokenRows';
import { downloadText } from '../kit/download';
import { Go } from '../kit/Go';
import { FileInput } from '../kit/FileInput';
import { Faults } from '../kit/Faults';
import { late } from '../kit/late';
import { notDone, notify, notKept } from '../kit/notify';
import { PageHead } from '../kit/PageHead';
import { useBroken } from '../kit/useBroken';
import { useTitle } from '../kit/useTitle';
import { Bottles } from './Bottles';
import { BulkEdit } from './BulkEdit';
import { NewProduct } from './NewProduct';
import { ShelfRow } from './ShelfRow';
import { SuppliesList } from './SuppliesList';
import { useTakings } from './useStock';
import { useShelf, useSupplies } from './useShelf';
import { Pick } from '../kit/Pick';
import classes from './ShelfView.module.css';

const CsvChoice = late(() => import('./CsvChoice').then((module) => module.CsvChoice), 'The list');

/** So many rows are drawn at once; more come as their end is reached. */
const SHOWN_ROWS = 30;

type Order = 'name' | 'family' | 'count';
/** Products, or one kind of all else. */
type Part = 'products' | Supply['kind'];

const ON_SHELF = ['shelf', 'supplies'] as const;

/** What do I have? Every product of the artist's own, with what it needs and how much of it is left. */
export function ShelfView() {
  useTitle('Shelf');
  const { items, fault } = useShelf();
  const broken = useBroken(ON_SHELF);
  const [search, setSearch] = useState('');
  const wanted = useDeferredValue(search.trim().toLowerCase());
  const [family, setFamily] = useState<ProductFamily | ''>('');
  const [order, setOrder] = useState<Order>('family');
  const [as, setAs] = useLocalStorage<'bottles' | 'rows'>({ key: 'shelf-as', defaultValue: 'bottles' });
  const [rows, setRows] = useState(SHOWN_ROWS);
  const [open, setOpen] = useState<string>();
  const [list, setList] = useState<{ name: string; items: ShelfItem[] }>();
  const [part, setPart] = useState<Part>('products');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const { supplies, fault: suppliesFault } = useSupplies();
  const takings = useTakings();
  const [faults, setFaults] = useState<Fault[]>();
  const input = useRef<HTMLInputElement>(null);
  const { ref: atEnd, inViewport: ended } = useInViewport<HTMLButtonElement>();
  useEffect(() => {
    if (ended) startTransition(() => setRows((shown) => shown + SHOWN_ROWS));
  }, [ended]);
  const found = useMemo(() => sorted(items ?? [], wanted, family, order), [items, wanted, family, order]);

  const leftOf = (item: ShelfItem) => bottlesLeft(item, { takings: takings ?? [] });
  const put = (changed: readonly ShelfItem[]): void => void putOnShelf(changed).catch(notKept);

  function duplicate({ product }: ShelfItem) {
    const taken = new Set(items?.map((one) => one.product.id));
    const made = renamed(product, `${product.name} 2`, taken);
    putOnShelf([{ product: made, count: null, price: null, opened_on: null }])
      .then(() => setOpen(made.id))
      .catch(notKept);
  }

  function add(of: ProductFamily) {
    const made = firstOf(of, new Set(items?.map((one) => one.product.id)));
    setSearch('');
    setFamily(of);
    putOnShelf([onShelf(made)])
      .then(() => setOpen(made.id))
      .catch(notKept);
  }

  async function remove(gone: readonly ShelfItem[]) {
    await takeOffShelf(gone.map((one) => one.product.id));
    setChosen(new Set());
    const what = gone.length === 1 ? `“${gone[0]!.product.name}” is` : `${gone.length} products are`;
    notify(
      <>
        {what} off the shelf. Sets that use {gone.length === 1 ? 'it' : 'them'} keep their own copy.{' '}
        <Button variant="default" onClick={() => put(gone)}>
          Put {gone.length === 1 ? 'it' : 'them'} back
        </Button>
      </>,
    );
  }

  const picked = found.filter((one) => chosen.has(one.product.id));
  function choose(ids: readonly string[], on: boolean) {
    const next = new Set(chosen);
    for (const id of ids) {
      if (on) next.add(id);
      else next.delete(id);
    }
    setChosen(next);
  }

  async function save() {
    const { writeShelfCsv } = await import('@/core/files/shelfCsv');
    downloadText('shelf.csv', writeShelfCsv(items ?? []));
  }

  async function read(file: File) {
    if (file.size > MAX_FILE_BYTES) return setFaults([{ path: '', message: tooLarge(file.size) }]);
    const { readShelfCsv } = await import('@/core/files/shelfCsv');
    const text = decodeText(new Uint8Array(await file.arrayBuffer()));
    const parsed = text.ok ? readShelfCsv(text.value) : text;
    setFaults(parsed.ok ? undefined : parsed.faults);
    if (parsed.ok) setList({ name: file.name, items: parsed.value });
  }

  return (
    <main className={classes.page}>
      <PageHead words="Shelf">
        <Go href="/shopping">What to buy</Go>
        {part === 'products' && (
          <>
            <TextInput
              aria-label="Search products"
              placeholder="Search"
              leftSection={<IconSearch size={18} />}
              w={220}
              value={search}
              onChange={(event) => setSearch(event.currentTarget.value)}
            />
            <Pick
              aria-label="Family"
              value={family}
              onChange={(event) => setFamily(event.currentTarget.value as ProductFamily | '')}
              data={[
                { value: '', label: 'Every family' },
                ...PRODUCT_FAMILIES.map((one) => ({ value: one, label: upperFirst(FAMILIES[one].words) })),
              ]}
            />
            <NewProduct onPick={add} />
            <Button
              variant="default"
              leftSection={<IconDownload size={18} />}
              onClick={() => void save().catch(notDone)}
            >
              Save as CSV
            </Button>
            <Button
              variant="default"
              leftSection={<IconFileImport size={18} />}
              onClick={() => input.current?.click()}
            >
              Take in CSV
            </Button>
            <FileInput
              input={input}
              accept=".csv,text/csv"
              label="CSV file"
              onFile={(file) => void read(file).catch(notDone)}
            />
          </>
        )}
      </PageHead>
      <Tabs value={part} onChange={(next) => setPart((next ?? 'products') as Part)} className={classes.parts}>
        <Tabs.List>
          <Tabs.Tab value="products">Products</Tabs.Tab>
          {SUPPLIES.map((one) => (
            <Tabs.Tab key={one.kind} value={one.kind}>
              {one.many}
            </Tabs.Tab>
          ))}
        </Tabs.List>
      </Tabs>
      {[fault, suppliesFault].map(
        (one, i) =>
          one !== undefined && (
            <p key={i} role="alert">
              The shelf cannot be read: {messageOf(one)}.
            </p>
          ),
      )}
      <BrokenRows
        label="What on the shelf cannot be read"
        title={
          broken.length === 1
            ? 'One thing on the shelf cannot be read'
            : `${broken.length} things on the shelf cannot be read`
        }
        broken={broken}
      />
      {part !== 'products' && supplies && (
        <SuppliesList key={part} kind={part} supplies={supplies} takings={takings ?? []} />
      )}
      {faults && (
        <Faults title="The list was not taken in" faults={faults} onClose={() => setFaults(undefined)} />
      )}
      {part === 'products' && (
        <SegmentedControl
          aria-label="How the shelf is shown"
          value={as}
          onChange={(next) => setAs(next as typeof as)}
          data={[
            { value: 'bottles', label: 'As bottles' },
            { value: 'rows', label: 'As rows' },
          ]}
        />
      )}
      {part === 'products' && items && found.length === 0 && (
        <p className={classes.none}>Nothing on the shelf says that.</p>
      )}
      {part === 'products' && as === 'bottles' && (
        <Bottles
          items={found}
          leftOf={leftOf}
          open={open}
          onOpen={setOpen}
          onChange={(id, change) => void changeOnShelf(id, change).catch(notKept)}
          onDuplicate={duplicate}
          onRemove={(one) => void remove([one]).catch(notKept)}
        />
      )}
      {part === 'products' && as === 'rows' && (
        <>
          <Table className={classes.table} stickyHeader>
            <Table.Thead>
              <Table.Tr>
                <Table.Th className={classes.pick}>
                  <Checkbox
                    aria-label="Choose all that are listed"
                    checked={found.length > 0 && picked.length === found.length}
                    onChange={(event) =>
                      choose(
                        found.map((one) => one.product.id),
                        event.currentTarget.checked,
                      )
                    }
                  />
                </Table.Th>
                <Sortable words="Name" by="name" order={order} onOrder={setOrder} />
                <Sortable words="Family" by="family" order={order} onOrder={setOrder} />
                <Table.Th>Covers in</Table.Th>
                <Table.Th>Light</Table.Th>
                <Sortable words="Left" by="count" order={order} onOrder={setOrder} />
                <Table.Th>
                  <span className={classes.unseen}>What can be done</span>
                </Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {found.slice(0, rows).map((one) => (
                <ShelfRow
                  key={one.product.id}
                  item={one}
                  left={leftOf(one)}
                  open={open === one.product.id}
                  onOpen={() => setOpen(open === one.product.id ? undefined : one.product.id)}
                  onChange={(change) => void changeOnShelf(one.product.id, change).catch(notKept)}
                  onDuplicate={
                    <ActionIcon
                      variant="subtle"
                      color="gray"
                      aria-label={`Duplicate ${one.product.name}`}
                      title="Duplicate"
                      onClick={() => duplicate(one)}
                    >
                      <IconCopy size={20} />
                    </ActionIcon>
                  }
                  chosen={chosen.has(one.product.id)}
                  onChoose={(on) => choose([one.product.id], on)}
                  onRemove={() => void remove([one]).catch(notKept)}
                />
              ))}
            </Table.Tbody>
          </Table>
          {found.length > rows && (
            <Button variant="default" ref={atEnd} onClick={() => setRows(rows + SHOWN_ROWS)}>
              {found.length - rows} more
            </Button>
          )}
          {picked.length > 0 && (
            <BulkEdit
              chosen={picked}
              onPut={(changed) => put(changed)}
              onRemove={() => void remove(picked).catch(notKept)}
              onNone={() => setChosen(new Set())}
            />
          )}
        </>
      )}
      {list && (
        <CsvChoice
          name={list.name}
          items={list.items}
          shelf={items ?? []}
          onTake={(changed) => put(changed)}
          onClose={() => setList(undefined)}
        />
      )}
    </main>
  );
}

function Sortable({
  words,
  by,
  order,
  onOrder,
}: {
  words: string;
  by: Order;
  order: Order;
  onOrder: (order: Order) => void;
}) {
  return (
    <Table.Th aria-sort={order === by ? 'ascending' : 'none'}>
      <button type="button" className={classes.sort} onClick={() => onOrder(by)}>
        {words}
        {order === by && <span aria-hidden> ↓</span>}
      </button>
    </Table.Th>
  );
}

function sorted(
  items: readonly ShelfItem[],
  wanted: string,
  family: ProductFamily | '',
  order: Order,
): ShelfItem[] {
  const says = ({ product }: ShelfItem) =>
    `${product.name} ${FAMILIES[product.family].words}`.toLowerCase().includes(wanted);
  const byName = (a: ShelfItem, b: ShelfItem) =>
    a.product.name.localeCompare(b.product.name, 'en', { numeric: true });
  const by: Record<Order, (a: ShelfItem, b: ShelfItem) => number> = {
    name: byName,
    family: (a, b) =>
      PRODUCT_FAMILIES.indexOf(a.product.family) - PRODUCT_FAMILIES.indexOf(b.product.family) || byName(a, b),
    // What runs out first stands first; what was never counted last.
    count: (a, b) => (a.count ?? Infinity) - (b.count ?? Infinity) || byName(a, b),
  };
  return items.filter((one) => (!family || one.product.family === family) && says(one)).sort(by[order]);
}
