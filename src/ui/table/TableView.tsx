'use client';
import { SegmentedControl } from '@mantine/core';
import { useMemo, useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { needsOf } from '@/core/stock/needs';
import { useStock } from '../shelf/useStock';
import { NoPlan } from '../studio/NoPlan';
import { useStudio } from '../studio/studio';
import { LayOut } from './LayOut';
import { PriceView } from './PriceView';
import { QuoteView } from './QuoteView';
import classes from './TableView.module.css';

type Part = 'lay' | 'price' | 'quote';
const PARTS: { value: Part; label: string }[] = [
  { value: 'lay', label: 'Lay out' },
  { value: 'price', label: 'Price' },
  { value: 'quote', label: 'Quote' },
];
const TITLES: Record<Part, string> = {
  lay: 'On the table',
  price: 'What it costs',
  quote: 'For the client',
};

/** What do I need, and what does it cost? */
export function TableView() {
  const set = useStudio((s) => s.set);
  const plan = useStudio((s) => s.plan);
  const fresh = useStudio((s) => s.planning === 'fresh');
  const { stock, fault } = useStock();
  const [part, setPart] = useState<Part>('lay');
  const needs = useMemo(() => plan && needsOf(set, plan), [set, plan]);
  if (!plan || !needs) return <NoPlan />;
  const all = { set, plan, needs, stock: stock! };
  return (
    <div
      className={classes.view}
      data-stale={!fresh || undefined}
      tabIndex={0}
      role="region"
      aria-label={TITLES[part]}
    >
      <header className={classes.head}>
        <h2>{TITLES[part]}</h2>
        <SegmentedControl
          aria-label="What is asked"
          className={classes.noPrint}
          data={PARTS}
          value={part}
          onChange={(next) => setPart(next as Part)}
        />
      </header>
      {fault !== undefined && <p role="alert">The shelf cannot be read: {messageOf(fault)}.</p>}
      {!stock && fault === undefined && <p className={classes.lead}>The shelf is read …</p>}
      {stock && part === 'lay' && <LayOut {...all} />}
      {stock && part === 'price' && <PriceView {...all} />}
      {stock && part === 'quote' && <QuoteView {...all} />}
    </div>
  );
}
