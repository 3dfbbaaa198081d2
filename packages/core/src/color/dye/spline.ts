import { WAVELENGTHS } from '../spectrum';
import { BANDS, FIRST_NM, LAST_NM } from '../../units/bands';

/**
 * A smooth curve over the bands: cubic B-splines on even knots, one coefficient each.
 * Source: P. H. C. Eilers, B. D. Marx, Stat. Sci. 11, 89 (1996).
 */
export const COEFFICIENTS = 14;

/** Coefficients that a band hangs on: four in a row. */
const AT_A_BAND = 4;

interface BandWeights {
  /** The first of the four. */
  first: number;
  weights: readonly [number, number, number, number];
}

const weightsAt = (nm: number): BandWeights => {
  const along = ((nm - FIRST_NM) / (LAST_NM - FIRST_NM)) * (COEFFICIENTS - 3);
  const first = Math.min(COEFFICIENTS - AT_A_BAND, Math.floor(along));
  const u = along - first;
  const [u2, u3] = [u * u, u * u * u];
  return {
    first,
    weights: [(1 - u) ** 3 / 6, (3 * u3 - 6 * u2 + 4) / 6, (-3 * u3 + 3 * u2 + 3 * u + 1) / 6, u3 / 6],
  };
};

/** What each coefficient weighs in each band: band × coefficient. */
export const SPLINE: Float64Array = (() => {
  const rows = new Float64Array(BANDS * COEFFICIENTS);
  WAVELENGTHS.forEach((nm, band) => {
    const { first, weights } = weightsAt(nm);
    weights.forEach((weight, i) => {
      rows[band * COEFFICIENTS + first + i] = weight;
    });
  });
  return rows;
})();

/** The curve of some coefficients, band by band. @param coefficients the first of them; more may follow */
export function curveOf(coefficients: Float64Array): Float64Array {
  const curve = new Float64Array(BANDS);
  for (let band = 0; band < BANDS; band += 1) {
    let value = 0;
    for (let i = 0; i < COEFFICIENTS; i += 1)
      value += (SPLINE[band * COEFFICIENTS + i] as number) * (coefficients[i] as number);
    curve[band] = value;
  }
  return curve;
}

/** How a thing grows with each coefficient. @param perCurve how it grows with the curve, band by band */
export function perCoefficient(perCurve: Float64Array): Float64Array {
  const slopes = new Float64Array(COEFFICIENTS);
  for (let band = 0; band < BANDS; band += 1) {
    const of = perCurve[band] as number;
    for (let i = 0; i < COEFFICIENTS; i += 1)
      slopes[i] = (slopes[i] as number) + of * (SPLINE[band * COEFFICIENTS + i] as number);
  }
  return slopes;
}
