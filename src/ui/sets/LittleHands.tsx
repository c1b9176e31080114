'use client';
import type { SetDocument } from '@/core/document/document';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { FINENESS, usePictures } from '../kit/usePictures';

const MOST_PX_PER_MM = 6.4;

/** A set as two small hands, drawn from its real plan. */
export function LittleHands({ set, width }: { set: SetDocument; width: number }) {
  const px_per_mm = spreadScale(set, width, MOST_PX_PER_MM);
  const pictures = usePictures(set, px_per_mm * FINENESS);
  return <HandsSpread set={set} pictures={pictures} px_per_mm={px_per_mm} />;
}
