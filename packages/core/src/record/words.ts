/** What a bath looks like, what a batch came out as, and what becomes of it. */
export const BATH_READINGS = ['colored', 'tinted', 'clear'] as const;
export const OUTCOMES = ['as wanted', 'usable', 'not right'] as const;
export const STANDINGS = ['trial', 'one-off', 'regular'] as const;
