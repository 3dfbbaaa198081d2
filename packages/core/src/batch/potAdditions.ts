import { additionGrams } from '../amounts/tally';
import type { Plan } from '../recipe/planTypes';
import type { StepMaterial } from '../recipe/steps';
import type { AddedMaterial, Entry } from './entry';

/** One thing that went into the pot, planned or not, with the pass it went into. */
export interface PotAddition {
  passId: string;
  /** The planned step it belongs to; null for what nobody planned. */
  stepId: string | null;
  material: Exclude<StepMaterial, { kind: 'dilution' }> | AddedMaterial;
  unit: 'mL' | 'g';
  amount: number;
}

/**
 * Everything that went into the pot, in order. What nobody planned belongs to the pass whose steps were being done
 * when it was added.
 */
export function potAdditions(plan: Plan, standing: readonly Entry[]): PotAddition[] {
  const steps = new Map(plan.steps.map((step) => [step.id, step]));
  let passId = plan.passes[0]?.id ?? '';
  return standing.flatMap((entry): PotAddition[] => {
    if ('stepId' in entry) passId = steps.get(entry.stepId)?.passId ?? passId;
    if (entry.kind === 'added')
      return [{ passId, stepId: null, material: entry.material, unit: entry.unit, amount: entry.amount }];
    if (entry.kind !== 'poured') return [];
    const material = steps.get(entry.stepId)?.measure?.material;
    if (!material || material.kind === 'dilution') return [];
    return [{ passId, stepId: entry.stepId, material, unit: entry.unit, amount: entry.amount }];
  });
}

/** Grams of dye in one addition; zero for water, acid and ice. */
export function dyeGramsOf({ material, unit, amount }: PotAddition): number {
  return material.kind === 'dye'
    ? additionGrams({ unit, amount, strengthPercent: material.strengthPercent ?? 0 })
    : 0;
}

/** The jar that most of a dye came from. */
export function mainJar(additions: readonly PotAddition[]): string | null {
  const parts = additions.map(dyeGramsOf);
  const material = additions[parts.indexOf(Math.max(...parts))]?.material;
  return material?.kind === 'dye' ? material.stockId : null;
}

/** Planned water that nobody ticked, mL. @param passId only of this pass */
export function untickedWater(plan: Plan, standing: readonly Entry[], passId?: string): number {
  return plan.steps
    .filter(
      (step) =>
        step.kind === 'water' &&
        !step.id.endsWith('top-up') &&
        (passId === undefined || step.passId === passId) &&
        !standing.some((entry) => entry.kind === 'poured' && entry.stepId === step.id),
    )
    .reduce((sum, step) => sum + (step.measure?.amount.value ?? 0), 0);
}
