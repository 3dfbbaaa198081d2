/** What a bath looks like, what a batch came out as, and what becomes of it. */
export const BATH_READINGS = ['colored', 'tinted', 'clear'] as const;
/** The answer of a look that finds nothing left. */
export const CLEAR = 'clear' satisfies (typeof BATH_READINGS)[number];
export const OUTCOMES = ['as wanted', 'usable', 'not right'] as const;
/** What becomes of a batch that was dyed. */
export const KEPT_STANDINGS = ['trial', 'one-off', 'regular'] as const;
/** What is said of one that was begun by mistake. */
export const DROPPED = 'dropped';
export const STANDINGS = [...KEPT_STANDINGS, DROPPED] as const;
