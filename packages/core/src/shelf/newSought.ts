import type { Sought } from './sought';

/** A color that somebody begins to look for. */
export const newSought = (id: string, name: string): Sought => ({
  id,
  name,
  words: '',
  hex: null,
  foundAs: null,
  retired: false,
});
