'use client';
import { useEffect, useRef } from 'react';

/** A picture of the artist’s own, from memory. */
export function BlobImage({ blob, alt }: { blob: Blob; alt: string }) {
  const image = useRef<HTMLImageElement>(null);
  useEffect(() => {
    const made = URL.createObjectURL(blob);
    if (image.current) image.current.src = made;
    return () => URL.revokeObjectURL(made);
  }, [blob]);
  // Nothing for the server to make smaller.
  // oxlint-disable-next-line nextjs/no-img-element
  return <img ref={image} alt={alt} />;
}
