/** Debye-Hückel slope for water at 25 °C. */
const A = 0.509;

/**
 * Activity coefficient of an ion by the Davies equation, good to about 0.5 mol/L.
 * Source: C. W. Davies, Ion Association, Butterworths 1962.
 * @param charge charge number of the ion
 * @param ionicStrength mol/L, >= 0
 */
export function activityCoefficient(charge: number, ionicStrength: number): number {
  const root = Math.sqrt(ionicStrength);
  return Math.exp(-Math.LN10 * A * charge * charge * (root / (1 + root) - 0.3 * ionicStrength));
}
