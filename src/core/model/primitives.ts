import * as z from 'zod/mini';
import './complaints';

/** Ids stand inside operation ids (`nail/element/step#pass`), so they carry no slash and no hash. */
export const Id = z
  .string()
  .check(
    z.regex(
      /^[a-z0-9][a-z0-9-]{0,39}$/,
      'must be 1 to 40 small letters, digits or hyphens, starting with a letter or digit',
    ),
  );

/** At least one character that leaves ink: no space, nothing of no width, no mark of direction. */
const SEEN = /[^\p{White_Space}\p{Default_Ignorable_Code_Point}\p{Cc}\p{Cf}]/u;

/** sRGB hex; for a product it means the film when it hides fully. */
export const Colour = z.string().check(z.regex(/^#[0-9a-f]{6}$/i, 'must be a colour such as #7a1f2b'));

/** What an artist calls something: up to 120 characters, of which at least one is to be seen. */
export const MOST_WORDS = 120;
export const Words = z.string().check(
  z.maxLength(MOST_WORDS),
  z.regex(SEEN, 'must have a letter or sign that can be seen'),
  z.refine((words) => words === words.trim(), 'must not begin or end with a space'),
);

/** Words as they are kept: no space at the ends, not too long. Undefined where nothing of them can be seen. */
export function tidyWords(typed: string): string | undefined {
  const words = typed.trim().slice(0, MOST_WORDS).trim();
  return SEEN.test(words) ? words : undefined;
}

/** "Curtain Up (copy)": words with an addition, of which the addition is never cut. */
export function wordsWith(words: string, addition: string): string {
  return `${words.slice(0, MOST_WORDS - addition.length - 1).trim()} ${addition}`;
}

/** A length in mm within the given limits, both included. */
export function mm(min: number, max: number, step = 0.1) {
  return z
    .number()
    .check(
      z.gte(min, `must be at least ${min} mm`),
      z.lte(max, `must be at most ${max} mm`),
      z.meta({ unit: 'mm', step }),
    );
}

/** A thickness in µm within the given limits, both included. */
export function um(min: number, max: number, step = 10) {
  return z
    .number()
    .check(
      z.gte(min, `must be at least ${min} µm`),
      z.lte(max, `must be at most ${max} µm`),
      z.meta({ unit: 'µm', step }),
    );
}

/** A whole number of things. */
export function count(min: number, max: number) {
  return z
    .int()
    .check(z.gte(min, `must be at least ${min}`), z.lte(max, `must be at most ${max}`), z.meta({ step: 1 }));
}

/** A share of something, 0 to 1. */
export function share(step = 0.05) {
  return z.number().check(z.gte(0), z.lte(1), z.meta({ step }));
}

/** A turn against the clock, seen from above with the tip up. */
export const Turn = z.number().check(z.gte(-180), z.lte(180), z.meta({ unit: '°', step: 5 }));

/** Seconds of hand work, light or drying. */
export function seconds(min: number, max: number, step = 1) {
  return z
    .number()
    .check(
      z.gte(min, `must be at least ${min} s`),
      z.lte(max, `must be at most ${max} s`),
      z.meta({ unit: 's', step }),
    );
}

/** A share of the nail's arc: −1 the left sidewall, 0 the middle, 1 the right sidewall. */
export const Across = z.number().check(z.gte(-1), z.lte(1), z.meta({ step: 0.05 }));

/** A place along the nail by landmarks: 0 cuticle, 1 free edge, 2 tip. */
export const Along = z.number().check(z.gte(0), z.lte(2), z.meta({ step: 0.05 }));
