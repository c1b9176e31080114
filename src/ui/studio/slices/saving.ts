import type { SavingSlice, Slice } from './state';

export const savingSlice: Slice<SavingSlice> = (write) => ({
  saving: 'saved',
  savingFault: undefined,
  tellSaving: (saving, savingFault) => write({ saving, savingFault }),
  takeStored: (set) => write({ set, saving: 'saved', savingFault: undefined }),
});
