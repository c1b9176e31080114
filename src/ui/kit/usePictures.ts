'use client';
import { useEffect, useMemo, useReducer, useRef, useState } from 'react';
import type { NailPicture } from '@/core/picture/nailPicture';
import type { SetDocument } from '@/core/document/document';
import { NAILS, type NailName } from '@/core/model/names';
import { restTurn_deg } from '@/core/picture/spread';
import { without } from '@/core/model/without';
import { kitKey, nailKey, nailKeys } from '@/core/plan/nailKey';
import { pictureOf, RANK, type PictureAsked } from '@/workers/planner';
import { notDrawn } from './notDrawn';
import { unforeseen } from './unforeseen';

export type Pictures = Partial<Record<NailName, NailPicture>>;

/** Pictures are drawn finer than they are shown, so that edges stay smooth on dense screens. */
export const FINENESS = 1.5;
/** How fine the large nail is while nothing changes: whole pixels of its own to each of the screen's. */
export const STILL_FINENESS = 2;
/** How fine the large nail is while a hand moves something on it. */
export const HELD_FINENESS = 0.4;

/** A set's ten pictures; after a change only the nails that look different are drawn again. */
export function usePictures(set: SetDocument, px_per_mm: number): Pictures {
  const [pictures, setPictures] = useState<Pictures>({});
  const drawn = useRef<Partial<Record<NailName, string>>>({});
  const [tries, again] = useReducer((n: number) => n + 1, 0);
  useEffect(() => {
    let stale = false;
    const marks = nailKeys(set);
    async function draw(name: NailName) {
      const mark = `${marks[name]}|${px_per_mm}`;
      if (drawn.current[name] === mark) return;
      const asked = { set, name, px_per_mm, turn_deg: restTurn_deg(name), rank: RANK.spread };
      const picture = await pictureOf(asked, () => !stale);
      if (stale || !picture) return;
      drawn.current[name] = mark;
      setPictures((before) => ({ ...before, [name]: picture }));
    }
    Promise.all(NAILS.map(draw)).catch((error: unknown) => {
      if (stale) return;
      // A picture that is no longer true is not left standing.
      const old = NAILS.filter((name) => drawn.current[name] !== `${marks[name]}|${px_per_mm}`);
      setPictures((before) => without(before, ...old));
      notDrawn(error, again);
    });
    return () => {
      stale = true;
    };
  }, [set, px_per_mm, tries]);
  return pictures;
}

interface Wanted {
  set: SetDocument;
  name: NailName;
  px_per_mm: number;
  rank: PictureAsked['rank'];
  turn_deg: number;
}

/**
 * One nail of any set, drawn again when it would look different. One picture is asked for at a time, and then the newest
 * that is wanted by then: while a hand moves, none waits for those it has left behind.
 */
export function usePicture(
  set: SetDocument,
  name: NailName,
  px_per_mm: number,
  rank: Wanted['rank'] = RANK.small,
  turn_deg = 0,
): NailPicture | undefined {
  const [made, setMade] = useState<{ name: NailName; picture: NailPicture | undefined }>();
  const mark = useMemo(() => nailKey(set, name, kitKey(set)), [set, name]);
  const latest = useRef(set);
  const wanted = useRef<Wanted>(undefined);
  const drawing = useRef(false);
  const gone = useRef(false);
  const [tries, again] = useReducer((n: number) => n + 1, 0);
  useEffect(() => {
    latest.current = set;
  }, [set]);
  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
    };
  }, []);
  useEffect(() => {
    wanted.current = { set: latest.current, name, px_per_mm, rank, turn_deg };
    if (drawing.current) return;
    drawing.current = true;
    const drawAll = async () => {
      while (wanted.current && !gone.current) {
        const now: Wanted = wanted.current;
        wanted.current = undefined;
        try {
          const drawn = await pictureOf(now);
          const next = wanted.current as Wanted | undefined;
          // Another nail is wanted by now: this one is nobody's.
          if (!gone.current && (!next || next.name === now.name)) setMade({ name: now.name, picture: drawn });
        } catch (error) {
          if (gone.current || wanted.current) continue;
          setMade(undefined);
          notDrawn(error, again);
        }
      }
      drawing.current = false;
    };
    drawAll().catch(unforeseen);
  }, [name, px_per_mm, rank, turn_deg, mark, tries]);
  // The next nail is never shown with the picture of the last.
  return made?.name === name ? made.picture : undefined;
}
