'use client';
import { useEffect, useEffectEvent, useState } from 'react';
import { cutShort } from '@/core/bench/presses';
import { atTable } from '@/core/bench/atTable';
import { simulatedLamp, type LampSign, type SimulatedLamp } from '@/devices/lamp';
import { notify } from '../kit/notify';
import type { Table } from './useBench';

/** The lamp of the table: it is started with a light, and what it says of itself goes into the log. */
export function useLamp(at: Table, speed: number): SimulatedLamp {
  const [lamp] = useState(() => simulatedLamp(speed));
  const { bench } = at;
  const lightOn = () => {
    const latest = at.latest();
    return latest ? atTable(latest, at.time()).timers.find(({ kind }) => kind === 'light') : undefined;
  };
  const onSign = useEffectEvent((sign: LampSign) => {
    const latest = at.latest();
    if (!latest || sign.kind === 'started') return;
    if (!Number.isFinite(sign.given_s) || sign.given_s < 0) {
      notify('The lamp says something that cannot be: the bench goes by its own clock.');
      return;
    }
    const running = lightOn();
    if (sign.kind === 'stopped' && running?.event !== undefined) {
      const cut = cutShort(latest, running.event, sign.why, at.time());
      if (cut) at.write(cut);
    }
  });
  useEffect(() => lamp.onSign(onSign), [lamp]);
  // A lamp that was on when the page was loaded anew is on still.
  const isRead = bench !== undefined;
  const onRead = useEffectEvent(() => {
    const running = lightOn();
    if (running) lamp.start((running.until_ms - at.time()) / 1000);
  });
  useEffect(() => {
    if (isRead) onRead();
  }, [isRead]);
  return lamp;
}
