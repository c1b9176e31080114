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

/** Opens a picture file; what it is and how large is read from its head before anything is decoded. */
export async function pictureIn(file: Blob): Promise<Result<PictureIn>> {
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
    const scale = Math.min(1, READ_PX / Math.max(bitmap.width, bitmap.height));
    const small = new OffscreenCanvas(
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    );
    const context = small.getContext('2d', { willReadFrequently: true });
    if (!context) return fail('the picture', 'cannot be drawn: this browser gives no canvas');
    context.drawImage(bitmap, 0, 0, small.width, small.height);
    const { data } = context.getImageData(0, 0, small.width, small.height);
    bitmap.close();
    return ok({ moves: moves(head), pixels: data });
  } catch {
    return fail('the picture', 'is broken: it cannot be opened');
  }
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
