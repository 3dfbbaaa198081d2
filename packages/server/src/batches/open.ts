import type { Transaction } from 'sequelize';
import {
  FieldError,
  foldRecord,
  isOpen,
  liquidLeaving,
  openBatch,
  type Batch,
  type LeavingLiquid,
  type OpenBatchRequest,
} from '@ythrion/core';
import { Conflict } from '../refusals/refusals';
import { readShelf } from '../shelf/store';
import type { Storage } from '../storage/storage';
import { insertBatch, writable } from './begin';
import { addEvent } from './events';
import { batchNow, readBatch } from './read';

/**
 * Begins a batch without a plan, in what another batch left where that is wished. Asking the same again changes nothing.
 * @throws FieldError when a base or vessel is unknown, or there is nothing to take over; Conflict when the id is another batch
 */
export async function beginOpen(
  storage: Storage,
  { id, name, startedAt, goods, potId, liquidFrom, remembered, from }: OpenBatchRequest,
  transaction: Transaction,
): Promise<Batch> {
  if (await storage.models.batches.findByPk(id, { transaction })) {
    const kept = await readBatch(storage, id, transaction);
    if (!isOpen(kept.card) || kept.startedAt !== startedAt)
      throw new Conflict('id', 'Another batch already has this id.');
    return kept;
  }
  const shelf = await readShelf(storage, transaction);
  const pot = shelf.pots.find((candidate) => candidate.id === potId) ?? null;
  if (potId !== null && !pot)
    throw new FieldError(
      'potId',
      `There is no vessel with the id “${potId}”. Name one that is on the shelf.`,
    );
  for (const [line, earlier] of Object.entries(from))
    if (!(await storage.models.batches.findByPk(earlier, { transaction })))
      throw new FieldError(
        `from.${line}`,
        `There is no batch with the id “${earlier}” that goods could come from.`,
      );
  const leftover = liquidFrom && (await takenOver(storage, liquidFrom, transaction));
  const { formulation, card } = openBatch(name, goods, pot, shelf, { leftover, remembered, from });
  return insertBatch(
    storage,
    {
      id,
      name,
      startedAt,
      colorwayId: null,
      colorwayVersion: null,
      againOf: null,
      loadOf: null,
      formulation,
      card: writable(card),
      code: '',
      events: [],
    },
    transaction,
  );
}

/** The bath of another batch, which it leaves by this event. */
async function takenOver(
  storage: Storage,
  { batch: fromId, event }: NonNullable<OpenBatchRequest['liquidFrom']>,
  transaction: Transaction,
): Promise<LeavingLiquid> {
  const from = await batchNow(storage, fromId, transaction);
  const liquid = liquidLeaving(from, foldRecord(from), event.id);
  if (!liquid) throw new FieldError('liquidFrom.batch', 'There is nothing in the vessel of that batch.');
  await addEvent(storage, fromId, event, transaction);
  return liquid;
}
