'use client';
import { Button } from '@mantine/core';
import { IconArrowBackUp, IconPencil, IconPolygon } from '@tabler/icons-react';
import { contextOf } from '@/core/document/nailContext';
import { onNail, type Fitting } from '@/core/craft/context';
import type { Point } from '@/core/geometry/frame';
import { fitted } from '@/core/geometry/lines';
import { limitsOf } from '@/core/model/limits';
import type { Region } from '@/core/regions';
import { paths } from '@/core/regions/paths';
import { drawnSpot, MOST_POINTS } from '@/core/regions/drawnPoints';
import { FigureInput } from '../kit/Inputs';
import { useStudioStore } from '../studio/studio';
import { usePen } from './usePen';
import { WAVER_MM } from './waver';
import classes from './DesignView.module.css';

const WIDTH = limitsOf(paths.schema, 'paths.width_mm');

type Paths = Extract<Region, { kind: 'paths' }>;

/** Strokes and shapes drawn on the nail one after the other; the last of them taken back, all lines made wider or finer. */
export function DrawPaths({
  value,
  fitting,
  onChange,
}: {
  value: Paths;
  fitting: Fitting;
  onChange: (value: unknown, gesture?: string) => void;
}) {
  const store = useStudioStore();
  const pen = usePen();
  const width_mm = value.paths.find(({ filled }) => !filled)?.width_mm ?? 0.4;
  function draw(filled: boolean) {
    pen.take((line: readonly Point[]) => {
      const { set, focus } = store.getState();
      const points = fitted(line, WAVER_MM, MOST_POINTS).map((point) =>
        drawnSpot(point, onNail(contextOf(set, focus), fitting)),
      );
      if (points.length >= (filled ? 3 : 2))
        onChange({ ...value, paths: [...value.paths, { width_mm, filled, points }] });
    });
  }
  return (
    <div className={classes.wide}>
      <FigureInput
        label="Lines"
        {...WIDTH}
        value={width_mm}
        onChange={(next, gesture) =>
          onChange(
            {
              ...value,
              paths: value.paths.map((path) => (path.filled ? path : { ...path, width_mm: Number(next) })),
            },
            gesture,
          )
        }
      />
      <div className={classes.arrange} style={{ marginTop: 8 }}>
        {pen.drawing ? (
          <Button variant="filled" leftSection={<IconPencil size={18} />} onClick={() => pen.lay()}>
            Draw on the nail now
          </Button>
        ) : (
          <>
            <Button variant="default" leftSection={<IconPencil size={18} />} onClick={() => draw(false)}>
              Draw a line
            </Button>
            <Button variant="default" leftSection={<IconPolygon size={18} />} onClick={() => draw(true)}>
              Draw a shape
            </Button>
            <Button
              variant="default"
              leftSection={<IconArrowBackUp size={18} />}
              disabled={value.paths.length < 2}
              onClick={() => onChange({ ...value, paths: value.paths.slice(0, -1) })}
            >
              Take the last back
            </Button>
          </>
        )}
      </div>
    </div>
  );
}
