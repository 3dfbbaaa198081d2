/** When an acid dose may go in, as a dyer decides it. */
export const ACID_TIMES = ['soak', 'start', 'warm', 'last', 'with powder'] as const;
export type AcidTime = (typeof ACID_TIMES)[number];
