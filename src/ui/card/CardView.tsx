'use client';
import { Button } from '@mantine/core';
import { IconDownload, IconPrinter } from '@tabler/icons-react';
import { fingerOf, NAILS } from '@/core/model/names';
import { benchCard } from '@/core/timing/card';
import { downloadText } from '../kit/download';
import { clockWords, countWords, timeWords } from '../kit/words';
import { useStudio } from '../studio/studio';
import classes from './CardView.module.css';

/** The sheet to work from: one line for each piece of work, in the order of the sitting. */
export function CardView() {
  const set = useStudio((s) => s.set);
  const plan = useStudio((s) => s.plan);
  if (!plan) return <p className={classes.scroll}>Planning …</p>;
  const lines = benchCard(
    plan.sitting,
    NAILS.flatMap((name) => plan.operations[name]),
  );
  const cautions = [...new Set(lines.flatMap((line) => (line.caution ? [line.caution] : [])))];
  return (
    <div className={classes.scroll} tabIndex={0} role="region" aria-label="Bench card">
      <article className={classes.card}>
        <header className={classes.head}>
          <div>
            <h2>{set.title}</h2>
            <p>
              {timeWords(plan.sitting.total_s)}, between {timeWords(plan.sitting.low_s)} and{' '}
              {timeWords(plan.sitting.high_s)} · {plan.sitting.loads.length} lamp loads ·{' '}
              {countWords(plan.findings)}
            </p>
          </div>
          <Button
            className={classes.print}
            variant="default"
            h={44}
            ml="auto"
            leftSection={<IconDownload size={18} />}
            onClick={() => downloadText(`${set.id}.plan.json`, `${JSON.stringify(plan, null, 2)}\n`)}
          >
            Plan as file
          </Button>
          <Button
            className={classes.print}
            h={44}
            leftSection={<IconPrinter size={18} />}
            onClick={() => window.print()}
          >
            Print
          </Button>
        </header>
        <table className={classes.lines}>
          <thead>
            <tr>
              <th scope="col">Done</th>
              <th scope="col">At</th>
              <th scope="col">Hand</th>
              <th scope="col">Nails</th>
              <th scope="col">Do</th>
              <th scope="col">Lamp</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.number} data-load={line.kind === 'load' || undefined}>
                <td className={classes.box}>☐</td>
                <td>{clockWords(line.start_s)}</td>
                <td>{line.hand}</td>
                <td>{line.nails.length === 5 ? 'all five' : line.nails.map(fingerOf).join(', ')}</td>
                <td>{line.words}</td>
                <td className={classes.lamp}>{line.lamp_s ? `${line.lamp_s} s ${line.mode}` : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <footer className={classes.foot}>
          <h3>Take care</h3>
          <ul>
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
          <p>Follow each product’s directions, your local code and your licence; they go before this card.</p>
        </footer>
      </article>
    </div>
  );
}
