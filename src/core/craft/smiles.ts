import { smileLine } from '../geometry/regions';
import type { Smile } from '../model/smile';
import { isLeftOff, scaleOn, sideOf, type NailContext } from './context';
import type { Element } from './techniques';

/** Where a smile line runs on a nail: y over x, in mm. */
export type SmileLine = (x_mm: number) => number;

/** The smile lines of elements as they lie on this nail, for other things to be set on. */
export function smilesOn(elements: readonly Element[], context: NailContext): SmileLine[] {
  return elements.flatMap((element) => {
    const smile = smileOf(element);
    if (!smile || !('fit' in element) || isLeftOff(context.frame, element)) return [];
    const mirror = sideOf(context, element) < 0;
    return [
      smileLine(context.frame, smile, { mirror, scale: scaleOn(context.frame, element), margin_mm: 0 }),
    ];
  });
}

function smileOf(element: Element): Smile | undefined {
  if (!('region' in element)) return undefined;
  const { region } = element;
  return region.kind === 'tip' || region.kind === 'bed' ? region.smile : undefined;
}
