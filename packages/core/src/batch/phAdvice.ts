import { ACIDS, pureAcidGrams } from '../acid/acidDose';
import { correctPh, type PhCorrection } from '../acid/correctPh';
import { expectedPh, type AcidsInBath } from '../acid/expectedPh';
import { goodsInBath } from '../recipe/goodsInBath';
import { keepsBath } from '../recipe/methods';
import type { Plan, PlannedPass } from '../recipe/planTypes';
import type { Formulation, Pass } from '../recipe/recipe';
import { standingEntries } from './batchState';
import type { Entry } from './entry';
import { potAdditions, untickedWater } from './potAdditions';

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
  planned: PlannedPass;
  acids: AcidsInBath;
  liters: number;
}

/** The bath as it stands: the pass being dyed, the acid and liquid really in it. */
function bathNow(formulation: Formulation, plan: Plan, entries: readonly Entry[]): BathNow | null {
  const { standing } = standingEntries(entries);
  const additions = potAdditions(plan, standing);
  const passId = additions.at(-1)?.passId ?? plan.passes[0]?.id;
  const pass = formulation.recipe.passes.find((candidate) => candidate.id === passId);
  const planned = plan.passes.find((candidate) => candidate.id === passId);
  if (!pass || !planned) return null;
  const mine = additions.filter((addition) => addition.passId === passId);
  const poured = mine.reduce((sum, { unit, amount }) => sum + (unit === 'mL' ? amount : 0), 0);
  const kept = keepsBath(pass) ? planned.bath.value : 0;
  return {
    pass,
    planned,
    acids: [
      ...planned.acidsBefore,
      ...mine.flatMap(({ material, amount }) =>
        material.kind === 'acid'
          ? [{ material: material.material, pureGrams: pureAcidGrams(amount, material.strengthPercent) }]
          : [],
      ),
    ],
    liters: Math.max(1, kept + poured + untickedWater(plan, standing, passId)) / 1000,
  };
}

/** pH that the bath should show now, with what has really gone into it and the goods in. */
export function bathPhNow(formulation: Formulation, plan: Plan, entries: readonly Entry[]): number {
  const bath = bathNow(formulation, plan, entries);
  if (!bath) return 7;
  return expectedPh(bath.acids, bath.liters, goodsInBath(formulation, bath.pass), formulation.water).pH.value;
}

/**
 * What the latest measured pH asks for. The measurement overrides the expected pH: the acid still due is reckoned from
 * it. @returns null while nothing was measured
 */
export function phAdvice(formulation: Formulation, plan: Plan, entries: readonly Entry[]): PhAdvice | null {
  const { standing } = standingEntries(entries);
  const measured = standing.findLast((entry) => entry.kind === 'checked' && entry.ph !== null);
  const bath = bathNow(formulation, plan, entries);
  if (measured?.kind !== 'checked' || measured.ph === null || !bath) return null;
  const window = bath.planned.phWindow;
  const stands = measured.ph > window[1] ? 'above' : measured.ph < window[0] ? 'below' : 'in';
  if (stands !== 'above') return { measured: measured.ph, window, stands, correction: null };
  const dose = bath.pass.acids.at(-1);
  const material = dose?.material ?? 'vinegar';
  const strengthPercent = dose?.strengthPercent ?? ACIDS[material].usualStrength;
  const wished = (window[0] + window[1]) / 2;
  return {
    measured: measured.ph,
    window,
    stands,
    correction: {
      ...correctPh(measured.ph, wished, bath.acids, bath.liters, material, strengthPercent),
      label: ACIDS[material].label,
      strengthPercent,
      wished,
    },
  };
}
