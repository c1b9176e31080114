import type { Product } from '../model/product';
import { dullDraft, flashOf } from './drafts';
import { lampOf } from './families';
import { HAND_S } from './handwork';
import type { Draft, Place } from './operation';

/** A bed that pieces are laid into. */
export interface Bed {
  clear: Product;
  t_um: number;
  place: Place;
  pass?: number;
  /** Before the names of its steps, where a nail has others. */
  of?: 'island-';
}

/** Thin clear, wet for what is laid into it. */
export function bedDraft({ clear, t_um, place, pass = 1, of }: Bed, reason: string, where = ''): Draft {
  return {
    step: `${of ?? ''}bed`,
    pass,
    verb: 'bed',
    words: `${lampOf(clear) ? 'Thin bed' : 'Thin wet bead'} of ${clear.name}${where}`,
    product: clear.id,
    place,
    deposit: { kind: 'conformal', t_um },
    hand_s: HAND_S.bed,
    reason,
  };
}

/** What makes it hold its pieces: a short flash, or the time in which it goes dull. */
export function bedHolds({ clear, t_um, place, pass = 1, of }: Bed, why: string): Draft {
  return lampOf(clear)
    ? flashOf(clear, t_um, place, why, `${of ?? ''}flash`, pass)
    : dullDraft(clear, `${of ?? ''}dull`, place, pass);
}
