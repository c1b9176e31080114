'use client';
import { useHotkeys } from '@mantine/hooks';
import { useRef, useState } from 'react';
import { onUnrolled_mm, type NailFrame, type Point } from '@/core/geometry/frame';
import { PICTURE_PAD_MM } from '@/core/picture/spread';
import { useStudio, useStudioStore } from '../studio/studio';
import type { Room } from './Handles';
import classes from './Desk.module.css';

/** Closer together than this, two points of a stroke are one. */
const STEP_PX = 2;

/** What the nail is drawn on with, while a line is wanted: one stroke, kept when it is lifted; Escape lays it aside. */
export function Pen({ frame, px_per_mm, room }: { frame: NailFrame; px_per_mm: number; room: Room }) {
  const pen = useStudio((s) => s.pen);
  const store = useStudioStore();
  const [stroke, setStroke] = useState<Point[]>([]);
  const held = useRef<number>(undefined);
  const lay = () => {
    held.current = undefined;
    setStroke([]);
    store.getState().layPen();
  };
  useHotkeys([['Escape', lay]], []);
  if (!pen) return null;

  const at = (event: React.PointerEvent): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };
  const onNail = ({ x, y }: Point): Point => ({
    x: onUnrolled_mm(frame, (x - room.x) / px_per_mm - PICTURE_PAD_MM - frame.width_mm / 2),
    y: frame.length_mm + PICTURE_PAD_MM - (y - room.top) / px_per_mm,
  });
  return (
    <svg
      className={classes.pen}
      role="application"
      aria-label="Draw the line here"
      data-testid="pen"
      onPointerDown={(event) => {
        // A second finger draws nothing.
        if (held.current !== undefined || event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = event.pointerId;
        setStroke([at(event)]);
      }}
      onPointerMove={(event) => {
        if (held.current !== event.pointerId) return;
        const next = at(event);
        setStroke((line) => {
          const last = line[line.length - 1];
          return last && Math.hypot(next.x - last.x, next.y - last.y) < STEP_PX ? line : [...line, next];
        });
      }}
      onPointerUp={(event) => {
        if (held.current !== event.pointerId) return;
        const line = stroke.map(onNail);
        lay();
        if (line.length > 1) pen(line);
      }}
      onPointerCancel={lay}
    >
      <polyline points={stroke.map(({ x, y }) => `${x},${y}`).join(' ')} />
    </svg>
  );
}
