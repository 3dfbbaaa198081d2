import { FieldError } from '../figure/fieldError';
import { activityCoefficient } from './davies';
import { bracketedRoot } from './bracketedRoot';
import { shareHeld, shareSpread } from './fiberUptake';
import { PKW, WEAK_ACIDS } from './weakAcids';
import type { WeakAcidName } from '../materials/weakAcidNames';

/** Everything that decides the pH of a bath. */
export interface BathContents {
  /** Weak acids in all their forms, mol/L. */
  acids: readonly { name: WeakAcidName; molar: number }[];
  /** Cations of strong bases less anions of strong acids, mol of charge per L. */
  strongBase: number;
  /**
   * Dissolved CO2 that the air keeps constant, mol/L: what is left of the water's carbonate once heat has driven off
   * the rest. Leave out for none.
   */
  airCo2?: number;
  /** Most protons that the fiber in the bath holds, mol/L; leave out to ignore what it takes up. */
  fiberHolds?: number;
  /** Acid that fiber took along, less what fiber brought, mol/L: a charge that is missing, and no ion of the bath. */
  taken?: number;
  /** False for concentrations instead of activities: the textbook ideal. */
  activities?: boolean;
}

const STRENGTH_ROUNDS = 30;
const LOWEST_PH = -1;
const HIGHEST_PH = 15;
/** Far finer than any meter. */
const PH_TOLERANCE = 1e-9;
/** Ionic strength is settled when it moves by less than this, mol/L. */
const STRENGTH_TOLERANCE = 1e-10;
/** Where the pH of a dyebath is looked for first. */
const FIRST_GUESS = 4;
/** Longest step that is taken at once, pH units: far off, the balance is no line. */
const LONGEST_STEP = 1.5;
const NEWTON_ROUNDS = 60;

/** Dissociation constants, once, so that a balance needs only products of them. */
const K = Object.fromEntries(
  Object.entries(WEAK_ACIDS).map(([name, { pKa }]) => [name, pKa.map((one) => 10 ** -one)]),
) as Record<WeakAcidName, number[]>;
const KW = 10 ** -PKW;

/** Activity of H+ at a pH; as a power of e, which is quicker to take than one of ten. */
const protonActivity = (pH: number): number => Math.exp(-Math.LN10 * pH);

/** A bath with everything in it said. */
interface Balance {
  airCo2: number;
  taken: number;
  acids: BathContents['acids'];
  strongBase: number;
  fiberHolds: number;
}

const balanceOf = ({ acids, strongBase, fiberHolds = 0, airCo2 = 0, taken = 0 }: BathContents): Balance => ({
  taken,
  airCo2,
  acids,
  strongBase,
  fiberHolds,
});

/**
 * pH of a bath at 25 °C: the one root of its charge balance, with activities by Davies and pH = −log10 a(H+).
 * Adding acid never raises it.
 * @throws FieldError when a concentration is negative, not finite, or more than any liquid holds
 */
export function bathPh(contents: BathContents): number {
  if (contents.acids.some(({ molar }) => !(molar >= 0 && molar < 50)))
    throw new FieldError('acids', 'An acid must be 0 to 50 mol/L.');
  if (!Number.isFinite(contents.strongBase + (contents.taken ?? 0)))
    throw new FieldError('alkalinity', 'The strong base must be a finite number of mol/L.');
  const balance = balanceOf(contents);
  const activities = contents.activities !== false;
  let pH = FIRST_GUESS;
  let one = 1;
  // Newton’s step for the pH and a better ionic strength at once: the balance falls steadily with pH, so that both settle.
  for (let round = 0; round < NEWTON_ROUNDS; round += 1) {
    const at = balanceAt(balance, pH, one);
    const step = Math.max(-LONGEST_STEP, Math.min(LONGEST_STEP, at.charge / at.slope));
    const next = activities ? activityCoefficient(1, at.strength) : 1;
    const settled = Math.abs(step) < PH_TOLERANCE && Math.abs(next - one) < PH_TOLERANCE;
    pH = Math.max(LOWEST_PH, Math.min(HIGHEST_PH, pH - step));
    one = next;
    if (settled) return pH;
  }
  return bracketed(balance, activities);
}

/** The same root found slowly, for a balance that the quick way does not settle on. */
function bracketed(balance: Balance, activities: boolean): number {
  let pH = rootAt(balance, 1);
  let strength = 0;
  for (let round = 0; activities && round < STRENGTH_ROUNDS; round += 1) {
    const next = balanceAt(balance, pH, activityCoefficient(1, strength)).strength;
    const settled = Math.abs(next - strength) < STRENGTH_TOLERANCE;
    strength = next;
    pH = rootAt(balance, activityCoefficient(1, strength), pH);
    if (settled) break;
  }
  return pH;
}

/**
 * How much of one weak acid brings a bath to a pH: the charge balance is linear in it. The inverse of `bathPh`.
 * @param besides everything else in the bath
 * @returns mol/L, zero when the bath is already that acid without it
 */
export function acidForPh(name: WeakAcidName, pH: number, besides: BathContents): number {
  const balance = balanceOf(besides);
  const activity = protonActivity(pH);
  let molar = 0;
  let one = 1;
  for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
    const others = balanceAt(balance, pH, one);
    const forms = formsOf(name, activity, one);
    const next = Math.max(0, others.charge / -forms.charge);
    const settled = Math.abs(next - molar) < 1e-10;
    molar = next;
    if (settled) break;
    one = activityCoefficient(1, others.strength + (molar * forms.square) / 2);
  }
  return molar;
}

/**
 * The strong base that must be in a bath for it to show a measured pH: what alkalinity and fiber really came to.
 * @returns mol of charge per L, to take the place of `strongBase`
 */
export function strongBaseAt(pH: number, contents: Omit<BathContents, 'strongBase'>): number {
  const balance = balanceOf({ ...contents, strongBase: 0 });
  let base = 0;
  let one = 1;
  for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
    const next = -chargeAt(balance, pH, one);
    const settled = Math.abs(next - base) < 1e-10;
    base = next;
    if (settled) break;
    one = activityCoefficient(1, balanceAt({ ...balance, strongBase: base }, pH, one).strength);
  }
  return base;
}

/**
 * The charge balance falls steadily with pH, so its root is always between the ends.
 * @param one activity coefficient of a single charge
 * @param near where the root was with a slightly other ionic strength
 */
function rootAt(balance: Balance, one: number, near?: number): number {
  const charge = (pH: number): number => chargeAt(balance, pH, one);
  if (near !== undefined) {
    const [low, high] = [near - 0.12, near + 0.12];
    if (charge(low) > 0 && charge(high) < 0) return bracketedRoot(charge, low, high, PH_TOLERANCE);
  }
  // More acid or base than the scale goes: what fiber brings into a spoonful of liquid has no pH worth more.
  if (charge(LOWEST_PH) <= 0) return LOWEST_PH;
  if (charge(HIGHEST_PH) >= 0) return HIGHEST_PH;
  return bracketedRoot(charge, LOWEST_PH, HIGHEST_PH, PH_TOLERANCE);
}

/** The balance at a pH. */
interface BalanceAt {
  /** Net charge of everything in the bath, mol/L. */
  charge: number;
  /** How that changes with pH, mol/L; below zero. */
  slope: number;
  /** Ionic strength, mol/L. */
  strength: number;
}

/** Everything that a step toward the root needs, in one go. @param one activity coefficient of a single charge */
function balanceAt(
  { acids, strongBase, taken, fiberHolds, airCo2 }: Balance,
  pH: number,
  one: number,
): BalanceAt {
  const activity = protonActivity(pH);
  const protons = activity / one;
  const hydroxide = KW / (activity * one);
  let charge = protons - hydroxide + strongBase + taken;
  let spread = protons + hydroxide;
  let doubled = protons + hydroxide + Math.abs(strongBase);
  if (airCo2 > 0) {
    const { bicarbonate, carbonate } = carbonateOverAir(airCo2, activity, one);
    charge -= bicarbonate + 2 * carbonate;
    spread += bicarbonate + 4 * carbonate;
    doubled += bicarbonate + 4 * carbonate;
  }
  for (const { name, molar } of acids) {
    const forms = formsOf(name, activity, one);
    charge += molar * forms.charge;
    spread += molar * (forms.square - forms.charge * forms.charge);
    doubled += molar * forms.square;
  }
  if (fiberHolds > 0) {
    const held = shareHeld(pH);
    charge += fiberHolds * held;
    spread += fiberHolds * shareSpread(held);
  }
  return { charge, slope: -Math.LN10 * spread, strength: doubled / 2 };
}

/** Net charge of everything in the bath, mol/L. @param one activity coefficient of a single charge */
const chargeAt = (balance: Balance, pH: number, one: number): number => balanceAt(balance, pH, one).charge;

/** Bicarbonate and carbonate over a constant dissolved CO2, mol/L. @param activity of H+ */
function carbonateOverAir(
  co2: number,
  activity: number,
  one: number,
): { bicarbonate: number; carbonate: number } {
  const [first = 0, second = 0] = K.carbonic;
  const bicarbonate = (co2 * first) / (activity * one);
  return { bicarbonate, carbonate: (bicarbonate * second) / (activity * one ** 3) };
}

/**
 * Mean charge number of an acid over its protonation states, from fully protonated down, and the mean of its square.
 * Davies gives γ(z) = γ(1)^(z²), so that γ(z) ÷ γ(z − 1) is γ(1)^(2z − 1).
 * @param activity of H+
 */
function formsOf(name: WeakAcidName, activity: number, one: number): { charge: number; square: number } {
  let z: number = WEAK_ACIDS[name].charge;
  let ratio = z === 1 ? one : 1 / one;
  let weight = 1;
  let total = 1;
  let first = z;
  let second = z * z;
  for (const constant of K[name]) {
    weight *= (constant / activity) * ratio;
    z -= 1;
    ratio /= one * one;
    total += weight;
    first += weight * z;
    second += weight * z * z;
  }
  return { charge: first / total, square: second / total };
}
