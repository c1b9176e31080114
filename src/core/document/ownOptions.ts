import type { Element } from '../craft/techniques';
import type { NailChange } from '../model/nail';

type Options = Extract<NailChange, { options: unknown }>['options'];

/** What an element has otherwise than its look's, as a nail keeps it: the options that differ, each whole. */
export function ownOptions(ofLook: Element, own: Element): Options {
  const before = ofLook as unknown as Record<string, unknown>;
  return Object.fromEntries(
    Object.entries(own).filter(
      ([key, value]) =>
        key !== 'id' && key !== 'kind' && JSON.stringify(value) !== JSON.stringify(before[key]),
    ),
  ) as Options;
}
