import { RESERVED_ELEMENTS } from '@/core/craft/operation';
import type { Look } from '@/core/document/document';
import { freeId } from '@/core/model/freeId';

/** A free id for an element of a look, after the one that is wanted. */
export function elementId(wanted: string, into: Look): string {
  return freeId(wanted, [...into.elements, ...RESERVED_ELEMENTS.map((id) => ({ id }))]);
}
