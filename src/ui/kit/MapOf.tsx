import { nailWords } from '@/core/model/names';
import type { NailMap, SharedMap } from '@/core/picture/nailMap';
import classes from './MapOf.module.css';

const MAP_PX_PER_MM = 5;

interface Props {
  map: NailMap;
  /** Other nails that carry the same. */
  same?: SharedMap['same'];
  px_per_mm?: number;
}

/** Where things lie on a nail, in mm: drawn, and in words. */
export function MapOf({ map, same = [], px_per_mm = MAP_PX_PER_MM }: Props) {
  const k = px_per_mm;
  const x = (value: number) => (value + map.width_mm / 2 + 0.5) * k;
  const y = (value: number) => (map.length_mm - value + 0.5) * k;
  const points = (outline: readonly { x: number; y: number }[]) =>
    outline.map((point) => `${x(point.x).toFixed(1)},${y(point.y).toFixed(1)}`).join(' ');
  return (
    <figure className={classes.map}>
      <svg
        width={(map.width_mm + 1) * k}
        height={(map.length_mm + 1) * k}
        role="img"
        aria-label={`Map of the ${nailWords(map.nail)}`}
      >
        <polygon points={points(map.outline)} className={classes.outline} />
        <line x1={x(0)} x2={x(0)} y1={y(0)} y2={y(map.length_mm)} className={classes.axis} />
        {map.also?.map((outline, i) => (
          <polygon key={i} points={points(outline)} className={classes.item} />
        ))}
        {map.items.map((item, i) => (
          <g key={i}>
            <polygon points={points(item.outline)} className={classes.item} />
            <text x={x(item.x_mm)} y={y(item.y_mm) + 3.5} className={classes.mark}>
              {i + 1}
            </text>
          </g>
        ))}
      </svg>
      <figcaption>
        <b>
          {[
            nailWords(map.nail),
            ...same.map(({ nail, turned }) => `${nailWords(nail)}${turned ? ', turned over' : ''}`),
          ].join('; ')}
        </b>
        <ol>
          {map.items.map((item, i) => (
            <li key={i}>
              {item.words} {item.size}: {item.at}
            </li>
          ))}
        </ol>
      </figcaption>
    </figure>
  );
}
