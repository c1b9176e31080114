'use client';
import { useEffect, useState } from 'react';
import type { Stroke } from '../studio/slices/state';
import { useStudio, useStudioStore } from '../studio/studio';

/** The pen as one field takes it up: it is laid aside with the field, unless another has taken it since. */
export function usePen(): { drawing: boolean; take: (what: Stroke) => void; lay: () => void } {
  const store = useStudioStore();
  const [own, setOwn] = useState<{ stroke: Stroke }>();
  const drawing = useStudio((s) => s.pen !== undefined && s.pen === own?.stroke);
  useEffect(
    () => () => {
      if (own) store.getState().layPen(own.stroke);
    },
    [store, own],
  );
  return {
    drawing,
    take: (stroke) => {
      setOwn({ stroke });
      store.getState().takePen(stroke);
    },
    lay: () => store.getState().layPen(),
  };
}
