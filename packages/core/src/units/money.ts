/** Money is kept in whole cents. */
export const toCents = (money: number): number => Math.round(money * 100);

/** Cents as the studio writes them. */
export const toMoney = (cents: number): number => cents / 100;
