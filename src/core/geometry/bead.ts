import type { NailFrame } from './frame';
import { smooth } from './smooth';

/** Where the apex is laid, as a share of the bed (common practice: over or just behind the stress area). */
const APEX_SHARE = 0.9;

/**
 * The bead an artist lays: full at the apex, thinner towards cuticle, sidewalls and free edge, as a share of its
 * thickness at the apex (common practice).
 */
export function beadShare(frame: NailFrame, x_mm: number, y_mm: number): number {
  const apex = frame.bed_mm * APEX_SHARE;
  const past = Math.max(0, Math.min(1, (y_mm - apex) / (frame.length_mm - apex || 1)));
  const along =
    y_mm < apex ? 0.45 + 0.55 * Math.sin((Math.PI / 2) * Math.max(0, y_mm / apex)) : 1 - 0.5 * smooth(past);
  const half = frame.halfWidth_mm(Math.max(0, Math.min(y_mm, frame.length_mm))) || 1;
  return along * (1 - 0.5 * Math.min(1, (x_mm / half) ** 2));
}
