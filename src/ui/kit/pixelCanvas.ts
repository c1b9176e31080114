import type { Raster } from '@/core/picture/raster';

/** A canvas, in no page, that holds a picture as it is. */
export function pixelCanvas({ width, height, data }: Raster): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(data, width, height), 0, 0);
  return canvas;
}

/** Its picture as a PNG. */
export function pngOf(canvas: HTMLCanvasElement): Promise<Blob> {
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('the picture is too large'))),
      'image/png',
    ),
  );
}
