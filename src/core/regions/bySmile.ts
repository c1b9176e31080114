import * as z from 'zod/mini';
import { outlinePolygon } from '../geometry/frame';
import { clampTo, offSkin_mm, offSkinPolygon, smileLine, smilePolyline, unique } from '../geometry/regions';
import { figure, type Figure } from '../model/limits';
import { Smile } from '../model/smile';
import { onPart, smileHandles } from './handle';
import { defineRegion } from './regionKind';

/** The figures of a smile line as an editor shows them; `at` is where it stands in its element or build. */
export function smileFigures(at = 'smile'): Figure[] {
  return [
    figure(Smile, 'rise_mm', 'Rise'),
    figure(Smile, 'depth_mm', 'Depth'),
    figure(Smile, 'tilt_mm', 'Tilt'),
  ].map((one) => ({ ...one, path: `${at}.${one.path}` }));
}

const FRESH = { rise_mm: 0, depth_mm: 2, tilt_mm: 0 };

/** What lies beyond the smile line. */
export const tip = defineRegion({
  kind: 'tip',
  words: 'The tip, by a smile line',
  noun: () => 'tip',
  schema: z.strictObject({ kind: z.literal('tip'), smile: Smile }),
  fresh: { kind: 'tip', smile: FRESH },
  figures: () => smileFigures(),
  lay: (frame, region, laying) => {
    const line = smileLine(frame, region.smile, laying);
    const low = smilePolyline(frame, region.smile, laying);
    const edge = outlinePolygon(frame).filter((point) => point.y > line(point.x));
    return {
      polygons: [[...low.map((p) => ({ x: clampTo(frame, p), y: p.y })), ...edge.filter(unique)]],
      distance_mm: (x, y) => {
        const slope = (line(x + 0.05) - line(x - 0.05)) / 0.1;
        return Math.min(
          offSkin_mm(frame, x, y, laying.margin_mm),
          (y - line(x)) / Math.sqrt(1 + slope * slope),
        );
      },
    };
  },
  handles: (region, on) => onPart(smileHandles(region.smile, on), (smile) => ({ ...region, smile })),
  says: () => 'beyond the smile line',
});

/** What lies behind it. */
export const bed = defineRegion({
  kind: 'bed',
  words: 'The bed, up to a smile line',
  noun: () => 'bed',
  schema: z.strictObject({ kind: z.literal('bed'), smile: Smile }),
  fresh: { kind: 'bed', smile: FRESH },
  figures: () => smileFigures(),
  lay: (frame, region, laying) => {
    const line = smileLine(frame, region.smile, laying);
    return {
      polygons: [
        offSkinPolygon(frame, laying.margin_mm).map((point) => {
          const y = Math.min(point.y, Math.min(frame.length_mm, line(point.x)));
          return { x: clampTo(frame, { x: point.x, y }), y };
        }),
      ],
      distance_mm: (x, y) => {
        const slope = (line(x + 0.05) - line(x - 0.05)) / 0.1;
        return Math.min(
          offSkin_mm(frame, x, y, laying.margin_mm),
          (line(x) - y) / Math.sqrt(1 + slope * slope),
        );
      },
    };
  },
  handles: (region, on) => onPart(smileHandles(region.smile, on), (smile) => ({ ...region, smile })),
  says: () => 'up to the smile line',
});
