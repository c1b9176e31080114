'use client';
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { dayAfter, dayWords } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import { nailWords } from '@/core/model/names';
import type { Aging } from '@/core/wear/aging';
import type { Due } from '@/core/wear/growth';
import { daysBetween } from '@/core/wear/held';
import classes from './WearView.module.css';

const HEIGHT_PX = 190;
const TICK = { fill: 'var(--soft)', fontSize: 13 };
const FRAME = { margin: { top: 10, right: 12, bottom: 0, left: -12 } };
const inkOf = (name: string) => <span style={{ color: 'var(--ink)' }}>{name}</span>;

/** What nails carry by day, and how the thickness of one has moved; the words beside them say the same. */
export function AgingCharts({ aging, made_on, due }: { aging: Aging[]; made_on: string; due: Due }) {
  const [first, second] = aging;
  if (!first) return null;
  const lines = second ? [first, second] : [first];
  const byDay = first.by_day.map(({ days }, i) => ({
    days,
    ...Object.fromEntries(lines.map(({ nail, by_day }) => [nail, by_day[i]!.carries])),
  }));
  const dayOf = (days: number) => dayWords(dayAfter(made_on, days)).replace(/ \d{4}$/, '');
  const last = first.by_day.at(-1)!;
  return (
    <div className={classes.aging}>
      <figure>
        <figcaption>What it carries, of a usual natural nail</figcaption>
        <div role="img" aria-label="What it carries by day, as said above">
          <ResponsiveContainer width="100%" height={HEIGHT_PX}>
            <LineChart data={byDay} {...FRAME}>
              <CartesianGrid stroke="var(--line)" vertical={false} />
              <ReferenceArea
                x1={daysBetween(made_on, due.from)}
                x2={daysBetween(made_on, due.to)}
                fill="var(--accent)"
                fillOpacity={0.12}
                label={{ value: 'due', fill: 'var(--soft)', fontSize: 13, position: 'insideTopLeft' }}
              />
              <XAxis
                type="number"
                dataKey="days"
                domain={[0, last.days]}
                ticks={first.by_day.map(({ days }) => days)}
                tickFormatter={dayOf}
                stroke="var(--soft)"
                tick={TICK}
              />
              <YAxis domain={[0, 'auto']} stroke="var(--soft)" tick={TICK} />
              <Legend formatter={inkOf} />
              {lines.map(({ nail }, i) => (
                <Line
                  key={nail}
                  name={upperFirst(nailWords(nail))}
                  dataKey={nail}
                  stroke={i === 0 ? 'var(--accent)' : 'var(--ink)'}
                  strokeDasharray={i === 0 ? '' : '6 4'}
                  strokeWidth={2.5}
                  dot={false}
                  isAnimationActive={false}
                />
              ))}
            </LineChart>
          </ResponsiveContainer>
        </div>
      </figure>
      <figure>
        <figcaption>Thickness by mm from the cuticle: {nailWords(first.nail)}</figcaption>
        <div role="img" aria-label="Its thickness when new, and grown out">
          <ResponsiveContainer width="100%" height={HEIGHT_PX}>
            <LineChart data={first.profile} {...FRAME}>
              <CartesianGrid stroke="var(--line)" vertical={false} />
              <ReferenceLine
                x={first.bed_mm}
                stroke="var(--soft)"
                strokeDasharray="3 3"
                label={{
                  value: 'bed ends',
                  fill: 'var(--soft)',
                  fontSize: 13,
                  position: 'insideBottomRight',
                }}
              />
              <XAxis
                type="number"
                dataKey="y_mm"
                domain={[0, Math.ceil(first.profile.at(-1)?.y_mm ?? 1)]}
                stroke="var(--soft)"
                tick={TICK}
              />
              <YAxis domain={[0, 'auto']} stroke="var(--soft)" tick={TICK} />
              <Legend formatter={inkOf} />
              <Line
                name="New"
                dataKey="new_mm"
                stroke="var(--ink)"
                strokeDasharray="6 4"
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
              <Line
                name={dayOf(last.days)}
                dataKey="last_mm"
                stroke="var(--accent)"
                strokeWidth={2.5}
                dot={false}
                isAnimationActive={false}
              />
            </LineChart>
          </ResponsiveContainer>
        </div>
      </figure>
    </div>
  );
}
