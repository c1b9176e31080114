'use client';
import type { ReactNode } from 'react';
import type { Stage } from '@/workers/plannerApi';
import type { Section, SectionFilm } from '@/core/picture/section';
import classes from './LayersView.module.css';
import { leastOf, mostOf } from '@/core/model/extent';

interface Props {
  stage: Pick<Stage, 'cuts' | 'finished'> | undefined;
  /** What stands beside the shorter cut. */
  beside: ReactNode;
}

/** Width of the drawing and of the names beside it, in units of the drawing. */
const WIDTH = 366;
const NAMES = 140;
const FILMS_HIGH = 106;
const FACTORS = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 60];
const LINE = 15;

/** Both cuts through the nail at one scale, heights exaggerated by one stated factor, the films named. */
export function Cuts({ stage, beside }: Props) {
  if (!stage) return <div className={classes.cuts} style={{ minHeight: 400 }} />;
  const { cuts, finished } = stage;
  const k = (WIDTH - 8) / span(finished.lengthwise);
  const tallest = Math.max(finished.lengthwise.tallest_um, finished.crosswise.tallest_um);
  const fits = FACTORS.filter((factor) => (tallest / 1000) * factor * k <= FILMS_HIGH);
  const scale = { k, factor: fits[fits.length - 1] ?? 1 };
  return (
    <div className={classes.cuts}>
      <Cut
        title="Cuticle to tip"
        note={`heights ×${scale.factor}, thickness in µm`}
        section={cuts.lengthwise}
        finished={finished.lengthwise}
        scale={scale}
        named
      />
      <div className={classes.cutRow}>
        <Cut
          title="Side to side, at the apex"
          section={cuts.crosswise}
          finished={finished.crosswise}
          scale={scale}
        />
        {beside}
      </div>
    </div>
  );
}

interface Scale {
  /** Units of the drawing to a millimetre. */
  k: number;
  factor: number;
}

function span({ at_mm }: Section): number {
  return at_mm[at_mm.length - 1]! - at_mm[0]! || 1;
}

/** What lies over the plate's own line, in units of the drawing. */
function heightOver({ tallest_um, at_mm, films }: Section, { k, factor }: Scale): number {
  const standing = mostOf(
    at_mm.map((_, i) => films.reduce((sum, film) => sum + (film.stands ? film.t_um[i]! : 0), 0)),
  );
  return (tallest_um / 1000) * factor * k + (Math.max(0, standing) / 1000) * k + 6;
}

/** What lies under it: the plate's curve and its own thickness. */
function depthUnder({ ground_mm, plate_um }: Section, { k, factor }: Scale): number {
  return Math.max(0, -leastOf(ground_mm)) * k + (mostOf(plate_um) / 1000) * factor * k;
}

interface CutProps {
  title: string;
  note?: string;
  section: Section;
  /** Every stage lies where it will lie on the finished nail. */
  finished: Section;
  scale: Scale;
  named?: boolean;
}

function Cut({ title, note, section, finished, scale, named = false }: CutProps) {
  const { k, factor } = scale;
  const { at_mm, ground_mm, films, plate_um } = section;
  const x = (i: number) => 4 + (at_mm[i]! - finished.at_mm[0]!) * k;
  // What is filed off later may stand higher than the finished nail.
  const base = Math.max(heightOver(section, scale), heightOver(finished, scale));
  const under = Math.max(depthUnder(section, scale), depthUnder(finished, scale));
  const y0 = at_mm.map((_, i) => base - ground_mm[i]! * k);
  const tops = [...y0];
  const shapes = films.map((film) => {
    const lower = [...tops];
    const times = film.stands ? 1 : factor;
    film.t_um.forEach((t, i) => {
      tops[i] = tops[i]! - (t / 1000) * times * k;
    });
    return { film, upper: [...tops], lower };
  });
  const height = base + under + 8;
  const labels = named ? nameFilms(shapes, height) : [];
  const width = span(finished) * k + 8 + (named ? NAMES : 0);
  const point = (i: number, y: number) => `${x(i).toFixed(1)},${y.toFixed(1)}`;
  /** The outline of what lies between two lines, one for each stretch where it is there. */
  const outlines = (upper: readonly number[], lower: readonly number[], t_um: readonly number[]) =>
    stretches(t_um).map((stretch) =>
      [
        ...stretch.map((i) => point(i, upper[i]!)),
        ...[...stretch].reverse().map((i) => point(i, lower[i]!)),
      ].join(' '),
    );
  return (
    <figure className={classes.figure}>
      <figcaption>
        <span>{title}</span>
        {note && <span>{note}</span>}
      </figcaption>
      <svg
        viewBox={`0 0 ${width.toFixed(0)} ${height.toFixed(0)}`}
        style={{ width: named ? '100%' : `${((100 * width) / (WIDTH + NAMES)).toFixed(1)}%` }}
        role="img"
        aria-label={`${title}: ${films.map((film) => film.words).join(', ')}`}
      >
        {outlines(
          y0,
          y0.map((y, i) => y + (plate_um[i]! / 1000) * factor * k),
          plate_um,
        ).map((points) => (
          <polygon
            key={points}
            points={points}
            fill="var(--skin)"
            stroke="var(--skin-line)"
            strokeWidth={0.8}
          />
        ))}
        {shapes
          .filter(({ film }) => film.kind !== 'hollow')
          .map(({ film, upper, lower }, s) => (
            <g key={`${film.operation}${s}`}>
              <title>{`${film.words}, ${film.phase}, up to ${Math.round(mostOf(film.t_um))} µm`}</title>
              {outlines(upper, lower, film.t_um).map((points) => (
                <polygon
                  key={points}
                  points={points}
                  fill={fillOf(film)}
                  fillOpacity={film.colour ? 1 : 0.85}
                  stroke={film.phase === 'cured' ? 'var(--soft)' : 'var(--cure)'}
                  strokeWidth={film.phase === 'cured' ? 0.6 : 1.6}
                  strokeDasharray={film.phase === 'wet' ? '4 3' : undefined}
                />
              ))}
            </g>
          ))}
        {labels.map((label) => (
          <g key={label.key}>
            <polyline
              points={`${x(label.at)},${label.from} ${WIDTH + 6},${label.y} ${WIDTH + 12},${label.y}`}
              fill="none"
              stroke="var(--soft)"
              strokeWidth={0.6}
            />
            <text x={WIDTH + 15} y={label.y + 4} className={classes.filmName}>
              {label.words}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}

/** The runs of neighbouring columns in which something has a thickness. */
function stretches(t_um: readonly number[]): number[][] {
  const runs: number[][] = [];
  t_um.forEach((t, i) => {
    if (t <= 0) return;
    const last = runs[runs.length - 1];
    if (last && last[last.length - 1] === i - 1) last.push(i);
    else runs.push([i]);
  });
  return runs;
}

function fillOf(film: SectionFilm): string {
  if (film.colour) return film.colour;
  return film.kind === 'tip' ? 'var(--tip)' : 'var(--sheet)';
}

interface Label {
  key: string;
  words: string;
  /** The column its line starts at, and the height there. */
  at: number;
  from: number;
  y: number;
}

/** Names from top to bottom, coats of one product as one, spread so that no two touch. */
function nameFilms(
  shapes: readonly { film: SectionFilm; upper: number[]; lower: number[] }[],
  height: number,
): Label[] {
  const labels: (Label & { name: string; coats: number; most: number })[] = [];
  for (const { film, upper, lower } of shapes) {
    const last = labels[labels.length - 1];
    const most = mostOf(film.t_um);
    if (film.kind === 'hollow' && most < 30) continue;
    if (last && last.name === film.words) {
      last.coats += 1;
      last.most += most;
      continue;
    }
    // The line starts a little inside the film's far end, where it still has a body.
    let at = film.t_um.length - 2;
    while (at > 0 && film.t_um[at]! < most * 0.3) at -= 1;
    labels.push({
      key: `${film.operation} ${film.kind}`,
      name: film.words,
      words: '',
      coats: 1,
      most,
      at,
      from: (upper[at]! + lower[at]!) / 2,
      y: 0,
    });
  }
  // By where their lines begin, so that no two cross.
  labels.reverse().sort((a, b) => a.from - b.from);
  let y = 4;
  for (const label of labels) {
    y = Math.max(y + LINE, Math.min(label.from, height));
    label.y = y;
    const coats = label.coats > 1 ? ` ×${label.coats}` : '';
    label.words = `${label.name}${coats} · ${Math.round(label.most)}`;
  }
  // Where the last ones ran out of the drawing, all move up together.
  let limit = Infinity;
  for (const label of [...labels].reverse()) {
    label.y = Math.max(6, Math.min(label.y, limit, height - 6));
    limit = label.y - LINE;
  }
  return labels;
}
