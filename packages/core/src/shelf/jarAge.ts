import type { Stock } from './stock';

/** A stock older than this is worth a shake and a test, days (common practice, no source). */
export const OLD_STOCK_DAYS = 180;

/** Whole days since a jar was made; null while nobody noted when. @param today ISO 8601 */
export function jarAgeDays({ madeOn }: Pick<Stock, 'madeOn'>, today: string): number | null {
  return madeOn === null ? null : Math.floor((Date.parse(today) - Date.parse(madeOn)) / 86_400_000);
}
