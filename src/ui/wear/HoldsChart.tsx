'use client';
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { mostOf } from '@/core/model/extent';
import type { WornGroup } from '@/core/wear/groups';

const HEIGHT_PX = 300;
/** Told apart by dash as well as by colour. */
const LINES = [
  { stroke: 'var(--accent)' },
  { stroke: 'var(--ink)', strokeDasharray: '8 4' },
  { stroke: 'var(--soft)', strokeDasharray: '2 4' },
  { stroke: 'var(--warn)', strokeDasharray: '12 4 2 4' },
];

/** The share that holds, day by day; the table below says the same. */
export function HoldsChart({ groups }: { groups: readonly WornGroup[] }) {
  const last = mostOf(groups.flatMap(({ nails }) => nails.map(({ days }) => days)));
  return (
    <div role="img" aria-label="Share of nails that hold, day by day, as in the table below">
      <ResponsiveContainer width="100%" height={HEIGHT_PX}>
        <LineChart margin={{ top: 12, right: 24, bottom: 4, left: 0 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis
            type="number"
            dataKey="days"
            domain={[0, Math.max(7, last)]}
            unit=" days"
            stroke="var(--soft)"
            tick={{ fill: 'var(--soft)', fontSize: 13 }}
            allowDuplicatedCategory={false}
          />
          <YAxis
            domain={[0, 100]}
            unit=" %"
            width={56}
            stroke="var(--soft)"
            tick={{ fill: 'var(--soft)', fontSize: 13 }}
          />
          <Legend formatter={(name: string) => <span style={{ color: 'var(--ink)' }}>{name}</span>} />
          {groups.map(({ name, steps, nails }, i) => (
            <Line
              key={name}
              name={name}
              data={[
                { days: 0, percent: 100 },
                ...steps.map(({ days, holds }) => ({ days, percent: holds * 100 })),
                {
                  days: mostOf(nails.map(({ days }) => days)),
                  percent: (steps.at(-1)?.holds ?? 1) * 100,
                },
              ]}
              dataKey="percent"
              type="stepAfter"
              dot={false}
              strokeWidth={2.5}
              isAnimationActive={false}
              {...LINES[i % LINES.length]}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
