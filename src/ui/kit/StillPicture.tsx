'use client';
import { Image } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Raster } from '@/core/picture/raster';
import { pixelCanvas, pngOf } from './pixelCanvas';

interface Props {
  picture: Raster | undefined;
  /** Shown size, in CSS px a mm; the picture itself may be finer. */
  px_per_mm: number;
}

interface Shown {
  url: string;
  picture: Raster;
}

/**
 * A small picture that seldom changes, beside words that say what it is. An image, not a canvas: a page puts each canvas
 * together anew with every frame, and while a hand moves something on the large nail that is felt.
 */
export function StillPicture({ picture, px_per_mm }: Props) {
  const [shown, setShown] = useState<Shown>();
  useEffect(() => {
    if (!picture) return;
    let [stale, url] = [false, ''];
    pngOf(pixelCanvas(picture)).then(
      (png) => {
        if (stale) return;
        url = URL.createObjectURL(png);
        setShown({ url, picture });
      },
      // A picture beside words: without it nothing is lost.
      () => undefined,
    );
    return () => {
      stale = true;
      // The next one is there before this one may go.
      setTimeout(() => URL.revokeObjectURL(url), 2000);
    };
  }, [picture]);
  if (!picture || !shown) return <span aria-hidden />;
  const scale = px_per_mm / shown.picture.px_per_mm;
  return (
    <Image
      src={shown.url}
      alt=""
      draggable={false}
      decoding="sync"
      w={shown.picture.width * scale}
      h={shown.picture.height * scale}
    />
  );
}
