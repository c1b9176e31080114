'use client';
import { threeViews } from '@/core/picture/threeViews';
import type { NailFrame, Point } from '@/core/geometry/frame';
import type { NailBody } from '@/core/simulate/strength';
import classes from './HandsView.module.css';

const WIDTH_MM = 46;
const HEIGHT_MM = 27;

/** Where the curve of what each section carries stands, and how high a usual natural nail is on it. */
const FOOT_MM = 11;
const USUAL_MM = 1.6;
const MOST_MM = 3.2;

interface Props {
  frame: NailFrame;
  /** Undefined until it is planned. */
  body: NailBody | undefined;
}

/** A nail's shape from above, from the side and from its tip, at one scale; below its side what each section of the free edge carries. */
export function ThreeViewsDrawing({ frame, body }: Props) {
  const { above, side, end, stress_mm } = threeViews(frame);
  const fits = Math.min(1, 22.5 / frame.length_mm);
  const foot = 23.2;
  const left = 11;
  const right = 20;
  const path = (points: readonly Point[], x0: number, y0: number, close = false) =>
    `${points.map((p, i) => `${i ? 'L' : 'M'}${x0 + p.x * fits} ${y0 - p.y * fits}`).join('')}${close ? 'Z' : ''}`;
  return (
    <svg
      className={classes.three}
      viewBox={`0 0 ${WIDTH_MM} ${HEIGHT_MM}`}
      role="img"
      aria-label={`${frame.width_mm.toFixed(1)} mm wide, ${frame.arc_mm.toFixed(1)} along the curve, ${frame.bed_mm.toFixed(1)} bed, ${frame.length_mm.toFixed(1)} long`}
    >
      <path d={path(above, left, foot, true)} className={classes.plate} />
      <path d={`M${left - 8} ${foot - stress_mm * fits}h16`} className={classes.mark} />
      <path d={path(side, right, 6)} className={classes.line} />
      <path d={`M${right + stress_mm * fits} 2.5v6`} className={classes.mark} />
      {body && body.along_edge.length > 1 && (
        <>
          <path
            d={`M${right + frame.bed_mm * fits} ${FOOT_MM}${body.along_edge
              .map(
                ({ y_mm, carries }) =>
                  `L${right + y_mm * fits} ${FOOT_MM - Math.min(MOST_MM, carries * USUAL_MM)}`,
              )
              .join('')}V${FOOT_MM}Z`}
            className={classes.strength}
          />
          {body.weakest && (
            <path
              d={`M${right + body.weakest.y_mm * fits} ${FOOT_MM + 0.6}v${-(MOST_MM + 0.9)}`}
              className={classes.mark}
            />
          )}
        </>
      )}
      <path d={path(end, right + 11, 21)} className={classes.line} />
      <text x={left} y={HEIGHT_MM - 0.6} textAnchor="middle">
        {frame.width_mm.toFixed(1)} × {frame.length_mm.toFixed(1)} mm
      </text>
      <text x={right} y={13.4}>
        bed {frame.bed_mm.toFixed(1)}, past it {(frame.length_mm - frame.bed_mm).toFixed(1)} mm
      </text>
      <text x={right} y={HEIGHT_MM - 0.6}>
        {frame.arc_mm.toFixed(1)} mm along the curve
      </text>
    </svg>
  );
}
