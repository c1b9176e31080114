import { regionKindOf, type Region } from '../regions';
import { onPart, type Handle } from '../regions/handle';
import { onNail, type Fitting, type NailContext } from './context';

/** What the part of the nail that an element lies on is moved by. */
export function partHandles<E extends Fitting & { region: Region }>(
  element: E,
  context: NailContext,
): Handle<E>[] {
  const handles = regionKindOf(element.region.kind).handles(element.region, onNail(context, element));
  return onPart(handles, (region) => ({ ...element, region }));
}
