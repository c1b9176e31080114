'use client';
import { Button, Slider } from '@mantine/core';
import { useState } from 'react';
import type { SimulatedCaliper } from '@/devices/caliper';
import classes from './HandsView.module.css';

const OPEN_MM = 30;
const SHOWN_MM = 11.5;

/** The caliper that ships: open its jaws, send, and the reading stands in the field at hand. */
export function CaliperPanel({ caliper }: { caliper: SimulatedCaliper }) {
  const [mm, setMm] = useState(SHOWN_MM);
  return (
    <div className={classes.caliper} role="group" aria-label={caliper.words}>
      <svg viewBox="-2 0 40 12" width={200} height={60} aria-hidden>
        <path d="M-1 5H37V8H-1Z" className={classes.beam} />
        <path d="M-1 0.5L0 0.5L0 11L-1 8Z" className={classes.jaw} />
        <path d={`M${mm} 0.5L${mm + 1} 0.5V4H${mm + 6}V9H${mm + 1}L${mm} 11Z`} className={classes.jaw} />
      </svg>
      <output className={classes.reading}>{mm.toFixed(2)} mm</output>
      <Slider
        aria-label="How far the jaws are open"
        className={classes.grow}
        min={0}
        max={OPEN_MM}
        step={0.05}
        value={mm}
        onChange={setMm}
        label={null}
        size="lg"
        thumbSize={26}
        thumbLabel="Jaws, mm"
      />
      {/* The field at hand keeps its place while the reading is sent. */}
      <Button onClick={() => caliper.send(mm)}>Send</Button>
    </div>
  );
}
