'use client';
import { useEffect, useState } from 'react';
import { ActionIcon, Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconZoomIn, IconZoomOut, IconZoomReset } from '@tabler/icons-react';
import { buildOf, frameOf, lookOf } from '@/core/document/nailContext';
import type { Look, SetDocument } from '@/core/document/document';
import type { NailFrame } from '@/core/geometry/frame';
import { upperFirst } from '@/core/model/letters';
import { nailWords } from '@/core/model/names';
import { glitters } from '@/core/picture/glitter';
import { PICTURE_PAD_MM } from '@/core/picture/spread';
import { Finger } from '../kit/Finger';
import { Go } from '../kit/Go';
import { NailCanvas } from '../kit/NailCanvas';
import { pathOf } from '../kit/route';
import { FINENESS, HELD_FINENESS, STILL_FINENESS, usePicture } from '../kit/usePictures';
import { RANK } from '@/workers/planner';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { FindingStrip } from './FindingStrip';
import { Gleam, gleamFrom } from './Gleam';
import { Handles, type Room } from './Handles';
import { NailActions } from './NailActions';
import { Pen } from './Pen';
import { Rule } from './Rule';
import { SeenAs } from './SeenAs';
import { useCopying } from './useCopying';
import { openLookOf } from './useEditing';
import { useZoom } from './useZoom';
import classes from './Desk.module.css';

/** Room around the nail: beside it for the rule and the finger, below for the fold of skin it grows from. */
const ROOM: Room = { x: 60, right: 44, top: 10, bottom: 56 };

/** The nail in focus, large: what the open element has to be taken hold of, and the nail's own things beside it. */
export function Desk({ height_px }: { height_px: number }) {
  const set = useSettled((now) => now);
  const focus = useStudio((s) => s.focus);
  const look = useSettled(openLookOf);
  const { stage, times, larger, smaller, whole, pan } = useZoom();
  const { paste } = useCopying();
  useHotkeys([['mod+V', (event) => paste() && event.preventDefault(), { preventDefault: false }]]);
  const nail = set.nails[focus];
  const frame = frameOf(nail, buildOf(set, nail));
  const fits = (height_px - ROOM.top - ROOM.bottom) / (frame.length_mm + 2 * PICTURE_PAD_MM);
  const px_per_mm = Math.round(Math.min(26, Math.max(8, fits)) * times * 10) / 10;
  const wears = lookOf(set, nail);
  return (
    <section className={classes.desk} aria-label="The nail in focus">
      <header className={classes.head}>
        <h2>{upperFirst(nailWords(focus))}</h2>
        <span className={classes.mm}>
          {nail.plate.width_mm} × {frame.length_mm.toFixed(1)} mm ·{' '}
          <Go href={pathOf({ kind: 'set', id: set.id, view: 'hands' })}>{buildOf(set, nail).name}</Go>
        </span>
        <ActionIcon variant="subtle" color="gray" aria-label="Smaller" disabled={!smaller} onClick={smaller}>
          <IconZoomOut size={20} />
        </ActionIcon>
        <ActionIcon variant="subtle" color="gray" aria-label="Larger" disabled={!larger} onClick={larger}>
          <IconZoomIn size={20} />
        </ActionIcon>
        {whole && (
          <ActionIcon
            variant="subtle"
            color="gray"
            aria-label="The whole nail"
            title="The whole nail"
            onClick={whole}
          >
            <IconZoomReset size={20} />
          </ActionIcon>
        )}
      </header>
      <div
        ref={stage}
        className={classes.stage}
        data-zoomed={times > 1 || undefined}
        tabIndex={times > 1 ? 0 : undefined}
        {...pan}
      >
        <Plot frame={frame} px_per_mm={px_per_mm} />
      </div>
      <div className={classes.beside}>
        <SeenAs />
        {look && wears?.id !== look.id && <OtherLook wears={wears} open={look} />}
        <NailActions />
      </div>
      <FindingStrip />
    </section>
  );
}

/** The nail in focus on its finger, beside the rule: what the hand moves, and nothing else follows it at once. */
function Plot({ frame, px_per_mm }: { frame: NailFrame; px_per_mm: number }) {
  const set = useStudio((s) => s.set);
  const focus = useStudio((s) => s.focus);
  // While a hand moves, the picture is coarse; it is exact once the hand has rested.
  const held = useStudio((s) => s.moving);
  const look = useStudio((s) => openLookOf(s.set, s));
  const still = useStill(set);
  const picture = usePicture(
    set,
    focus,
    px_per_mm * (held ? HELD_FINENESS : still ? STILL_FINENESS : FINENESS),
    held ? RANK.held : RANK.large,
  );
  const width = (frame.width_mm + 2 * PICTURE_PAD_MM) * px_per_mm;
  const height = (frame.length_mm + 2 * PICTURE_PAD_MM) * px_per_mm;
  return (
    <div
      className={classes.plot}
      data-testid="plot"
      data-px-per-mm={px_per_mm}
      style={{ width: width + ROOM.x + ROOM.right, height: height + ROOM.top + ROOM.bottom }}
      onPointerMove={held ? undefined : gleamFrom}
    >
      <Finger
        set={set}
        name={focus}
        px_per_mm={px_per_mm}
        below_mm={PICTURE_PAD_MM + ROOM.bottom / px_per_mm}
        turn_deg={0}
        x={ROOM.x + width / 2}
        y={ROOM.top + (frame.length_mm + PICTURE_PAD_MM) * px_per_mm}
      />
      <Rule length_mm={frame.length_mm} px_per_mm={px_per_mm} room={ROOM} />
      <div style={{ position: 'absolute', left: ROOM.x, top: ROOM.top }}>
        <NailCanvas picture={picture} px_per_mm={px_per_mm} label={`${nailWords(focus)}, large`} />
        {!held && glitters(set, focus) && <Gleam set={set} name={focus} px_per_mm={px_per_mm} />}
      </div>
      {look && lookOf(set, set.nails[focus])?.id === look.id && (
        <Handles look={look} frame={frame} px_per_mm={px_per_mm} room={ROOM} />
      )}
      <Pen frame={frame} px_per_mm={px_per_mm} room={ROOM} />
    </div>
  );
}

/** Nothing has changed for so long: what is drawn now may take longer. */
const STILL_MS = 700;

/** Whether a set has stood as it is for a while, planned. */
function useStill(set: SetDocument): boolean {
  const [still, setStill] = useState<SetDocument>();
  // First come the ten nails and the plan.
  const planned = useStudio((s) => s.planning === 'fresh');
  useEffect(() => {
    if (!planned) return undefined;
    const timer = setTimeout(() => setStill(set), STILL_MS);
    return () => clearTimeout(timer);
  }, [set, planned]);
  return still === set;
}

/** The nail wears something else than what is open: nothing of the open look is to be held on it. */
function OtherLook({ wears, open }: { wears: Look | undefined; open: Look }) {
  const store = useStudioStore();
  return (
    <div className={classes.other}>
      <p>
        {wears ? (
          <>
            Wears <b>{wears.name}</b>; <b>{open.name}</b> is open.
          </>
        ) : (
          'Wears nothing yet.'
        )}
      </p>
      {wears && (
        <Button variant="default" onClick={() => store.getState().openLookAt(wears.id)}>
          Open {wears.name}
        </Button>
      )}
    </div>
  );
}
