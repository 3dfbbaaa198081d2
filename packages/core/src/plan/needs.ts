import { ACIDS } from '../materials/acids';
import { amountOf } from '../process/amountOf';
import { potsOf } from '../recipe/materials';
import type { Formulation } from '../recipe/recipe';
import type { Plan } from './planTypes';

/** A batch that is to be begun: what was decided, and what it comes to. */
export interface ToBegin {
  formulation: Formulation;
  plan: Plan;
}

/** Something that must be there before the first pot is begun. */
export type Need =
  | { what: 'jar'; stockId: string; dyeId: string; needs: number; holds: number }
  | { what: 'powder'; dyeId: string; needs: number }
  | { what: 'acid'; label: string; unit: 'mL' | 'g'; needs: number }
  | { what: 'water'; needs: number }
  | { what: 'ice'; needs: number };

/**
 * Everything that some batches will pour, weigh and run, together: by jar, by powder, by acid; water and ice last. What is
 * poured from jars stands beside what they hold.
 * @param left what jars still hold, mL, by id; a jar that is not named is full
 */
export function needsOf(batches: readonly ToBegin[], left: Readonly<Record<string, number>> = {}): Need[] {
  const jars = new Map<string, Extract<Need, { what: 'jar' }>>();
  const powders = new Map<string, number>();
  const acids = new Map<string, Extract<Need, { what: 'acid' }>>();
  let [water, ice] = [0, 0];
  for (const { formulation, plan } of batches)
    for (const { act } of plan.lines) {
      const measured = act.kind === 'move' ? null : amountOf(act);
      if (measured === null) continue;
      const { material, amount } = measured;
      if (material.kind === 'water') water += amount;
      else if (material.kind === 'ice') ice += amount;
      else if (material.kind === 'acid') {
        const { label, unit } = ACIDS[material.acid];
        acids.set(label, { what: 'acid', label, unit, needs: (acids.get(label)?.needs ?? 0) + amount });
      } else if (material.kind === 'dye' && material.stockId !== null) {
        const { stockId, dyeId } = material;
        const jar = formulation.stocks.find(({ id }) => id === stockId);
        jars.set(stockId, {
          what: 'jar',
          stockId,
          dyeId,
          needs: (jars.get(stockId)?.needs ?? 0) + amount,
          holds: left[stockId] ?? jar?.volumeMl ?? 0,
        });
      } else if (material.kind === 'dye')
        powders.set(material.dyeId, (powders.get(material.dyeId) ?? 0) + amount);
    }
  return [
    ...jars.values(),
    ...[...powders].map(([dyeId, needs]): Need => ({ what: 'powder', dyeId, needs })),
    ...acids.values(),
    ...(water > 0 ? [{ what: 'water' as const, needs: water }] : []),
    ...(ice > 0 ? [{ what: 'ice' as const, needs: ice }] : []),
  ];
}

/** Whether a jar holds less than will be poured from it. */
export const isShort = (need: Need): boolean => need.what === 'jar' && need.holds < need.needs;

/** A vessel that more than one batch is to be begun in, or that is taken already. */
export interface VesselClash {
  potId: string;
  name: string;
  /** Batches that are to be begun in it, by name. */
  batches: string[];
  /** The batch that stands in it now; null for none. */
  holds: string | null;
}

/** Vessels that would be wanted twice. @param inUse names of the batches that stand in vessels, by the vessel's id */
export function vesselClashes(
  batches: readonly ToBegin[],
  inUse: ReadonlyMap<string, string> = new Map(),
): VesselClash[] {
  const wanted = new Map<string, VesselClash>();
  for (const { formulation } of batches) {
    for (const pot of potsOf(formulation)) {
      const known = wanted.get(pot.id);
      wanted.set(pot.id, {
        potId: pot.id,
        name: pot.name,
        batches: [...(known?.batches ?? []), formulation.name],
        holds: inUse.get(pot.id) ?? null,
      });
    }
  }
  return [...wanted.values()].filter(({ batches: list, holds }) => list.length > 1 || holds !== null);
}
