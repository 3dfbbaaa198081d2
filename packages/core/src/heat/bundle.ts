/** Thermal diffusivity of wet wool, about that of water, m²/s (from memory). */
const DIFFUSIVITY = 1.4e-7;

/** First zeros of the Bessel function J0, and J1 there: Abramowitz and Stegun, table 9.5. */
const J0_ZEROS = [2.40482556, 5.52007811, 8.65372791, 11.79153444] as const;
const J1_AT_ZEROS = [0.51914749, -0.34026481, 0.27145229, -0.23245984] as const;

/**
 * Share of the way from start to steam temperature that the center of a bundle still has to go, 1 to 0: a long
 * cylinder whose surface is at steam temperature from the start. Carslaw and Jaeger, Conduction of Heat in Solids.
 * @param fourier diffusivity × time / radius²
 */
export function centerLag(fourier: number): number {
  if (fourier < 0.02) return 1;
  const lag = J0_ZEROS.reduce(
    (sum, zero, i) => sum + (2 / (zero * (J1_AT_ZEROS[i] ?? 1))) * Math.exp(-zero * zero * fourier),
    0,
  );
  return Math.min(1, Math.max(0, lag));
}

/**
 * Minutes until the center of a wrapped bundle in steam reaches a temperature. An estimate that tells a thick coil
 * from a thin one: wraps, air and loosely packed yarn make it longer or shorter.
 * @param diameterCm of the bundle, cm, > 0
 * @returns minutes; Infinity when the steam is not that hot
 */
export function centerHotMinutes(diameterCm: number, fromC: number, toC: number, steamC: number): number {
  if (toC <= fromC) return 0;
  if (toC >= steamC) return Number.POSITIVE_INFINITY;
  const wanted = (steamC - toC) / (steamC - fromC);
  let low = 0;
  let high = 10;
  for (let halving = 0; halving < 24; halving += 1) {
    const middle = (low + high) / 2;
    if (centerLag(middle) > wanted) low = middle;
    else high = middle;
  }
  const radius = diameterCm / 200;
  return (low * radius * radius) / DIFFUSIVITY / 60;
}
