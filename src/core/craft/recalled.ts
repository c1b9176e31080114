import type * as z from 'zod/mini';
import { figure, type Figure } from '../model/limits';
import { readPath } from './fieldPath';

/** A figure of a recipe as it was planned. */
export interface RecalledFigure extends Figure {
  value: number;
}

/** What of an element is not found again from memory: the step at which it is asked for, and its figures. */
export interface Recalled<E> {
  /** Its step on the nail; none where a build is made of it. */
  step?: string;
  figures: (element: E, nameOf: (product: string) => string) => RecalledFigure[];
}

/** "Held 8 s". */
export function figureWords({
  words,
  unit,
  value,
}: Pick<RecalledFigure, 'words' | 'unit' | 'value'>): string {
  return [words, value, unit].filter((one) => one !== undefined && one !== '').join(' ');
}

/** Figures of a schema with the values that an element has; `words` by dotted path. */
export function recalledFigures(
  schema: z.ZodMiniType,
  element: unknown,
  words: Readonly<Record<string, string>>,
): RecalledFigure[] {
  return Object.entries(words).flatMap(([path, said]) => {
    const value = readPath(element, path);
    return typeof value === 'number'
      ? [{ ...figure(schema, path.replaceAll(/\.\d+/g, ''), said), path, value }]
      : [];
  });
}
