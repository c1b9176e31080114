'use client';
import { isStanding } from '@/core/craft/bodies';
import { STONE_SIZES_MM } from '@/core/craft/stoneSizes';
import type { Need } from '@/core/stock/needs';
import { Bottle } from '../shelf/Bottle';
import classes from './TableView.module.css';

/** A thing as it lies on the table, so small that it only tells what to reach for. */
export function Thing({ of, words, colour = 'var(--sheet)' }: Pick<Need, 'of' | 'words' | 'colour'>) {
  return <span className={classes.thing}>{drawn(of, words, colour)}</span>;
}

function drawn(of: Need['of'], words: string, colour: string) {
  switch (of.kind) {
    case 'product':
      return <Bottle product={of.product} />;
    case 'tip':
      return <Flat path="M14 40 Q12 16 22 6 Q32 16 30 40 Q22 45 14 40 Z" colour="var(--tip)" />;
    case 'body':
      return of.piece.kind === 'stone' ? (
        <Stone colour={colour} words={words} />
      ) : (
        <Flat
          path={isStanding(of.piece) ? 'M6 24 Q22 8 38 24 Q22 42 6 24 Z' : 'M8 30 L36 14 L39 20 L11 36 Z'}
          colour={colour}
        />
      );
    case 'grain':
      return (
        <svg viewBox="0 0 44 48" aria-hidden>
          {[8, 16, 24, 32].flatMap((x, i) =>
            [14, 24, 34].map((y, j) => (
              <rect
                key={`${x} ${y}`}
                x={x + ((i + j) % 2) * 2}
                y={y + (i % 3)}
                width={4}
                height={4}
                fill={colour}
                stroke="var(--line)"
              />
            )),
          )}
        </svg>
      );
    case 'sheet':
      return <Flat path="M6 10 H38 V40 L30 36 L22 41 L14 36 L6 40 Z" colour={colour} />;
    default:
      return <Flat path="M8 12 H36 V38 H8 Z" colour="var(--sheet)" />;
  }
}

function Flat({ path, colour }: { path: string; colour: string }) {
  return (
    <svg viewBox="0 0 44 48" aria-hidden>
      <path d={path} fill={colour} stroke="var(--soft)" strokeWidth={1} />
    </svg>
  );
}

/** As wide as it is beside the others. */
function Stone({ colour, words }: { colour: string; words: string }) {
  const size = Object.entries(STONE_SIZES_MM).find(([name]) => words.endsWith(name))?.[1] ?? 2;
  const r = 3 + size * 3;
  return (
    <svg viewBox="0 0 44 48" aria-hidden>
      <circle cx={22} cy={24} r={r} fill={colour} stroke="var(--soft)" strokeWidth={1} />
      <path
        d={`M${22 - r} 24 L22 ${24 - r * 0.45} L${22 + r} 24 L22 ${24 + r * 0.45} Z`}
        fill="#fff"
        fillOpacity={0.5}
        stroke="var(--soft)"
        strokeWidth={0.6}
      />
    </svg>
  );
}
