'use client';
import { useEffect, useRef, useState } from 'react';
import type { NailPicture } from '@/core/picture/nailPicture';
import type { SetDocument } from '@/core/model/document';
import { NAILS, type NailName } from '@/core/model/names';
import { getPlanner } from '@/workers/planner';

export type Pictures = Partial<Record<NailName, NailPicture>>;

/** Pictures are drawn finer than they are shown, so that edges stay smooth on dense screens. */
export const FINENESS = 2;

/** The open set's ten pictures; only nails whose mark changed are drawn again. */
export function usePictures(marks: Partial<Record<NailName, string>>, px_per_mm: number): Pictures {
  const [pictures, setPictures] = useState<Pictures>({});
  const drawn = useRef<Partial<Record<NailName, string>>>({});
  useEffect(() => {
    let stale = false;
    async function draw() {
      for (const name of NAILS) {
        const mark = marks[name] && `${marks[name]}|${px_per_mm}`;
        if (!mark || drawn.current[name] === mark) continue;
        const picture = await getPlanner().picture(name, px_per_mm);
        if (stale) return;
        drawn.current[name] = mark;
        setPictures((before) => ({ ...before, [name]: picture }));
      }
    }
    void draw();
    return () => {
      stale = true;
    };
  }, [marks, px_per_mm]);
  return pictures;
}

/** One nail of any set, in its finished look, drawn again when `mark` changes. */
export function usePreview(set: SetDocument, name: NailName, px_per_mm: number, mark: string): NailPicture | undefined {
  const [picture, setPicture] = useState<NailPicture>();
  const latest = useRef(set);
  useEffect(() => {
    latest.current = set;
  }, [set]);
  useEffect(() => {
    let stale = false;
    void getPlanner()
      .preview(latest.current, name, px_per_mm)
      .then((made) => {
        if (!stale) setPicture(made);
      });
    return () => {
      stale = true;
    };
  }, [name, px_per_mm, mark]);
  return picture;
}
