'use client';
import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { SimulatedLamp } from '@/devices/lamp';
import type { SimulatedPedal } from '@/devices/pedal';
import classes from './BenchView.module.css';

/** The stand-ins that ship, driven on the screen. */
export function Devices({ lamp, pedal }: { lamp: SimulatedLamp; pedal: SimulatedPedal }) {
  const [left_s, setLeft] = useState(0);
  useEffect(() => {
    const ticking = setInterval(() => setLeft(lamp.remaining_s()), 200);
    return () => clearInterval(ticking);
  }, [lamp]);
  return (
    <section className={classes.devices} aria-label="Devices">
      <p>
        <b>{lamp.words}</b> {left_s > 0 ? `on, ${Math.ceil(left_s)} s to go` : 'off'}
      </p>
      <Button variant="default" disabled={left_s <= 0} onClick={() => lamp.openDoor()}>
        Open its door
      </Button>
      <Button variant="default" disabled={left_s <= 0} onClick={() => lamp.fail()}>
        Let it fail
      </Button>
      <Button variant="default" onClick={() => lamp.talkNonsense()}>
        Let it talk nonsense
      </Button>
      <p>
        <b>{pedal.words}</b> a pedal that types a space or an arrow works by itself
      </p>
      <Button variant="default" onClick={() => pedal.send()}>
        Press the pedal
      </Button>
    </section>
  );
}
