import type { Stock } from './stock';

/** A jar as its label says it: strength, then the code if it has one. */
export function jarWords({ strengthPercent, code }: Pick<Stock, 'strengthPercent' | 'code'>): string {
  return `${strengthPercent} % ${code}`.trim();
}
