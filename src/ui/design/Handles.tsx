'use client';
import { useEffect, useRef } from 'react';
import { contextOf, elementOn, wornElements } from '@/core/document/nailContext';
import { partsAgain, withoutParts } from '@/core/craft/copies';
import type { Handle } from '@/core/regions/handle';
import { smilesOn, type SmileLine } from '@/core/craft/smiles';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look, SetDocument } from '@/core/document/document';
import { onUnrolled_mm, seenFromAbove_mm, type NailFrame, type Point } from '@/core/geometry/frame';
import { upperFirst } from '@/core/model/letters';
import { PICTURE_PAD_MM } from '@/core/picture/spread';
import { pictureOf, RANK } from '@/workers/planner';
import { useGesture } from '../kit/useGesture';
import { HELD_FINENESS } from '../kit/usePictures';
import { useStudio, useStudioStore } from '../studio/studio';
import { toggled } from '../studio/StudioKeys';
import { useCopying } from './useCopying';
import { openElementOf, useEditing } from './useEditing';
import classes from './Desk.module.css';

/** Room around the picture, in px. */
export interface Room {
  x: number;
  right: number;
  top: number;
  bottom: number;
}

/** What is held: by which pointer, how far from its middle, what was there before, and where it is to go. */
interface Grip {
  pointer: number;
  id: string;
  off: Point;
  before: Element;
  to: Point | undefined;
  /** The smile lines of what else the nail wears. */
  smiles: SmileLine[];
}

interface Props {
  look: Look;
  frame: NailFrame;
  px_per_mm: number;
  room: Room;
}

/** What the open element is taken hold of by, on the picture of the nail in focus. */
export function Handles({ look, ...rest }: Props) {
  const open = useStudio((s) => s.openElement);
  const element = openElementOf(look, open);
  return element ? <OpenHandles key={element.id} look={look} element={element} {...rest} /> : null;
}

/** A nudge by an arrow key, and a larger one with Shift. */
const NUDGE_MM = 0.1;
const LEAP_MM = 1;
/** The picture is exact again so long after a hand has let go. */
const RESTED_MS = 150;
/** Near the centre line, or in line with another, a thing goes there, unless Alt is held. */
const SNAP_MM = 0.25;
const ARROWS: Record<string, Point> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
};

function OpenHandles({ look, element, frame, px_per_mm, room }: Props & { element: Element }) {
  const set = useStudio((s) => s.set);
  const store = useStudioStore();
  const editing = useEditing(look, element, true);
  const { copy } = useCopying();
  const gesture = useGesture();
  const active = useStudio((s) => s.openPart);
  const { openPartAt: setActive, chooseParts: setAlso, takeHold } = store.getState();
  const also = useStudio((s) => s.alsoParts);
  const grip = useRef<Grip>(undefined);
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined);
  const readied = useRef<SetDocument>(undefined);
  const off = set.nails[editing.nail].changes.some((one) => one.element === element.id && 'leave_off' in one);
  const handles = off
    ? []
    : (techniqueOf(element.kind).handles?.(editing.element, contextOf(set, editing.nail)) ?? []);
  const group = handles.find((one) => one.id === active)?.of ?? active;
  const shown = handles.filter((one) => !one.of || one.of === group);
  const pad = PICTURE_PAD_MM;
  const place = ({ x, y }: Point) => ({
    left: room.x + (seenFromAbove_mm(frame, x) + frame.width_mm / 2 + pad) * px_per_mm,
    top: room.top + (frame.length_mm + pad - y) * px_per_mm,
  });

  function pointOf(event: React.PointerEvent): Point {
    // The handles' plane lies over the plot from corner to corner.
    const box = event.currentTarget.parentElement!.getBoundingClientRect();
    const seen = (event.clientX - box.left - room.x) / px_per_mm - pad - frame.width_mm / 2;
    return {
      x: onUnrolled_mm(frame, seen),
      y: frame.length_mm + pad - (event.clientY - box.top - room.top) / px_per_mm,
    };
  }

  function begin(event: React.PointerEvent, handle: Handle<Element>) {
    if (grip.current || event.button !== 0) return;
    if (event.shiftKey && !handle.of) {
      // The first one was chosen by taking hold of it.
      const first = handles.filter((one) => one.id === active && !one.of && one.id !== handle.id);
      setAlso(toggled(also.length > 0 ? also : first.map((one) => one.id), handle.id));
      setActive(handle.id);
      return;
    }
    if (!also.includes(handle.id)) setAlso([]);
    event.currentTarget.setPointerCapture(event.pointerId);
    gesture.begin();
    const at = pointOf(event);
    grip.current = {
      pointer: event.pointerId,
      id: handle.id,
      off: { x: handle.at.x - at.x, y: handle.at.y - at.y },
      before: editing.element,
      to: undefined,
      smiles: smilesOn(
        wornElements(set, set.nails[editing.nail]).filter((one) => one.id !== element.id),
        contextOf(set, editing.nail),
      ),
    };
    setActive(handle.id);
    clearTimeout(rest.current);
    takeHold();
  }

  function drag(event: React.PointerEvent) {
    const held = grip.current;
    if (!held || held.pointer !== event.pointerId) return;
    const at = pointOf(event);
    const free = { x: at.x + held.off.x, y: at.y + held.off.y };
    const others = handles.filter((one) => one.id !== held.id && !one.of && !also.includes(one.id));
    const to = event.altKey ? free : intoLine(free, others, held.smiles);
    const waiting = held.to !== undefined;
    held.to = to;
    // One change a frame, however often the pointer speaks.
    if (waiting) return;
    requestAnimationFrame(() => {
      const now = grip.current;
      if (now !== held || !now.to) return;
      move(now.id, now.to);
      now.to = undefined;
    });
  }

  function move(id: string, to: Point) {
    // As the element is by now, not as it was when the hand came down.
    const { set: now } = store.getState();
    const own = elementOn(now, editing.nail, look.id, element.id);
    const held = own && handleOf(own, now, id);
    if (held)
      editing.put(withThose(held.move(to), now, id, to.x - held.at.x, to.y - held.at.y), gesture.id());
  }

  function handleOf(own: Element, now: SetDocument, id: string): Handle<Element> | undefined {
    return techniqueOf(own.kind)
      .handles?.(own, contextOf(now, editing.nail))
      .find((one) => one.id === id);
  }

  /** The others that were chosen go the same way. */
  function withThose(own: Element, now: SetDocument, held: string, right: number, up: number): Element {
    return also.reduce((moved, id) => {
      const one = id === held ? undefined : handleOf(moved, now, id);
      return one ? one.move({ x: one.at.x + right, y: one.at.y + up }) : moved;
    }, own);
  }

  function end(event: React.PointerEvent, kept: boolean) {
    const held = grip.current;
    if (!held || held.pointer !== event.pointerId) return;
    if (kept && held.to) move(held.id, held.to);
    if (!kept) editing.put(held.before, gesture.id());
    letGo();
  }

  function letGo() {
    grip.current = undefined;
    // What comes next is another step of undo.
    gesture.begin();
    store.getState().letGo();
    rest.current = setTimeout(() => store.getState().rested(), RESTED_MS);
  }

  /** Parts copied, laid once more beside themselves, or taken out; false where the key says nothing of it. */
  function copying(event: React.KeyboardEvent, handle: Handle<Element>): boolean {
    const { copies } = techniqueOf(element.kind);
    if (!copies) return false;
    const ids = [handle.id, ...also];
    const key = event.ctrlKey || event.metaKey ? `Ctrl ${event.key.toLowerCase()}` : event.key;
    if (key === 'Ctrl c') return copy(editing.element, ids);
    const out = key === 'Delete' || key === 'Backspace';
    if (key !== 'Ctrl d' && !out) return false;
    gesture.begin();
    editing.put((out ? withoutParts : partsAgain)(editing.element, copies, ids), gesture.id());
    if (out) setAlso([]);
    return true;
  }

  function onKey(event: React.KeyboardEvent, handle: Handle<Element>) {
    if (event.key === 'Escape' && grip.current) {
      editing.put(grip.current.before, gesture.id());
      letGo();
      return;
    }
    if (copying(event, handle)) {
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    const arrow = ARROWS[event.key];
    if (!arrow) return;
    event.preventDefault();
    event.stopPropagation();
    const by = event.shiftKey ? LEAP_MM : NUDGE_MM;
    const [right, up] = [arrow.x * by, arrow.y * by];
    const moved = handle.move({ x: handle.at.x + right, y: handle.at.y + up });
    const those = also.includes(handle.id) ? withThose(moved, set, handle.id, right, up) : moved;
    editing.put(those, gesture.id());
  }

  // Gone while something is held, nothing is held any more.
  useEffect(
    () => () => {
      clearTimeout(rest.current);
      const studio = store.getState();
      studio.letGo();
      studio.rested();
      studio.chooseParts([]);
    },
    [store],
  );

  /** Drawn once as it will be while it moves, so that the first move has something to be laid over. */
  function ready() {
    if (grip.current || readied.current === set) return;
    readied.current = set;
    const held = { set, name: editing.nail, px_per_mm: px_per_mm * HELD_FINENESS, rank: RANK.held };
    pictureOf(held).catch(() => undefined);
  }

  const told = handles.find((one) => one.id === active);
  return (
    <div className={classes.handles} data-keeps-arrows>
      {shown.map((handle) => (
        <button
          key={handle.id}
          type="button"
          className={classes.handle}
          style={place(handle.at)}
          data-part={handle.of ? 'end' : undefined}
          data-active={handle.id === active || undefined}
          data-also={also.includes(handle.id) || undefined}
          data-testid={`handle-${handle.id}`}
          aria-label={`${upperFirst(handle.words)}: ${handle.says}`}
          onFocus={() => {
            setActive(handle.id);
            gesture.begin();
          }}
          onPointerEnter={ready}
          onPointerDown={(event) => begin(event, handle)}
          onPointerMove={drag}
          onPointerUp={(event) => end(event, true)}
          onPointerCancel={(event) => end(event, false)}
          onKeyDown={(event) => onKey(event, handle)}
        />
      ))}
      {told && (
        <output className={classes.says} data-testid="handle-says">
          <b>{upperFirst(told.words)}</b> {told.says}
        </output>
      )}
    </div>
  );
}

/** On the centre line, in line with another handle or on a smile line, where one is near. */
function intoLine({ x, y }: Point, others: readonly Handle<Element>[], smiles: readonly SmileLine[]): Point {
  const across = snapped(x, [0, ...others.map((one) => one.at.x)]);
  return {
    x: across,
    y: snapped(y, [...others.map((one) => one.at.y), ...smiles.map((line) => line(across))]),
  };
}

/** The nearest of some lines, where one is near. */
function snapped(value: number, lines: readonly number[]): number {
  const nearest = lines.reduce(
    (best, line) => (Math.abs(line - value) < Math.abs(best - value) ? line : best),
    Infinity,
  );
  return Math.abs(nearest - value) < SNAP_MM ? nearest : value;
}
