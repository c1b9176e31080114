import { compileNail } from '../compile/compile';
import { buildKindOf, type Build } from '../craft/builds';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import type { Region } from '../regions';
import { codesOn, element, setWearing } from './sets';

/*
 * Nails of the theatre, each with its order written by hand before it is planned: who, and what is done. Preparing the plate and
 * the oil are left out; `+` stands for the steps of a full filing (file, dust off, wipe).
 */

export interface ByHand {
  says: string;
  build?: [kind: string, options?: object];
  look: Element[];
  change?: (set: SetDocument) => void;
  order: string;
  /** What is told all the same, and rightly. */
  told?: string[];
}

/** A colour on a part of the nail, or all over. */
export function colour(
  id: string,
  product: string,
  region: Region = { kind: 'whole' },
  over: object = {},
): Element {
  return element('colour', { id, product, region, passes: 1, ...over } as never);
}

/** The set of a document, all ten nails alike. */
export function setByHand({ build, look, change }: ByHand): SetDocument {
  return setWearing(look, (one) => {
    if (build) {
      one.builds.push({ ...buildKindOf(build[0]).fresh('test'), ...build[1] } as Build);
      for (const nail of NAILS) one.nails[nail].build = 'test';
    }
    change?.(one);
  });
}

const PREPARING = ['sanitise', 'push-back', 'shape', 'ready-tip', 'dehydrate', 'prime', 'oil'];

/** "build: sculpt, pinch; tip: sculpt": the steps, those of one element together. */
function stepsOf(set: SetDocument): string[] {
  const { operations } = compileNail(set, 'left-ring');
  // Up to the first film or form the plate is prepared.
  const from = operations.findIndex(
    ({ deposit, verb }) => deposit || verb === 'fit-form' || verb === 'glue-tip',
  );
  return [
    ...operations.filter(({ verb }) => verb === 'make' || verb === 'stones-off'),
    ...operations.slice(from),
  ]
    .filter(({ verb }) => !PREPARING.includes(verb))
    .map(({ element: who, verb }) => `${who} ${verb}`);
}

function written(order: string): string[] {
  return order.split(';').flatMap((part) => {
    const [who = '', what = ''] = part.split(':');
    return what
      .split(',')
      .map((one) => one.trim())
      .flatMap((one) => (one === 'file+' ? ['file', 'dust-off', 'wipe'] : [one]))
      .map((one) => `${who.trim()} ${one}`);
  });
}

/** Each is laid in the order that was written, with nothing told but what is rightly. */
export function holdAsWritten(documents: Record<string, readonly ByHand[]>): void {
  describe.each(Object.entries(documents))('%s', (_paragraph, ofIt) => {
    it.each(ofIt.map((one) => [one.says, one] as const))('%s', (_says, one) => {
      const set = setByHand(one);
      // A form is fitted before what is laid on it.
      expect(stepsOf(set).filter((step) => step !== 'build fit-form')).toEqual(
        written(one.order).filter((step) => step !== 'build fit-form'),
      );
      expect(codesOn(set)).toEqual(one.told ?? []);
    });
  });
}
