'use client';
import { useEffect, useEffectEvent, useState } from 'react';
import { simulatedTorch, type SimulatedTorch } from '@/devices/torch';
import { timeWords } from '@/core/model/times';

/** A torch at the table: it is lit for as long as the step asks; its end is heard, and where it goes out that is said. */
export function useTorch(
  speed: number,
  { onOver, onLost }: { onOver: () => void; onLost: (words: string) => void },
): SimulatedTorch {
  const [torch] = useState(() => simulatedTorch(speed));
  const over = useEffectEvent(onOver);
  const lost = useEffectEvent(onLost);
  useEffect(
    () =>
      torch.onSign((sign) => {
        if (sign.kind === 'ended') over();
        if (sign.kind === 'lost')
          lost(
            `The torch went out after ${timeWords(Math.round(sign.given_s))}: hold it anew, its whole time.`,
          );
      }),
    [torch],
  );
  return torch;
}
