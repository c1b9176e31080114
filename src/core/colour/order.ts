import { lchOf, linearOf } from './space';

/** Less chroma than this has no hue to speak of. */
const GREY_BELOW = 12;
/** Hues begin at a bluish red, so that reds are not parted, in degrees of CIE LCh. */
const FIRST_HUE_DEG = 350;
/** Colours of one such stretch of hue stand by lightness. */
const STRETCH_DEG = 30;

/** Sorts as bottles stand on a shelf: whites to blacks, then round the hues from red on, light before dark in each. */
export function byColour(a: string, b: string): number {
  const [one, other] = [placeOf(a), placeOf(b)];
  return one.stretch - other.stretch || other.lightness - one.lightness;
}

function placeOf(hex: string): { stretch: number; lightness: number } {
  const { lightness, chroma, hue_deg } = lchOf(linearOf(hex));
  const turned = (hue_deg - FIRST_HUE_DEG + 720) % 360;
  return { stretch: chroma < GREY_BELOW ? -1 : Math.floor(turned / STRETCH_DEG), lightness };
}
