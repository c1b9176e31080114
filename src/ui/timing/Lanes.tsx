'use client';
import { Slider } from '@mantine/core';
import { lowerFirst } from '@/core/model/letters';
import type { NailName } from '@/core/model/names';
import { momentAt } from '@/core/timing/moment';
import { whoseWords, type Round } from '@/core/timing/rounds';
import { clockWords, handWords } from '../kit/words';
import classes from './TimingView.module.css';

const LANES = ['Left hand', 'Artist', 'Right hand', 'Lamp'] as const;
const LANE = 40;
const TOP = 24;
const LEFT = 92;
const WIDTH = 1180;
const RIGHT = 14;
/** A bar narrower than this carries no words. */
const WORDS_PX = 44;
const CHARACTER_PX = 6.4;

/** Lanes for both hands, artist and lamp. Light is violet and striped, work is ink. A moment can be looked at. */
export function Lanes({
  rounds,
  total_s,
  worked,
  at_s,
  onAt,
}: {
  rounds: readonly Round[];
  total_s: number;
  worked: readonly NailName[];
  at_s: number;
  onAt: (at_s: number) => void;
}) {
  const k = (WIDTH - LEFT - RIGHT) / Math.max(1, total_s);
  const x = (seconds: number) => LEFT + seconds * k;
  const every = total_s > 5400 ? 900 : total_s > 2400 ? 600 : 300;
  const ticks = Array.from({ length: Math.floor(total_s / every) + 1 }, (_, i) => i * every);
  const height = TOP + LANES.length * LANE + 4;
  const bars = rounds.flatMap((round) =>
    lanesOf(round).map((lane) => ({ round, lane, light: round.kind === 'load' })),
  );
  return (
    <figure className={classes.lanes}>
      <svg viewBox={`0 0 ${WIDTH} ${height}`} width="100%" role="img" aria-label="Lanes of the sitting">
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
            <line x1={x(tick)} x2={x(tick)} y1={TOP - 4} y2={height} stroke="var(--line)" strokeWidth={1} />
            <text x={x(tick) + 4} y={14} className={classes.tick}>
              {tick === 0 ? 'start' : `${Math.round(tick / 60)} min`}
            </text>
          </g>
        ))}
        {LANES.map((lane, i) => (
          <g key={lane}>
            <text x={LEFT - 12} y={TOP + i * LANE + 25} className={classes.lane} textAnchor="end">
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
        {bars.map(({ round, lane, light }) => {
          const width = Math.max(0.8, (round.end_s - round.start_s) * k - 0.6);
          const words = lane === 1 ? fitted(round.words, width) : '';
          return (
            <g key={`${round.number} ${lane}`}>
              <rect
                x={x(round.start_s)}
                y={TOP + lane * LANE + 6}
                width={width}
                height={LANE - 12}
                fill={light ? 'url(#light)' : lane === 1 ? 'var(--soft)' : 'var(--accent)'}
                className={classes.bar}
                onClick={() => onAt(Math.round((round.start_s + round.end_s) / 2))}
              />
              {words && (
                <text x={x(round.start_s) + 5} y={TOP + lane * LANE + 25} className={classes.inBar}>
                  {words}
                </text>
              )}
            </g>
          );
        })}
        <line x1={x(at_s)} x2={x(at_s)} y1={TOP - 6} y2={height} className={classes.now} />
      </svg>
      <div style={{ paddingLeft: `${(LEFT / WIDTH) * 100}%`, paddingRight: `${(RIGHT / WIDTH) * 100}%` }}>
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
      <Told rounds={rounds} at_s={at_s} worked={worked} />
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

function Told({
  rounds,
  at_s,
  worked,
}: {
  rounds: readonly Round[];
  at_s: number;
  worked: readonly NailName[];
}) {
  const moment = momentAt(rounds, at_s);
  const words = (round: Round) => `${whoseWords(round.nails, worked)}: ${lowerFirst(round.words)}`;
  const lit = (['left', 'right'] as const).flatMap((hand) => {
    const round = moment.hands[hand];
    return round?.kind === 'load' ? [{ hand, round }] : [];
  });
  return (
    <figcaption className={classes.told} data-testid="moment">
      <b>{clockWords(at_s)}</b>
      <span>
        {moment.artist ? (
          <>
            {handWords(moment.artist.hand)}
            {words(moment.artist)}
          </>
        ) : (
          <>Nothing to do{moment.next ? `; next, ${words(moment.next)}` : ''}</>
        )}
      </span>
      {lit.map(({ hand, round }) => (
        <span key={hand} className={classes.light}>
          {handWords(hand)}
          {round.words.endsWith('inside the tip') && 'tips '}in the lamp, {round.light?.seconds} s:{' '}
          {whoseWords(round.nails, worked)}
        </span>
      ))}
    </figcaption>
  );
}
