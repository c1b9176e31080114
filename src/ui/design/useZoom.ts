'use client';
import { useLayoutEffect, useRef, useState, type PointerEvent, type RefObject } from 'react';
import type { Point } from '@/core/geometry/frame';

const STEPS = [1, 1.5, 2, 3] as const;

export interface Zoom {
  stage: RefObject<HTMLDivElement | null>;
  times: number;
  larger: (() => void) | undefined;
  smaller: (() => void) | undefined;
  whole: (() => void) | undefined;
  /** Dragging where nothing is held moves the nail. */
  pan: {
    onPointerDown: (event: PointerEvent<HTMLElement>) => void;
    onPointerMove: (event: PointerEvent<HTMLElement>) => void;
    onPointerUp: () => void;
  };
}

/** How large the nail stands: about its middle by buttons, about the pointer by the wheel with Ctrl. */
export function useZoom(): Zoom {
  const stage = useRef<HTMLDivElement>(null);
  const [step, setStep] = useState(0);
  /** What stays where it is: a place on the stage, and its share of what is shown there. */
  const kept = useRef<{ at: Point; share: Point }>(undefined);
  const drag = useRef<{ x: number; y: number; left: number; top: number }>(undefined);

  function zoomTo(next: number, at?: Point): void {
    const box = stage.current;
    if (!box || next < 0 || next >= STEPS.length) return;
    const about = at ?? { x: box.clientWidth / 2, y: box.clientHeight / 2 };
    kept.current = {
      at: about,
      share: {
        x: (box.scrollLeft + about.x) / box.scrollWidth,
        y: (box.scrollTop + about.y) / box.scrollHeight,
      },
    };
    setStep(next);
  }

  useLayoutEffect(() => {
    const box = stage.current;
    const now = kept.current;
    if (!box || !now) return;
    kept.current = undefined;
    box.scrollLeft = now.share.x * box.scrollWidth - now.at.x;
    box.scrollTop = now.share.y * box.scrollHeight - now.at.y;
  }, [step]);

  // A page cannot keep the browser from zooming itself in a listener that React has set.
  useLayoutEffect(() => {
    const box = stage.current;
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey || !box) return;
      event.preventDefault();
      const { left, top } = box.getBoundingClientRect();
      zoomTo(step + (event.deltaY < 0 ? 1 : -1), { x: event.clientX - left, y: event.clientY - top });
    };
    box?.addEventListener('wheel', onWheel, { passive: false });
    return () => box?.removeEventListener('wheel', onWheel);
  }, [step]);

  return {
    stage,
    times: STEPS[step]!,
    larger: step < STEPS.length - 1 ? () => zoomTo(step + 1) : undefined,
    smaller: step > 0 ? () => zoomTo(step - 1) : undefined,
    whole: step > 0 ? () => zoomTo(0) : undefined,
    pan: {
      onPointerDown: (event) => {
        const box = stage.current;
        const free = !(event.target as Element).closest('button, [role="slider"], [role="application"]');
        if (!box || step === 0 || !free || event.button !== 0 || event.pointerType === 'touch') return;
        drag.current = { x: event.clientX, y: event.clientY, left: box.scrollLeft, top: box.scrollTop };
        event.currentTarget.setPointerCapture(event.pointerId);
      },
      onPointerMove: (event) => {
        const from = drag.current;
        const box = stage.current;
        if (!from || !box) return;
        box.scrollLeft = from.left - (event.clientX - from.x);
        box.scrollTop = from.top - (event.clientY - from.y);
      },
      onPointerUp: () => {
        drag.current = undefined;
      },
    },
  };
}
