'use client';
import type { Section } from '@/core/picture/section';
import classes from './LayersView.module.css';

interface Props {
  title: string;
  section: Section | undefined;
  width: number;
}

const FILM_PX = 78;
const FACTORS = [1, 2, 3, 4, 5, 8, 10, 15, 20, 30, 40, 60, 80, 120];

/** A cut through the columns, heights exaggerated by a stated factor. */
export function SectionDrawing({ title, section, width }: Props) {
  if (!section) return <figure className={classes.figure} style={{ height: 130 }} />;
  const { at_mm, ground_mm, films } = section;
  const from = at_mm[0]!;
  const span = at_mm[at_mm.length - 1]! - from || 1;
  const k = (width - 12) / span;
  const fits = FACTORS.filter((factor) => (section.tallest_um / 1000) * factor * k <= FILM_PX);
  const factor = fits[fits.length - 1] ?? 1;
  // The curve of the plate itself is drawn true, but never deeper than a third of the drawing.
  const deepest = Math.max(0.001, -Math.min(...ground_mm));
  const groundK = Math.min(k, 44 / deepest);
  const base = FILM_PX + 10;
  const x = (i: number) => 6 + (at_mm[i]! - from) * k;
  const y0 = (i: number) => base - ground_mm[i]! * groundK;
  const height = base + deepest * groundK + 14;
  const tops = at_mm.map((_, i) => y0(i));
  const shapes = films.map((film) => {
    const bottom = [...tops];
    film.t_um.forEach((t, i) => {
      tops[i] = tops[i]! - (t / 1000) * factor * k;
    });
    const upper = tops.map((y, i) => `${x(i).toFixed(1)},${y.toFixed(1)}`);
    const lower = bottom.map((y, i) => `${x(i).toFixed(1)},${y.toFixed(1)}`).reverse();
    return { film, points: [...upper, ...lower].join(' ') };
  });
  const plate = at_mm.map((_, i) => `${x(i).toFixed(1)},${y0(i).toFixed(1)}`);
  const under = at_mm.map((_, i) => `${x(i).toFixed(1)},${(y0(i) + 8).toFixed(1)}`).reverse();
  return (
    <figure className={classes.figure}>
      <figcaption>
        <span>{title}</span>
        <span>films ×{factor}</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        role="img"
        aria-label={`${title}: ${films.length} films`}
      >
        <polygon
          points={[...plate, ...under].join(' ')}
          fill="var(--skin)"
          stroke="var(--skin-line)"
          strokeWidth={0.8}
        />
        {shapes.map(({ film, points }, i) => (
          <polygon
            key={`${film.operation}${i}`}
            points={points}
            fill={film.colour ?? (film.kind === 'tip' ? 'var(--skin)' : 'var(--sheet)')}
            fillOpacity={film.colour ? 1 : 0.85}
            stroke={film.phase === 'cured' ? 'var(--soft)' : 'var(--cure)'}
            strokeWidth={film.phase === 'cured' ? 0.6 : 1.6}
            strokeDasharray={film.phase === 'wet' ? '4 3' : undefined}
          >
            <title>{`${film.words}, ${film.phase}, up to ${Math.round(Math.max(...film.t_um))} µm`}</title>
          </polygon>
        ))}
      </svg>
    </figure>
  );
}
