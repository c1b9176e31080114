'use client';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { RANK } from '@/workers/planner';
import { NailCanvas } from '../kit/NailCanvas';
import { FINENESS, usePicture } from '../kit/usePictures';
import classes from './Desk.module.css';

/** How far the light goes to either side. */
const LIGHT_DEG = 14;

interface Props {
  set: SetDocument;
  name: NailName;
  px_per_mm: number;
}

/**
 * The nail as it looks with the light to one side and to the other, laid over it by as much as the pointer is there: metal and
 * shimmer catch the light as a finger is turned. `--gleam`, −1 to 1, comes from whoever watches the pointer.
 */
export function Gleam({ set, name, px_per_mm }: Props) {
  const fine = px_per_mm * FINENESS;
  const left = usePicture(set, name, fine, RANK.small, -LIGHT_DEG);
  const right = usePicture(set, name, fine, RANK.small, LIGHT_DEG);
  return (
    <>
      {left && (
        <div className={classes.gleam} data-side="left">
          <NailCanvas picture={left} px_per_mm={px_per_mm} label="" mark="gleam-drawn" />
        </div>
      )}
      {right && (
        <div className={classes.gleam} data-side="right">
          <NailCanvas picture={right} px_per_mm={px_per_mm} label="" mark="gleam-drawn" />
        </div>
      )}
    </>
  );
}

/** Where the pointer is over something, −1 at its left edge to 1 at its right, for those who watch. */
export function gleamFrom(event: React.PointerEvent<HTMLElement>): void {
  const box = event.currentTarget.getBoundingClientRect();
  const share = (event.clientX - box.left) / box.width;
  event.currentTarget.style.setProperty('--gleam', (2 * share - 1).toFixed(2));
}
