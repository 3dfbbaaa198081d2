import type { BookOrder } from '@ythrion/core';

/** The orders of the Book in a dyer's words. */
export const ORDER_WORDS: readonly { order: BookOrder; way: 'up' | 'down'; words: string }[] = [
  { order: 'startedAt', way: 'down', words: 'newest first' },
  { order: 'startedAt', way: 'up', words: 'oldest first' },
  { order: 'name', way: 'up', words: 'by name' },
  { order: 'name', way: 'down', words: 'by name, backward' },
  { order: 'dosPercent', way: 'down', words: 'deepest first' },
  { order: 'dosPercent', way: 'up', words: 'palest first' },
  { order: 'wogGrams', way: 'down', words: 'most goods first' },
  { order: 'wogGrams', way: 'up', words: 'least goods first' },
  { order: 'outcome', way: 'up', words: 'by verdict' },
  { order: 'outcome', way: 'down', words: 'by verdict, backward' },
  { order: 'standing', way: 'up', words: 'by standing' },
  { order: 'standing', way: 'down', words: 'by standing, backward' },
];
