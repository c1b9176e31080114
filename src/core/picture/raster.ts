/** Pixels of a picture; RGBA with straight alpha, plain data that can be handed to a worker and back. */
export interface Raster {
  width: number;
  height: number;
  px_per_mm: number;
  data: Uint8ClampedArray<ArrayBuffer>;
}

/** Linear to sRGB bytes through a table: asked for at every pixel. */
const ENCODED = Uint8Array.from({ length: 4097 }, (_, i) => {
  const v = i / 4096;
  return Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
});

/** Linear light 0–1 as an sRGB byte (IEC 61966-2-1). */
export function encode(linear: number): number {
  return ENCODED[linear <= 0 ? 0 : linear >= 1 ? 4096 : Math.round(linear * 4096)]!;
}
