/** So many equal doses. */
export const equalShares = (doses: number): number[] => Array.from({ length: doses }, () => 1 / doses);

/** Less than this is nothing, % of what the front gets. */
const LEAST_BACK = 0.1;

/** Whether the back gets any. @param backPercent of what the front gets */
export const hasBack = (backPercent: number): boolean => backPercent >= LEAST_BACK;

/** A dose for the front and, where the back gets any, one for it. @param backPercent of what the front gets */
export const frontAndBack = (backPercent: number): number[] =>
  hasBack(backPercent) ? [100 / (100 + backPercent), backPercent / (100 + backPercent)] : [1];

/** Whether doses are all alike. */
export const areEqual = (shares: readonly number[]): boolean =>
  shares.every((share) => Math.abs(share - (shares[0] ?? share)) < 1e-12);
