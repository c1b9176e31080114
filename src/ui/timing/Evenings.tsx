'use client';
import { Bar, BarChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Forecast } from '@/core/timing/forecast';
import { timeWords } from '@/core/model/times';

const HEIGHT_PX = 150;

/** Many evenings by when they are over; the words beside it say the same. */
export function Evenings({ forecast, planned_s }: { forecast: Forecast; planned_s: number }) {
  const data = forecast.bins.map(({ from_s, to_s, count }) => ({
    minutes: (from_s + to_s) / 120,
    count,
  }));
  const marks = [
    { s: planned_s, words: 'planned', colour: 'var(--soft)' },
    { s: forecast.half_s, words: 'half', colour: 'var(--ink)' },
    { s: forecast.nine_s, words: '9 of 10', colour: 'var(--accent)' },
  ];
  return (
    <div
      role="img"
      aria-label={`Evenings by when they are over: half in ${timeWords(forecast.half_s)}, nine of ten in ${timeWords(forecast.nine_s)}`}
    >
      <ResponsiveContainer width="100%" height={HEIGHT_PX}>
        <BarChart data={data} margin={{ top: 18, right: 12, bottom: 0, left: 12 }} barCategoryGap={1}>
          <XAxis
            dataKey="minutes"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={(minutes: number) => `${Math.round(minutes)} min`}
            tickCount={5}
            stroke="var(--soft)"
            tick={{ fill: 'var(--soft)', fontSize: 13 }}
          />
          <YAxis hide />
          <Bar dataKey="count" fill="var(--line)" isAnimationActive={false} />
          {marks.map(({ s, words, colour }) => (
            <ReferenceLine
              key={words}
              x={s / 60}
              stroke={colour}
              strokeWidth={2}
              label={{ value: words, position: 'top', fill: colour, fontSize: 13 }}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
