'use client';
import { useEffect, useState } from 'react';
import { useStudio, useStudioStore, type Studio } from '../studio/studio';

type Stroke = NonNullable<Studio['pen']>;

/** The pen as one field takes it up: it is laid aside with the field, unless another has taken it since. */
export function usePen(): { drawing: boolean; take: (what: Stroke) => void; lay: () => void } {
  const store = useStudioStore();
  const [own, setOwn] = useState<{ stroke: Stroke }>();
  const drawing = useStudio((s) => s.pen !== undefined && s.pen === own?.stroke);
  useEffect(
    () => () => {
      if (own && store.getState().pen === own.stroke) store.setState({ pen: undefined });
    },
    [store, own],
  );
  return {
    drawing,
    take: (stroke) => {
      setOwn({ stroke });
      store.setState({ pen: stroke });
    },
    lay: () => store.setState({ pen: undefined }),
  };
}
