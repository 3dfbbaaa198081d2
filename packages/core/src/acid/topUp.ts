/**
 * Acid to pour with top-up water so that the bath keeps its grams of acid per liter. Exact.
 * @param gPerL pure acid per liter of bath, g/L, >= 0
 * @param waterMl water topped up, mL, >= 0; a liquid acid counts as part of it
 * @param strengthPercent of a liquid: g per 100 mL; of crystals: % pure
 * @returns mL of a liquid or g of crystals, and the water to run beside it, mL
 */
export function topUpAcid(
  gPerL: number,
  waterMl: number,
  strengthPercent: number,
  unit: 'mL' | 'g',
): { amount: number; waterMl: number } {
  const pure = (gPerL * waterMl) / 1000;
  const amount = (100 * pure) / strengthPercent;
  return { amount, waterMl: unit === 'mL' ? Math.max(0, waterMl - amount) : waterMl };
}
