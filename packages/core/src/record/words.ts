/** What a bath looks like, what a batch came out as, and what becomes of it. */
export const BATH_READINGS = ['colored', 'tinted', 'clear'] as const;
/** The answer of a look that finds nothing left. */
export const CLEAR = 'clear' satisfies (typeof BATH_READINGS)[number];
export const OUTCOMES = ['as wanted', 'usable', 'not right'] as const;
export const STANDINGS = ['trial', 'one-off', 'regular'] as const;
