import { ACIDS } from '../acid/acidDose';
import type { Plan } from '../recipe/planTypes';
import { formatAmount } from '../units/formatQuantity';
import type { ActualDye } from './actualRecipe';
import type { Entry } from './entry';

/** Where a record departs from its plan, one sentence each. */
export function departures(plan: Plan, standing: readonly Entry[], found: readonly ActualDye[]): string[] {
  const poured = new Map(
    standing.flatMap((entry) => (entry.kind === 'poured' ? [[entry.stepId, entry] as const] : [])),
  );
  const lines = plan.steps.flatMap((step): string[] => {
    if (!step.measure) return [];
    const entry = poured.get(step.id);
    if (!entry) return step.kind === 'dye' ? [`${step.title}: not ticked, so it did not go in.`] : [];
    const asked = step.measure.amount.value;
    if (Math.abs(entry.amount - asked) <= 0.005 * asked) return [];
    return [
      `${step.title}: ${formatAmount(entry.amount, entry.unit)} instead of ${formatAmount(asked, entry.unit)}.`,
    ];
  });
  for (const entry of standing) {
    if (entry.kind !== 'added') continue;
    const { material } = entry;
    const what =
      material.kind === 'dye'
        ? (found.find((dye) => dye.dyeId === material.dyeId)?.dyeName ?? 'dye')
        : material.kind === 'acid'
          ? ACIDS[material.material].label
          : 'water';
    lines.push(`Also added: ${formatAmount(entry.amount, entry.unit)} of ${what}.`);
  }
  return lines;
}
