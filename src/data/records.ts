import type { Change } from '@/core/document/changes';
import type { Difference } from '@/core/document/difference';
import type { SetDocument } from '@/core/document/document';
import type { ShelfItem } from '@/core/model/shelf';

/** A stored set. `revision` counts saves, so that two tabs notice each other. */
export interface StoredSet {
  id: string;
  title: string;
  changed_at: number;
  revision: number;
  document: SetDocument;
  /** A key of the journal: what the tab that saved this made after it is not in here. */
  mark?: string;
  /** The last key of the journal that was taken in by that save. */
  last?: string;
}

/** A change that is not in its set yet: written in the tick in which it is made, folded in when things are quiet. */
export interface JournalEntry {
  /** Sorts by the moment it was made. */
  key: string;
  set: string;
  /** The revision of the set that it was made on. */
  basis: number;
  /** The last entry of a tab that is gone which it was made on, where that was not saved yet. */
  on?: string;
  /**
   * Made while two tabs' sets stood against each other, or while the set was gone: it holds the whole set of the tab
   * that made it, and waits for the artist's choice.
   */
  conflict?: true;
  /** The change, or the whole set where it came by undo or redo. A change that `joins` is of the gesture before it. */
  step: { change: Change; joins?: boolean } | { document: SetDocument };
}

/** What undo leads back through, and redo forward, from a set as it was saved. Nearest steps last. */
export interface StoredHistory {
  set: string;
  revision: number;
  /** The version of the set document that the differences are of. */
  version: number;
  past: Difference[];
  future: Difference[];
}

/** A removed record, just as it was. */
export interface Binned {
  key: string;
  removed_at: number;
  title: string;
  record: unknown;
  /** The table it was in; a set's where nothing is said. */
  table?: string;
}

/** An id that was in use once, and the last revision under it. It is not given again. */
export interface GoneId {
  id: string;
  revision: number;
}

/** A product on the artist's shelf, under its own id. */
export interface ShelvedItem extends ShelfItem {
  id: string;
}

/** A picture that a set is designed after. A backup carries it; the set's own file does not. */
export interface Reference {
  set: string;
  name: string;
  picture: Blob;
}

/** A picture taken at the table, or of what was worn. A backup carries it; the set's own file does not. */
export interface Photo {
  id: string;
  set: string;
  taken_at: number;
  picture: Blob;
  width_px: number;
  height_px: number;
}

/** Small facts about this store, such as whether it was seeded. */
export interface StoredFact {
  key: string;
  value: string;
}
