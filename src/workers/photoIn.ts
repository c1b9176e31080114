import { fail, ok, type Result } from '@/core/model/result';
import { BROKEN, drawnSmall, openPicture } from './pictureIn';

/** A photo as it is kept. */
export interface SmallPhoto {
  /** JPEG, drawn anew: what the camera wrote into its file, the place above all, is not in it. */
  picture: Blob;
  width_px: number;
  height_px: number;
}

/** Large enough to see a nail in, small enough to keep many. */
const LONGEST_PX = 1600;
const MOST_BYTES = 200_000;
const QUALITIES = [0.85, 0.7, 0.55, 0.4, 0.25];

/** A photo made small, and bare of all but what is seen. */
export async function photoIn(file: Blob): Promise<Result<SmallPhoto>> {
  const open = await openPicture(file);
  if (!open.ok) return open;
  const { bitmap } = open.value;
  try {
    for (const longest_px of [LONGEST_PX, LONGEST_PX / 2, LONGEST_PX / 4]) {
      const canvas = drawnSmall(bitmap, longest_px)?.canvas;
      if (!canvas) break;
      for (const quality of QUALITIES) {
        const picture = await canvas.convertToBlob({ type: 'image/jpeg', quality });
        if (picture.size <= MOST_BYTES)
          return ok({ picture, width_px: canvas.width, height_px: canvas.height });
      }
    }
    return fail('the picture', 'cannot be made small enough to be kept');
  } catch {
    return BROKEN;
  } finally {
    bitmap.close();
  }
}
