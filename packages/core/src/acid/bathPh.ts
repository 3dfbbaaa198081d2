import type { Fiber } from '../shelf/fibers';
import { activityCoefficient } from './davies';
import { bracketedRoot } from './bracketedRoot';
import { acidHeldMmol } from './fiberUptake';
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
/** Far finer than any meter, coarse enough to be quick. */
const PH_TOLERANCE = 1e-7;

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
  if (contents.activities === false) return rootAt(contents, 1);
  let strength = 0;
  let pH = rootAt(contents, 1);
  for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
    const next = ionicStrength(contents, pH, activityCoefficient(1, strength));
    const settled = Math.abs(next - strength) < 1e-9;
    strength = next;
    pH = rootAt(contents, activityCoefficient(1, strength), pH);
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
  let one = 1;
  for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
    const next = Math.max(0, chargeAt(others, pH, one) / -meanCharge(WEAK_ACIDS[name], pH, one));
    const settled = Math.abs(next - molar) < 1e-10;
    molar = next;
    if (settled) break;
    one = activityCoefficient(
      1,
      ionicStrength({ ...others, acids: [...others.acids, { name, molar }] }, pH, one),
    );
  }
  return molar;
}

/**
 * The strong base that must be in a bath for it to show a measured pH: what alkalinity and fiber really came to.
 * @returns mol of charge per L, to take the place of `strongBase`
 */
export function strongBaseAt(pH: number, contents: Omit<BathContents, 'strongBase'>): number {
  let base = 0;
  let one = 1;
  for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
    const next = -chargeAt({ ...contents, strongBase: 0 }, pH, one);
    const settled = Math.abs(next - base) < 1e-10;
    base = next;
    if (settled) break;
    one = activityCoefficient(1, ionicStrength({ ...contents, strongBase: base }, pH, one));
  }
  return base;
}

/**
 * The charge balance falls steadily with pH, so its root is always between the ends.
 * @param one activity coefficient of a single charge
 * @param near where the root was with a slightly other ionic strength
 */
function rootAt(contents: BathContents, one: number, near?: number): number {
  const charge = (pH: number): number => chargeAt(contents, pH, one);
  if (near !== undefined) {
    const [low, high] = [near - 0.2, near + 0.2];
    if (charge(low) > 0 && charge(high) < 0) return bracketedRoot(charge, low, high, PH_TOLERANCE);
  }
  return bracketedRoot(charge, LOWEST_PH, HIGHEST_PH, PH_TOLERANCE);
}

/** Net charge of everything in the bath, mol/L. */
function chargeAt(contents: BathContents, pH: number, one: number): number {
  let charge = 10 ** -pH / one - 10 ** (pH - PKW) / one + contents.strongBase;
  for (const { name, molar } of contents.acids) charge += molar * meanCharge(WEAK_ACIDS[name], pH, one);
  if (contents.fiber)
    for (const { fiber, gramsPerLiter } of contents.fiber)
      charge += acidHeldMmol(fiber, gramsPerLiter, pH) / 1000;
  return charge;
}

/** Mean charge of an acid over its protonation states, from fully protonated down. */
function meanCharge(acid: WeakAcid, pH: number, one: number): number {
  let weight = 1;
  let total = 1;
  let sum = acid.charge;
  for (let i = 0; i < acid.pKa.length; i += 1) {
    weight *= step(acid, i, pH, one);
    total += weight;
    sum += weight * (acid.charge - i - 1);
  }
  return sum / total;
}

/** Ratio of a protonation state to the one with a proton more; Davies gives γ(z) = γ(1)^(z²). */
function step(acid: WeakAcid, i: number, pH: number, one: number): number {
  const from = acid.charge - i;
  const to = from - 1;
  return 10 ** (pH - (acid.pKa[i] ?? 0)) * one ** (from * from - to * to);
}

/** Ionic strength of a bath, mol/L. @param one activity coefficient of a single charge */
function ionicStrength(contents: BathContents, pH: number, one: number): number {
  let doubled = 10 ** -pH / one + 10 ** (pH - PKW) / one + Math.abs(contents.strongBase);
  for (const { name, molar } of contents.acids) {
    const acid: WeakAcid = WEAK_ACIDS[name];
    let weight = 1;
    let total = 1;
    let squares = acid.charge ** 2;
    for (let i = 0; i < acid.pKa.length; i += 1) {
      weight *= step(acid, i, pH, one);
      total += weight;
      squares += weight * (acid.charge - i - 1) ** 2;
    }
    doubled += (molar * squares) / total;
  }
  return doubled / 2;
}
