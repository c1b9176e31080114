'use client';
import { useState } from 'react';
import { nailWords, type NailName } from '@/core/model/names';
import type { Operation } from '@/core/craft/operation';
import type { Sitting } from '@/core/timing/sitting';
import { clockWords } from '../kit/words';
import classes from './TimingView.module.css';

const LANES = ['Left hand', 'Artist', 'Right hand', 'Lamp'] as const;
const LANE = 44;
const TOP = 24;
const LEFT = 92;
const WIDTH = 1160;

interface Bar {
  lane: number;
  start_s: number;
  end_s: number;
  words: string;
  light: boolean;
}

/** Lanes for both hands, artist and lamp. Light is violet and striped, work is ink. */
export function Lanes({
  sitting,
  operations,
}: {
  sitting: Sitting;
  operations: Record<NailName, Operation[]>;
}) {
  const [told, setTold] = useState<Bar>();
  const words = new Map(
    Object.values(operations).flatMap((list) => list.map((one) => [one.id, one] as const)),
  );
  const bars: Bar[] = [];
  for (const stroke of sitting.strokes) {
    const operation = words.get(stroke.operation)!;
    const bar = {
      start_s: stroke.start_s,
      end_s: stroke.end_s,
      words: `${nailWords(operation.nail)}: ${operation.words}`,
      light: false,
    };
    bars.push({ ...bar, lane: stroke.hand === 'left' ? 0 : 2 }, { ...bar, lane: 1 });
  }
  for (const load of sitting.loads) {
    const names = load.operations.map((id) => nailWords(words.get(id)!.nail)).join(', ');
    const bar = {
      start_s: load.start_s,
      end_s: load.end_s,
      words: `${load.mode === 'cure' ? 'Cure' : 'Flash'} ${load.end_s - load.start_s} s: ${names}`,
      light: true,
    };
    bars.push({ ...bar, lane: load.hand === 'left' ? 0 : 2 }, { ...bar, lane: 3 });
  }
  const k = (WIDTH - LEFT - 8) / Math.max(1, sitting.total_s);
  const every = sitting.total_s > 5400 ? 900 : sitting.total_s > 2400 ? 600 : 300;
  const ticks = Array.from({ length: Math.floor(sitting.total_s / every) + 1 }, (_, i) => i * every);
  const height = TOP + LANES.length * LANE + 4;
  return (
    <figure className={classes.lanes}>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        width="100%"
        role="img"
        aria-label="Lanes of the sitting"
        onPointerLeave={() => setTold(undefined)}
      >
        <defs>
          <pattern
            id="light"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" fill="var(--cure)" />
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--cure-soft)" strokeWidth="2" />
          </pattern>
        </defs>
        {ticks.map((tick) => (
          <g key={tick}>
            <line
              x1={LEFT + tick * k}
              x2={LEFT + tick * k}
              y1={TOP - 4}
              y2={height}
              stroke="var(--line)"
              strokeWidth={1}
            />
            <text x={LEFT + tick * k + 4} y={14} className={classes.tick}>
              {clockWords(tick)}
            </text>
          </g>
        ))}
        {LANES.map((lane, i) => (
          <g key={lane}>
            <text x={LEFT - 12} y={TOP + i * LANE + 27} className={classes.lane} textAnchor="end">
              {lane}
            </text>
            <line
              x1={LEFT}
              x2={WIDTH}
              y1={TOP + (i + 1) * LANE}
              y2={TOP + (i + 1) * LANE}
              stroke="var(--line)"
              strokeWidth={0.6}
            />
          </g>
        ))}
        {bars.map((bar, i) => (
          <rect
            key={i}
            x={LEFT + bar.start_s * k}
            y={TOP + bar.lane * LANE + 8}
            width={Math.max(0.8, (bar.end_s - bar.start_s) * k - 0.5)}
            height={LANE - 16}
            fill={bar.light ? 'url(#light)' : bar.lane === 1 ? 'var(--soft)' : 'var(--accent)'}
            onPointerEnter={() => setTold(bar)}
          />
        ))}
      </svg>
      <figcaption className={classes.told}>
        {told ? (
          `${clockWords(told.start_s)}  ${told.words}`
        ) : (
          <>
            <span className={classes.swatchWork} /> hand work <span className={classes.swatchLight} /> light{' '}
            <span className={classes.gaps}>gaps: waiting</span>
          </>
        )}
      </figcaption>
    </figure>
  );
}
