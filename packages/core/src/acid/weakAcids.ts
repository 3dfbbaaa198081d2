import type { WeakAcidName } from '../materials/weakAcidNames';

/** A weak acid as chemistry sees it: its successive pKa at 25 °C and the charge of its fully protonated form. */
export interface WeakAcid {
  pKa: readonly number[];
  /** Charge with every proton on. */
  charge: number;
}

/** pKa at 25 °C and zero ionic strength: CRC Handbook of Chemistry and Physics. */
export const WEAK_ACIDS = {
  acetic: { pKa: [4.756], charge: 0 },
  citric: { pKa: [3.128, 4.761, 6.396], charge: 0 },
  formic: { pKa: [3.751], charge: 0 },
  ammonium: { pKa: [9.25], charge: 1 },
  phthalic: { pKa: [2.95, 5.408], charge: 0 },
  phosphoric: { pKa: [2.148, 7.198, 12.35], charge: 0 },
  carbonic: { pKa: [6.352, 10.329], charge: 0 },
} as const satisfies Record<WeakAcidName, WeakAcid>;

/** Ion product of water at 25 °C: CRC Handbook of Chemistry and Physics. */
export const PKW = 13.995;
