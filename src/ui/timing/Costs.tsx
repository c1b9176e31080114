'use client';
import { SegmentedControl } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import type { Plan } from '@/core/plan/planSet';
import { whatCosts, type CostBy } from '@/core/plan/whatCosts';
import { Go } from '../kit/Go';
import { late } from '../kit/late';
import { pathOf } from '../kit/route';
import { timeWords } from '@/core/model/times';
import { useStudio } from '../studio/studio';
import classes from './TimingView.module.css';

const CostBars = late(() => import('./CostBars').then((one) => one.CostBars), 'The chart', {
  instead: () => <p className={classes.soft}>The chart could not be loaded; the table says the same.</p>,
});

const BY: { value: CostBy; label: string }[] = [
  { value: 'element', label: 'By element' },
  { value: 'nail', label: 'By nail' },
  { value: 'stage', label: 'By stage' },
];

/** What the time goes to, as a chart and as a table that leads to where it is changed. */
export function Costs({ set, plan }: { set: SetDocument; plan: Plan }) {
  const [by, setBy] = useState<CostBy>('element');
  const costs = useMemo(() => whatCosts(set, plan, by), [set, plan, by]);
  const select = useStudio((s) => s.select);
  const all = costs.reduce((sum, { seconds }) => sum + seconds, 0);
  return (
    <section aria-label="What costs most">
      <div className={classes.goal}>
        <SegmentedControl
          aria-label="Taken together"
          data={BY}
          value={by}
          onChange={(next) => setBy(next as CostBy)}
        />
      </div>
      <div className={classes.sideBySide}>
        <CostBars costs={costs} />
        <table className={classes.figuresTable} data-testid="costs">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col" className={classes.number}>
                Minutes
              </th>
              <th scope="col" className={classes.number}>
                Of it all
              </th>
            </tr>
          </thead>
          <tbody>
            {costs.map(({ key, words, seconds, nail }) => (
              <tr key={key}>
                <td>
                  {nail ? (
                    <Go
                      href={pathOf({ kind: 'set', id: set.id, view: by === 'element' ? 'design' : 'layers' })}
                      onClick={() => select([nail])}
                    >
                      {words}
                    </Go>
                  ) : (
                    words
                  )}
                </td>
                <td className={classes.number}>{timeWords(seconds)}</td>
                <td className={classes.number}>{Math.round((seconds / all) * 100)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
