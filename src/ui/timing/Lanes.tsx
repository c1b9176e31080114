'use client';
import { ActionIcon, Slider } from '@mantine/core';
import { useElementSize, useMergedRef } from '@mantine/hooks';
import { IconZoomIn, IconZoomOut } from '@tabler/icons-react';
import { useLayoutEffect, useRef, useState } from 'react';
import { lowerFirst } from '@/core/model/letters';
import type { NailName } from '@/core/model/names';
import { whoseWords, type Round } from '@/core/timing/rounds';
import { clockWords } from '@/core/model/times';
import { handWords } from '../kit/words';
import classes from './TimingView.module.css';

const LANES = ['Left hand', 'Artist', 'Right hand', 'Lamp'] as const;
const LANE = 40;
const TOP = 24;
/** Narrower than this, in px, nothing can be told apart: on a phone the lanes are moved along. */
const LEAST_PX = 720;
const RIGHT = 14;
/** How much larger the lanes can be drawn. */
const TIMES = [1, 2, 4, 8] as const;
/** A bar narrower than this carries no words. */
const WORDS_PX = 44;
const CHARACTER_PX = 6.4;
/** Ticks no nearer than this, at one of these steps. */
const TICK_PX = 90;
/** Room that the words of a tick take. */
const LABEL_PX = 52;
const TICKS_S = [60, 120, 300, 600, 900, 1800, 3600] as const;

/**
 * Lanes for both hands, artist and lamp. Light is violet and striped, work is ink. A moment can be looked at, and what is
 * too narrow to read be drawn larger.
 */
export function Lanes({
  rounds,
  total_s,
  worked,
  at_s = 0,
  onAt,
  label = 'Lanes of the sitting',
}: {
  rounds: readonly Round[];
  total_s: number;
  worked: readonly NailName[];
  /** Where a moment is looked at. */
  at_s?: number;
  onAt?: (at_s: number) => void;
  label?: string;
}) {
  const [step, setStep] = useState(0);
  const scroller = useRef<HTMLDivElement>(null);
  const { ref: sized, width: room } = useElementSize();
  const times = TIMES[step]!;
  const width = Math.max(LEAST_PX, room) * times;
  const k = (width - RIGHT) / Math.max(1, total_s);
  const x = (seconds: number) => seconds * k;
  const every = TICKS_S.find((seconds) => seconds * k >= TICK_PX) ?? 7200;
  const ticks = Array.from({ length: Math.floor(total_s / every) + 1 }, (_, i) => i * every);
  const height = TOP + LANES.length * LANE + 4;
  const bars = rounds.flatMap((round) =>
    lanesOf(round).map((lane) => ({ round, lane, light: round.kind === 'load' })),
  );
  // The moment that is looked at stays in the middle.
  const share = at_s / Math.max(1, total_s);
  useLayoutEffect(() => {
    const box = scroller.current;
    if (box) box.scrollLeft = share * box.scrollWidth - box.clientWidth / 2;
    // A moment that is pressed is in sight already.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [step]);
  return (
    <figure className={classes.lanes}>
      <div className={classes.laneNames}>
        <span className={classes.zoom}>
          <ActionIcon
            variant="subtle"
            color="gray"
            aria-label="Lanes smaller"
            disabled={step === 0}
            onClick={() => setStep(step - 1)}
          >
            <IconZoomOut size={20} />
          </ActionIcon>
          <ActionIcon
            variant="subtle"
            color="gray"
            aria-label="Lanes larger"
            disabled={step === TIMES.length - 1}
            onClick={() => setStep(step + 1)}
          >
            <IconZoomIn size={20} />
          </ActionIcon>
        </span>
        {LANES.map((lane) => (
          <span key={lane}>{lane}</span>
        ))}
      </div>
      <div ref={useMergedRef(scroller, sized)} className={classes.scroller}>
        <div style={{ width }}>
          <svg width={width} height={height} display="block" role="img" aria-label={label}>
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
                  x1={x(tick)}
                  x2={x(tick)}
                  y1={TOP - 4}
                  y2={height}
                  stroke="var(--line)"
                  strokeWidth={1}
                />
                {/* Near the right edge its words stand before their line. */}
                <text
                  x={x(tick) + (x(tick) + LABEL_PX > width ? -4 : 4)}
                  y={14}
                  textAnchor={x(tick) + LABEL_PX > width ? 'end' : 'start'}
                  className={classes.tick}
                >
                  {tick === 0 ? 'start' : `${Math.round(tick / 60)} min`}
                </text>
              </g>
            ))}
            {LANES.map((lane, i) => (
              <line
                key={lane}
                x1={0}
                x2={width}
                y1={TOP + (i + 1) * LANE}
                y2={TOP + (i + 1) * LANE}
                stroke="var(--line)"
                strokeWidth={0.6}
              />
            ))}
            {bars.map(({ round, lane, light }) => {
              const long = Math.max(0.8, (round.end_s - round.start_s) * k - 0.6);
              const said = lane === 1 ? fitted(round.words, long) : '';
              return (
                <g key={`${round.number} ${lane}`}>
                  <rect
                    x={x(round.start_s)}
                    y={TOP + lane * LANE + 6}
                    width={long}
                    height={LANE - 12}
                    fill={light ? 'url(#light)' : lane === 1 ? 'var(--soft)' : 'var(--accent)'}
                    className={onAt && classes.bar}
                    onClick={() => onAt?.(Math.round((round.start_s + round.end_s) / 2))}
                  >
                    <title>{`${clockWords(round.start_s)}, ${handWords(round.hand)}${whoseWords(round.nails, worked)}: ${lowerFirst(round.words)}`}</title>
                  </rect>
                  {said && (
                    <text x={x(round.start_s) + 5} y={TOP + lane * LANE + 25} className={classes.inBar}>
                      {said}
                    </text>
                  )}
                </g>
              );
            })}
            {onAt && <line x1={x(at_s)} x2={x(at_s)} y1={TOP - 6} y2={height} className={classes.now} />}
          </svg>
          {onAt && (
            <div style={{ paddingRight: `${(RIGHT / width) * 100}%` }}>
              <Slider
                value={at_s}
                onChange={onAt}
                min={0}
                max={Math.max(1, Math.round(total_s) - 1)}
                step={10}
                label={null}
                size={6}
                thumbLabel="Moment of the sitting"
                thumbSize={22}
                styles={{ track: { '--slider-track-bg': 'var(--line)' } as React.CSSProperties }}
              />
            </div>
          )}
        </div>
      </div>
    </figure>
  );
}

function lanesOf(round: Round): number[] {
  const hands = round.hand === 'both' ? [0, 2] : [round.hand === 'left' ? 0 : 2];
  return [...hands, round.kind === 'load' ? 3 : 1];
}

/** As much of some words as a bar holds, or none. */
function fitted(words: string, width: number): string {
  const room = Math.floor((width - 10) / CHARACTER_PX);
  if (width < WORDS_PX || room < 5) return '';
  return words.length <= room ? words : `${words.slice(0, room - 1).trimEnd()}…`;
}
