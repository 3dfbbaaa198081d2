/** ISO 2533:1975 standard atmosphere: sea-level pressure and temperature, lapse rate, g M / (R L). */
const SEA_LEVEL_KPA = 101.325;
const SEA_LEVEL_K = 288.15;
const LAPSE_K_PER_M = 0.0065;
const EXPONENT = 5.255_88;

/**
 * Air pressure at an altitude in the standard atmosphere, kPa. Established: ISO 2533:1975.
 * @param altitudeM above sea level, m, below the tropopause (11 000 m)
 */
export function airPressureKpa(altitudeM: number): number {
  return SEA_LEVEL_KPA * (1 - (LAPSE_K_PER_M * altitudeM) / SEA_LEVEL_K) ** EXPONENT;
}

/** Coefficients n1 to n10 of the saturation line, IAPWS-IF97 region 4 (2007 revision), equation 31. */
const N = [
  0.11670521452767e4, -0.72421316703206e6, -0.17073846940092e2, 0.1202082470247e5, -0.32325550322333e7,
  0.1491510861353e2, -0.48232657361591e4, 0.40511340542057e6, -0.23855557567849, 0.65017534844798e3,
] as const;

/**
 * Temperature at which water boils under a pressure, °C. Established: IAPWS-IF97, backward equation of region 4.
 * @param pressureKpa 0.6113 to 22 064 kPa
 */
export function boilingC(pressureKpa: number): number {
  const beta = (pressureKpa / 1000) ** 0.25;
  const e = beta ** 2 + N[2] * beta + N[5];
  const f = N[0] * beta ** 2 + N[3] * beta + N[6];
  const g = N[1] * beta ** 2 + N[4] * beta + N[7];
  const d = (2 * g) / (-f - Math.sqrt(f ** 2 - 4 * e * g));
  const kelvin = (N[9] + d - Math.sqrt((N[9] + d) ** 2 - 4 * (N[8] + N[9] * d))) / 2;
  return kelvin - 273.15;
}

/** Where water boils at an altitude, °C: the hottest a bath or open steam can be. */
export const boilingPointC = (altitudeM: number): number => boilingC(airPressureKpa(altitudeM));
