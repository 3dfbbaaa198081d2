/** What a shelf has lists of, in the order in which one may name things of another. */
export const SHELF_RESOURCES = [
  'bases',
  'dyes',
  'stocks',
  'pots',
  'tools',
  'patterns',
  'soughts',
  'samples',
] as const;
export type ShelfResource = (typeof SHELF_RESOURCES)[number];
