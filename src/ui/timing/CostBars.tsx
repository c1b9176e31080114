'use client';
import { Bar, BarChart, Cell, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { TimeCost } from '@/core/plan/whatCosts';

const BAR_PX = 26;
/** Those that are least are told in the table alone. */
const MOST = 12;

/** What the time goes to, longest first; what is waited for is paler. */
export function CostBars({ costs }: { costs: readonly TimeCost[] }) {
  const data = costs.slice(0, MOST).map((one) => ({ ...one, minutes: one.seconds / 60 }));
  return (
    <div role="img" aria-label="What the time goes to, longest first, as in the table beside it">
      <ResponsiveContainer width="100%" height={data.length * BAR_PX + 34}>
        <BarChart data={data} layout="vertical" margin={{ top: 0, right: 16, bottom: 0, left: 0 }}>
          <XAxis
            type="number"
            unit=" min"
            stroke="var(--soft)"
            tick={{ fill: 'var(--soft)', fontSize: 13 }}
            allowDecimals={false}
          />
          <YAxis
            type="category"
            dataKey="words"
            width={230}
            interval={0}
            stroke="var(--soft)"
            tickLine={false}
            tick={{ fill: 'var(--ink)', fontSize: 13 }}
          />
          <Bar dataKey="minutes" isAnimationActive={false}>
            {data.map(({ key, waits }) => (
              <Cell key={key} fill={waits ? 'var(--line)' : 'var(--accent)'} />
            ))}
          </Bar>
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
