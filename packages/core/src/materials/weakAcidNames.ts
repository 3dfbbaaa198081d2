/** Weak acids that a bath may hold, by what they are in water. */
export const WEAK_ACID_NAMES = [
  'acetic',
  'citric',
  'formic',
  'ammonium',
  'phthalic',
  'phosphoric',
  'carbonic',
] as const;
export type WeakAcidName = (typeof WEAK_ACID_NAMES)[number];
