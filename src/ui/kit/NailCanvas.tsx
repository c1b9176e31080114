'use client';
import { useEffect, useRef } from 'react';
import type { Raster } from '@/core/picture/raster';

interface Props {
  picture: Raster | undefined;
  /** Shown size, in CSS px a mm; the picture itself may be finer. */
  px_per_mm: number;
  /** Empty where the words beside it already say what it is. */
  label: string;
  /** What is told to the browser's timeline once it is drawn. */
  mark?: string;
}

/** A nail's picture at its true proportions. */
export function NailCanvas({ picture, px_per_mm, label, mark = 'nail-drawn' }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!picture || !context) return;
    context.putImageData(new ImageData(picture.data, picture.width, picture.height), 0, 0);
    performance.mark(mark);
  }, [picture, mark]);
  const scale = picture ? px_per_mm / picture.px_per_mm : 0;
  return (
    <canvas
      ref={canvas}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      width={picture?.width ?? 1}
      height={picture?.height ?? 1}
      style={{
        width: (picture?.width ?? 1) * scale,
        height: (picture?.height ?? 1) * scale,
        display: 'block',
      }}
    />
  );
}
