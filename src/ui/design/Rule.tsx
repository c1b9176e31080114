import { PICTURE_PAD_MM } from '@/core/picture/spread';
import type { Room } from './Handles';
import classes from './Desk.module.css';

/** A faint rule in mm beside the nail, from the cuticle up. */
export function Rule({ length_mm, px_per_mm, room }: { length_mm: number; px_per_mm: number; room: Room }) {
  const whole = Math.floor(length_mm);
  const bottom = room.top + (length_mm + PICTURE_PAD_MM) * px_per_mm;
  return (
    <svg className={classes.rule} width={room.x} height={bottom + room.bottom} aria-hidden>
      {Array.from({ length: whole + 1 }, (_, mm) => {
        const y = bottom - mm * px_per_mm;
        const five = mm % 5 === 0;
        return (
          <g key={mm}>
            <line x1={five ? 20 : 26} x2={34} y1={y} y2={y} />
            {five && (
              <text x={6} y={y + 4}>
                {mm}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
