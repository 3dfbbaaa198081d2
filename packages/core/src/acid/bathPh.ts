import type { Fiber } from '../shelf/fibers';
import { acidHeldMmol } from './fiberUptake';
import { activityCoefficient } from './davies';
import { PKW, WEAK_ACIDS, type WeakAcid, type WeakAcidName } from './weakAcids';

/** Everything that decides the pH of a bath. */
export interface BathContents {
  /** Weak acids in all their forms, mol/L. */
  acids: readonly { name: WeakAcidName; molar: number }[];
  /** Cations of strong bases less anions of strong acids, mol of charge per L. */
  strongBase: number;
  /** Fiber in the bath, grams per liter; leave out to ignore what it takes up. */
  fiber?: readonly { fiber: Fiber; gramsPerLiter: number }[];
  /** False for concentrations instead of activities: the textbook ideal. */
  activities?: boolean;
}

const STRENGTH_ROUNDS = 30;
const LOWEST_PH = -1;
const HIGHEST_PH = 15;

/**
 * pH of a bath at 25 °C: the one root of its charge balance, with activities by Davies and pH = −log10 a(H+).
 * Adding acid never raises it.
 * @throws RangeError when a concentration is negative or not finite
 */
export function bathPh(contents: BathContents): number {
  if (contents.acids.some(({ molar }) => !(molar >= 0 && molar < 50)))
    throw new RangeError('An acid must be 0 to 50 mol/L.');
  if (!Number.isFinite(contents.strongBase))
    throw new RangeError('The strong base must be a finite number of mol/L.');
  if (contents.activities === false) return rootAt(contents, 0);
  let strength = 0;
  let pH = rootAt(contents, strength);
  for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
    const next = ionicStrength(contents, pH, strength);
    const settled = Math.abs(next - strength) < 1e-9;
    strength = next;
    pH = rootAt(contents, strength);
    if (settled) break;
  }
  return pH;
}

/**
 * How much of one weak acid brings a bath to a pH: the charge balance is linear in it. The inverse of `bathPh`.
 * @param others everything else in the bath
 * @returns mol/L, zero when the bath is already that acid without it
 */
export function acidForPh(name: WeakAcidName, pH: number, others: BathContents): number {
  let molar = 0;
  let strength = 0;
  for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
    const next = Math.max(0, chargeAt(others, pH, strength) / -meanCharge(WEAK_ACIDS[name], pH, strength));
    const settled = Math.abs(next - molar) < 1e-10;
    molar = next;
    if (settled) break;
    strength = ionicStrength({ ...others, acids: [...others.acids, { name, molar }] }, pH, strength);
  }
  return molar;
}

/** Bisection: the charge balance falls steadily with pH, so its root is always between the ends. */
function rootAt(contents: BathContents, strength: number): number {
  let low = LOWEST_PH;
  let high = HIGHEST_PH;
  while (high - low > 1e-7) {
    const middle = (low + high) / 2;
    if (chargeAt(contents, middle, strength) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Net charge of everything in the bath, mol/L. */
function chargeAt(contents: BathContents, pH: number, strength: number): number {
  const one = activityCoefficient(1, strength);
  const hydrogen = 10 ** -pH / one;
  const hydroxide = 10 ** (pH - PKW) / one;
  const acids = contents.acids.reduce(
    (sum, { name, molar }) => sum + molar * meanCharge(WEAK_ACIDS[name], pH, strength),
    0,
  );
  const held = (contents.fiber ?? []).reduce(
    (sum, { fiber, gramsPerLiter }) => sum + acidHeldMmol(fiber, gramsPerLiter, pH) / 1000,
    0,
  );
  return hydrogen - hydroxide + contents.strongBase + acids + held;
}

/** Share of each protonation state, from fully protonated down, and its charge. */
function states(acid: WeakAcid, pH: number, strength: number): { charge: number; share: number }[] {
  const weights: number[] = [1];
  acid.pKa.forEach((pKa, i) => {
    const from = acid.charge - i;
    const ratio = activityCoefficient(from, strength) / activityCoefficient(from - 1, strength);
    weights.push((weights[i] ?? 0) * 10 ** (pH - pKa) * ratio);
  });
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight, i) => ({ charge: acid.charge - i, share: weight / total }));
}

const meanCharge = (acid: WeakAcid, pH: number, strength: number): number =>
  states(acid, pH, strength).reduce((sum, { charge, share }) => sum + charge * share, 0);

function ionicStrength(contents: BathContents, pH: number, strength: number): number {
  const one = activityCoefficient(1, strength);
  const acids = contents.acids.reduce(
    (sum, { name, molar }) =>
      sum +
      molar *
        states(WEAK_ACIDS[name], pH, strength).reduce(
          (part, { charge, share }) => part + share * charge * charge,
          0,
        ),
    0,
  );
  return 0.5 * (10 ** -pH / one + 10 ** (pH - PKW) / one + Math.abs(contents.strongBase) + acids);
}
