'use client';
import { Button } from '@mantine/core';
import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import { useEffect, useEffectEvent, useState } from 'react';

interface Props {
  done: number;
  count: number;
  onStep: (done: number) => void;
}

/** Long enough to read a step and see what it lays. */
const STEP_MS = 900;

/** Plays the steps of a nail from the plate upwards; from the last one it begins anew. */
export function Play({ done, count, onStep }: Props) {
  const [playing, setPlaying] = useState(false);
  const next = useEffectEvent(() => {
    if (done < count) onStep(done + 1);
    else setPlaying(false);
  });
  useEffect(() => {
    if (!playing) return undefined;
    const timer = setInterval(next, STEP_MS);
    return () => clearInterval(timer);
  }, [playing]);
  return (
    <Button
      variant="subtle"
      leftSection={playing ? <IconPlayerPause size={18} /> : <IconPlayerPlay size={18} />}
      onClick={() => {
        if (!playing && done >= count) onStep(1);
        setPlaying(!playing);
      }}
    >
      {playing ? 'Pause' : 'Play'}
    </Button>
  );
}
