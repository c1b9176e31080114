import type { Laid } from '@/core/picture/spread';

/** A fingertip as SVG path data in mm: rounded a little short of the free edge, straight down from there. */
export function fingerPath(laid: Laid, height_mm: number): string {
  const half = laid.finger_mm / 2;
  const top = laid.cuticle_mm - laid.bed_mm * 0.9;
  const shoulder = top + half * 1.15;
  const left = laid.x_mm - half;
  const right = laid.x_mm + half;
  const end = height_mm + 12;
  return `M${left} ${end}L${left} ${shoulder}C${left} ${top + half * 0.25} ${laid.x_mm - half * 0.6} ${top} ${laid.x_mm} ${top}C${laid.x_mm + half * 0.6} ${top} ${right} ${top + half * 0.25} ${right} ${shoulder}L${right} ${end}Z`;
}
