import type { Transaction } from 'sequelize';
import {
  againNoticeWords,
  dyeAgain,
  FieldError,
  foldRecord,
  withThen,
  type Batch,
  type DyeAgainRequest,
} from '@ythrion/core';
import { Conflict } from '../refusals/refusals';
import { readShelf } from '../shelf/store';
import type { Storage } from '../storage/storage';
import { insertBatch, writable } from './begin';
import { batchNow, readBatch } from './read';

/**
 * Begins a batch that dyes the record of another again: the card is its done acts on other goods. Asking the same again
 * changes nothing.
 * @throws FieldError when it cannot be dyed like that; Conflict when the id is another batch; NotFound
 */
export async function beginAgain(
  storage: Storage,
  ofId: string,
  { to, ...begin }: DyeAgainRequest,
  transaction: Transaction,
): Promise<Batch> {
  if (await storage.models.batches.findByPk(begin.id, { transaction })) {
    const kept = await readBatch(storage, begin.id, transaction);
    if (kept.againOf !== ofId || kept.startedAt !== begin.startedAt)
      throw new Conflict('id', 'Another batch already has this id.');
    return kept;
  }
  const of = await batchNow(storage, ofId, transaction);
  const { formulation, card, notices } = dyeAgain(
    of,
    foldRecord(of),
    to,
    withThen(await readShelf(storage, transaction), of.formulation),
  );
  const stops = notices.find(({ blocks }) => blocks);
  if (stops) throw new FieldError('to', againNoticeWords(stops, formulation.dyes));
  const { colorwayId, colorwayVersion } = of;
  return insertBatch(
    storage,
    {
      ...begin,
      colorwayId,
      colorwayVersion,
      againOf: of.id,
      loadOf: null,
      formulation: { ...formulation, name: begin.name },
      card: writable(card),
      code: '',
      events: [],
    },
    transaction,
  );
}
