import { imageSize } from 'image-size';
import { fail, ok, type Result } from '@/core/model/result';

const MOST_BYTES = 40 * 1024 * 1024;
const MOST_SIDE_PX = 12_000;
const MOST_PX = 60_000_000;
/** Fine enough for its colours, small enough to be read at once. */
const READ_PX = 480;
const KINDS: readonly string[] = ['png', 'jpg', 'webp'];

export interface PictureIn {
  /** It moves: its first picture was taken. */
  moves: boolean;
  /** sRGB bytes, RGBA, no longer than `READ_PX` a side. */
  pixels: Uint8ClampedArray<ArrayBuffer>;
}

/** A picture file that is open, and what it is. Close it after use. */
export interface OpenPicture {
  bitmap: ImageBitmap;
  moves: boolean;
}

/** Opens a picture file; what it is and how large is read from its head before anything is decoded. */
export async function openPicture(file: Blob): Promise<Result<OpenPicture>> {
  if (file.size > MOST_BYTES)
    return fail('the picture', `is ${Math.round(file.size / 1e6)} MB: at most ${MOST_BYTES / 1024 / 1024}`);
  const head = new Uint8Array(await file.arrayBuffer());
  const measured = measure(head);
  if (!measured || !KINDS.includes(measured.type ?? ''))
    return fail('the picture', 'cannot be read: a PNG, JPEG or WebP file is wanted');
  const { width, height } = measured;
  if (Math.max(width, height) > MOST_SIDE_PX || width * height > MOST_PX)
    return fail(
      'the picture',
      `is ${width} × ${height} px: at most ${MOST_SIDE_PX} a side and 60 megapixels`,
    );
  try {
    // Turned as the camera says.
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    return ok({ bitmap, moves: moves(head) });
  } catch {
    return BROKEN;
  }
}
export const BROKEN = fail('the picture', 'is broken: it cannot be opened');
const NO_CANVAS = fail('the picture', 'cannot be drawn: this browser gives no canvas');

/** A picture's colours, small enough to be read at once. */
export async function pictureIn(file: Blob): Promise<Result<PictureIn>> {
  const open = await openPicture(file);
  if (!open.ok) return open;
  const { bitmap, moves } = open.value;
  try {
    const context = drawnSmall(bitmap, READ_PX);
    if (!context) return NO_CANVAS;
    const { width, height } = context.canvas;
    return ok({ moves, pixels: context.getImageData(0, 0, width, height).data });
  } catch {
    return BROKEN;
  } finally {
    bitmap.close();
  }
}

/** A picture no longer than so much on its longer side, on a canvas; undefined where there is none. */
export function drawnSmall(bitmap: ImageBitmap, most_px: number) {
  const scale = Math.min(1, most_px / Math.max(bitmap.width, bitmap.height));
  const small = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  );
  const context = small.getContext('2d', { willReadFrequently: true });
  context?.drawImage(bitmap, 0, 0, small.width, small.height);
  return context ?? undefined;
}

function measure(head: Uint8Array) {
  try {
    return imageSize(head);
  } catch {
    return undefined;
  }
}

/** An animation control chunk (APNG) or an ANIM chunk (WebP) near the beginning. */
function moves(head: Uint8Array): boolean {
  const text = new TextDecoder('latin1').decode(head.subarray(0, 4096));
  return text.includes('acTL') || text.includes('ANIM');
}
