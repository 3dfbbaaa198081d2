import { ACIDS, type AcidMaterial } from '../materials/acids';
import { figure, type Figure } from '../figure/figure';
import { formatAmount } from '../units/formatQuantity';
import { correctPh, type PhCorrection } from '../acid/correctPh';
import { acidGramsForPh, expectedPh, type AcidsInBath } from '../acid/expectedPh';
import { fiberInBath } from '../plan/fiberInBath';
import type { Pass } from '../recipe/recipe';
import { additionsOf, liquidMl, pureGramsOf, untickedWater } from './additions';
import type { Batch } from './batch';
import type { CardPass } from './card';
import { trueBathMl } from './trueBath';
import { actsDone } from './standing';

/** What a measured pH means for the bath it was read in. */
export interface PhAdvice {
  measured: number;
  /** pH usual for the dyes in this bath. */
  window: readonly [number, number];
  /** In, above or below that window. */
  stands: 'in' | 'above' | 'below';
  /** Acid to add for the middle of the window, when it stands above; null otherwise. */
  correction: (PhCorrection & { label: string; strengthPercent: number; wished: number }) | null;
}

interface BathNow {
  pass: Pass;
  planned: CardPass;
  acids: AcidsInBath;
  liters: number;
}

/** The bath as it stands: the pass being dyed, the acid and liquid really in it. */
function bathNow({ card, events, formulation }: Batch): BathNow | null {
  const additions = additionsOf(events);
  const passId = additions.at(-1)?.pass ?? card.passes[0]?.id;
  const pass = formulation.recipe.passes.find((candidate) => candidate.id === passId);
  const planned = card.passes.find((candidate) => candidate.id === passId);
  if (!pass || !planned) return null;
  const mine = additions.filter((addition) => addition.pass === passId);
  const unticked = untickedWater(card, events, passId);
  const bathMl = planned.keepsBath
    ? planned.bathMl + liquidMl(mine) + unticked
    : trueBathMl(card, planned, mine, unticked);
  return {
    pass,
    planned,
    acids: [
      ...planned.acidsBefore,
      ...mine.flatMap((one) =>
        one.material.kind === 'acid' ? [{ material: one.material.acid, pureGrams: pureGramsOf(one) }] : [],
      ),
    ],
    liters: Math.max(1, bathMl) / 1000,
  };
}

/** Acid that would bring a bath that does not clear to where its dyes strike best. */
export interface AcidForClearing {
  material: AcidMaterial;
  strengthPercent: number;
  add: Figure;
  /** pH that the bath has: as it was measured, or as it is expected. */
  from: number;
  measured: boolean;
  wished: number;
}

/** A bath that does not clear is made sourer by so much at once (common practice, no source). */
const STEP_PH = 0.5;

/**
 * So much acid as makes the bath half a pH sourer, to no less than what is usual for its dyes, and no more than went in
 * already: from a measured pH where there is one, else from the expected one.
 * @returns null where it is as sour as its dyes want it: more acid would do little
 */
export function acidForClearing(batch: Batch): AcidForClearing | null {
  const bath = bathNow(batch);
  if (!bath) return null;
  const read = measuredPh(batch);
  const from = read ?? bathPhNow(batch);
  const wished = Math.max(bath.planned.phWindow[0], from - STEP_PH);
  // Nearer than a strip can tell.
  if (from - wished < 0.2) return null;
  const dose = bath.pass.acids.at(-1);
  const material = dose?.material ?? 'vinegar';
  const strengthPercent = dose?.strengthPercent ?? ACIDS[material].usualStrength;
  const { add } = correctPh(from, wished, bath.acids, bath.liters, material, strengthPercent);
  const inIt = bath.acids.reduce((sum, acid) => (acid.material === material ? sum + acid.pureGrams : sum), 0);
  const asMuch = (100 * inIt) / strengthPercent;
  const due =
    inIt > 0 && add.value > asMuch
      ? figure(
          asMuch,
          add.unit,
          () =>
            `as much again as went in; pH ${wished.toFixed(1)} would ask for ${formatAmount(add.value, add.unit)}, for acid of this kind hardly gets a bath sourer`,
          'estimate',
          'common practice, no source',
        )
      : add;
  return due.value > 0
    ? { material, strengthPercent, add: due, from, measured: read !== null, wished }
    : null;
}

/** pH that was measured last; null before any. */
const measuredPh = ({ events }: Pick<Batch, 'events'>): number | null =>
  actsDone(events)
    .flatMap(({ act }) => (act.kind === 'look' ? [act.reading?.ph ?? null] : []))
    .findLast((ph) => ph !== null) ?? null;

/** pH that the bath should show now, with what has really gone into it and the goods in. */
export function bathPhNow(batch: Batch): number {
  const bath = bathNow(batch);
  if (!bath) return 7;
  const { formulation } = batch;
  return expectedPh(bath.acids, bath.liters, fiberInBath(formulation, bath.pass), formulation.water).value;
}

/** Acid for a bath in which nobody measured it then. */
export interface UsualAcid {
  amount: Figure;
  wished: number;
}

/**
 * So much of an acid as brings the bath to the middle of what is usual for its dyes, the goods in it.
 * @returns null where acid is in it already
 */
export function usualAcidFor(
  batch: Batch,
  { acid, strengthPercent }: { acid: AcidMaterial; strengthPercent: number },
): UsualAcid | null {
  const bath = bathNow(batch);
  if (!bath || bath.acids.some(({ pureGrams }) => pureGrams > 0)) return null;
  const { formulation } = batch;
  const [low, high] = bath.planned.phWindow;
  const wished = (low + high) / 2;
  const grams = acidGramsForPh(
    acid,
    figure(wished, 'pH', 'the middle of what is usual for these dyes', 'estimate'),
    bath.liters,
    fiberInBath(formulation, bath.pass),
    formulation.water,
  );
  return {
    wished,
    amount: figure(
      (100 * grams.value) / strengthPercent,
      ACIDS[acid].unit,
      () =>
        `${grams.because}: ${formatAmount(grams.value, 'g')}, of ${ACIDS[acid].unit === 'mL' ? 'a' : 'crystals that are'} ${formatAmount(strengthPercent, '%')}`,
      'estimate',
      grams.source,
    ),
  };
}

/**
 * What the latest measured pH asks for. The measurement overrides the expected pH: the acid still due is reckoned from
 * it. @returns null while nothing was measured
 */
export function phAdvice(batch: Batch): PhAdvice | null {
  const measured = measuredPh(batch);
  const bath = bathNow(batch);
  if (measured === null || !bath) return null;
  const window = bath.planned.phWindow;
  const stands = measured > window[1] ? 'above' : measured < window[0] ? 'below' : 'in';
  if (stands !== 'above') return { measured, window, stands, correction: null };
  const dose = bath.pass.acids.at(-1);
  const material = dose?.material ?? 'vinegar';
  const strengthPercent = dose?.strengthPercent ?? ACIDS[material].usualStrength;
  const wished = (window[0] + window[1]) / 2;
  return {
    measured,
    window,
    stands,
    correction: {
      ...correctPh(measured, wished, bath.acids, bath.liters, material, strengthPercent),
      label: ACIDS[material].label,
      strengthPercent,
      wished,
    },
  };
}
