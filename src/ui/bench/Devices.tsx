'use client';
import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { SimulatedCaliper } from '@/devices/caliper';
import type { SimulatedLamp } from '@/devices/lamp';
import type { SimulatedPedal } from '@/devices/pedal';
import type { SimulatedTorch } from '@/devices/torch';
import classes from './BenchView.module.css';

export interface BenchDevices {
  lamp: SimulatedLamp;
  torch: SimulatedTorch;
  pedal: SimulatedPedal;
  caliper: SimulatedCaliper;
}

const READING_MM = 11.4;

/** The stand-ins that ship, driven on the screen. */
export function Devices({ lamp, torch, pedal, caliper }: BenchDevices) {
  const [left_s, setLeft] = useState({ lamp: 0, torch: 0 });
  useEffect(() => {
    const ticking = setInterval(() => setLeft({ lamp: lamp.remaining_s(), torch: torch.remaining_s() }), 200);
    return () => clearInterval(ticking);
  }, [lamp, torch]);
  const says = (s: number) => (s > 0 ? `on, ${Math.ceil(s)} s to go` : 'off');
  return (
    <section className={classes.devices} aria-label="Devices">
      <p>
        <b>{lamp.words}</b> {says(left_s.lamp)}
      </p>
      <Button variant="default" disabled={left_s.lamp <= 0} onClick={() => lamp.openDoor()}>
        Open its door
      </Button>
      <Button variant="default" disabled={left_s.lamp <= 0} onClick={() => lamp.fail()}>
        Let it fail
      </Button>
      <Button variant="default" onClick={() => lamp.talkNonsense()}>
        Let it talk nonsense
      </Button>
      <p>
        <b>{torch.words}</b> {says(left_s.torch)}
      </p>
      <Button variant="default" disabled={left_s.torch <= 0} onClick={() => torch.goOut()}>
        Let it go out
      </Button>
      <p>
        <b>{pedal.words}</b> a pedal that types a space or an arrow works by itself
      </p>
      <Button variant="default" onClick={() => pedal.send()}>
        Press the pedal
      </Button>
      <p>
        <b>{caliper.words}</b> one that types its figure and Enter works by itself
      </p>
      <Button variant="default" onClick={() => caliper.send(READING_MM)}>
        Read {READING_MM} mm
      </Button>
    </section>
  );
}
