import { materialOf } from '../../materials/acids';
import type { Thing } from '../../process/act';
import type { AcidSubstance } from '../../process/state';
import type { Batch } from '../batch';
import type { FoldedRecord } from '../foldRecord';
import type { NewEvent } from '../newEvent';
import { vesselOfPass } from '../unplanned';

/** Liquid of one batch on its way into another. */
export type LeavingLiquid = Extract<Thing, { kind: 'liquid' }>;

/**
 * What another batch gets when it takes over the bath of this one: all that is in its vessel at this moment. It keeps
 * these figures, so that each record can be told by itself.
 * @param event the one by which it leaves this batch
 * @returns null where there is nothing in it
 */
export function liquidLeaving(
  batch: Batch,
  { now }: Pick<FoldedRecord, 'now'>,
  event: string,
): LeavingLiquid | null {
  const vessel = vesselOfPass(batch, batch.card.passes.at(-1)?.id ?? null);
  const liquid = now.vessels.get(vessel)?.liquid;
  if (!liquid || liquid.ml <= 0) return null;
  return {
    kind: 'liquid',
    vessel,
    ml: liquid.ml,
    celsius: liquid.celsius,
    alkalinityMeq: liquid.alkalinityMeq,
    takenMeq: liquid.takenMeq,
    acids: (Object.entries(liquid.acids) as [AcidSubstance, number][]).map(([acid, pureGrams]) => ({
      acid: materialOf(acid),
      pureGrams,
    })),
    dyes: liquid.parcels.map(({ dyeId, standardGrams, act }) => ({ dyeId, standardGrams, act })),
    from: { batch: batch.id, event },
  };
}

/** The event by which a bath leaves its batch. */
export const takenOverBy = (batch: Batch): NewEvent => ({
  kind: 'act',
  planned: null,
  act: {
    kind: 'move',
    pass: null,
    line: null,
    purpose: null,
    from: { vessel: vesselOfPass(batch, batch.card.passes.at(-1)?.id ?? null) },
    to: null,
    ml: null,
    share: 1,
    holds: null,
  },
  written: '',
  note: 'Taken over by another batch.',
});
