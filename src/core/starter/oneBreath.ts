import { curveOf } from '../geometry/curve';
import { FINGERS, NAILS, type NailName } from '../model/names';
import type { Plate } from '../model/nail';
import type { TipBox } from '../model/product';
import { fail, ok, type Result } from '../model/result';
import { rounded } from '../model/rounded';
import { typicalPlate } from './hand';

const SAID = [...FINGERS].reverse();

/**
 * Tip sizes said in one breath to ten plates: "3 6 5 6 9" is thumb to little finger of both hands, ten numbers are
 * the left hand's and then the right's, each from the thumb. Widths are those that the sizes of the box span on a
 * typical curve; beds and arches are a typical hand's, in proportion.
 */
export function platesOf(said: string, box: TipBox | undefined): Result<Record<NailName, Plate>> {
  if (!box || box.sizes.length === 0) return fail('', 'there is no box of tips whose sizes could be meant');
  const words = said
    .trim()
    .split(/[\s,;/]+/)
    .filter(Boolean);
  if (words.length !== 5 && words.length !== 10)
    return fail('', 'five sizes, thumb to little finger, or ten: the left hand, then the right');
  const sizes: number[] = [];
  for (const word of words) {
    const size = box.sizes.find((one) => String(one.size) === word);
    if (!size) return fail('', `"${word}" is no size of the box “${box.name}”`);
    sizes.push(size.arc_mm);
  }
  const [left, right] = sizes.length === 5 ? [sizes, sizes] : [sizes.slice(0, 5), sizes.slice(5)];
  return ok(
    Object.fromEntries(
      NAILS.map((name) => {
        const finger = SAID.findIndex((one) => name.endsWith(one));
        return [name, plateOfArc(name, (name.startsWith('left') ? left : right)![finger]!)];
      }),
    ) as Record<NailName, Plate>,
  );
}

function plateOfArc(name: NailName, arc_mm: number): Plate {
  const typical = typicalPlate(name);
  const scale = arc_mm / curveOf(typical.width_mm, typical.arch_mm).arc_mm;
  return {
    ...typical,
    width_mm: rounded(typical.width_mm * scale, 1),
    arch_mm: rounded(typical.arch_mm * scale, 1),
    bed_mm: rounded(typical.bed_mm * scale, 1),
  };
}
