import { threeFigures } from '../units/threeFigures';
import { formatAmount } from '../units/formatQuantity';
import type { Stock } from './stock';

/** A jar as its label says it: strength, then the code if it has one. */
export function jarWords({ strengthPercent, code }: Pick<Stock, 'strengthPercent' | 'code'>): string {
  return `${threeFigures(strengthPercent)} % ${code}`.trim();
}

/** What a jar still holds, in words. @param leftMl below zero where more was poured than it was made with */
export const leftWords = (leftMl: number): string =>
  leftMl < -1e-9
    ? `empty: ${formatAmount(-leftMl, 'mL')} more poured than it held`
    : `${formatAmount(Math.max(0, leftMl), 'mL')} left`;
