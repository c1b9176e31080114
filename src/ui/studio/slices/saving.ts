import type { SetDocument } from '@/core/document/document';
import type { Slice } from './slice';

/** `gone`: removed elsewhere; `only-read`: the store is of a newer program. */
export type Saving = 'saved' | 'saving' | 'conflict' | 'failed' | 'gone' | 'only-read';

export interface SavingSlice {
  saving: Saving;
  /** Why a save failed, in words. */
  savingFault: string | undefined;
  tellSaving: (saving: Saving, fault?: string) => void;
  /** The set as another tab saved it takes the place of this one. */
  takeStored: (set: SetDocument) => void;
}

export const savingSlice: Slice<SavingSlice> = (write) => ({
  saving: 'saved',
  savingFault: undefined,
  tellSaving: (saving, savingFault) => write({ saving, savingFault }),
  takeStored: (set) => write({ set, saving: 'saved', savingFault: undefined }),
});
