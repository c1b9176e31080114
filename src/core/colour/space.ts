import { converter, differenceCiede2000, formatHex, parse, type Lrgb, type Rgb } from 'culori/fn';
import { modeLab65, modeLch65, modeLrgb, modeRgb, modeXyz65, useMode as registerMode } from 'culori/fn';
import { clampReflectance, type Triple } from './film';

/** Colour spaces and differences come from culori; here stand only the conversions the films need. */
registerMode(modeRgb);
registerMode(modeXyz65);
registerMode(modeLab65);
registerMode(modeLch65);
const toLinear = registerMode(modeLrgb);
const toRgb = converter('rgb');
const toLch = converter('lch65');
const ciede2000 = differenceCiede2000();

/** sRGB hex to linear reflectances. An unreadable colour is black: the schema refuses it before it gets here. */
export function linearOf(hex: string): Triple {
  const colour = toLinear(parse(hex) ?? { mode: 'rgb', r: 0, g: 0, b: 0 });
  return [colour.r, colour.g, colour.b];
}

export function hexOf(linear: Triple): string {
  return formatHex(rgbOf(linear));
}

function rgbOf(linear: Triple): Rgb {
  return toRgb(lrgbOf(linear));
}

function lrgbOf([r, g, b]: Triple): Lrgb {
  return { mode: 'lrgb', r, g, b };
}

/** CIEDE2000 between two linear colours (Sharma, Wu & Dalal 2005 through culori). */
export function difference(a: Triple, b: Triple): number {
  return ciede2000(lrgbOf(a), lrgbOf(b));
}

/** CIE lightness 0–100, chroma, and hue in degrees. */
export function lchOf(linear: Triple): {
  lightness: number;
  chroma: number;
  hue_deg: number;
} {
  const colour = toLch(
    rgbOf([clampReflectance(linear[0]), clampReflectance(linear[1]), clampReflectance(linear[2])]),
  );
  // What has no chroma has no hue.
  return { lightness: colour.l, chroma: colour.c, hue_deg: colour.h ?? 0 };
}

/** Luminance of a linear colour, 0–1 (sRGB primaries). */
export function luminance(linear: Triple): number {
  return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2];
}
