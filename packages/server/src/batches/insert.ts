import type { Transaction } from 'sequelize';
import { asItStands, lastVerdict, summarizeBatch, type Batch, type Shelf } from '@ythrion/core';
import { insertRows } from '../storage/insertRows';
import type { BatchRow } from '../storage/models';
import type { Storage } from '../storage/storage';
import { searchText } from './book';
import { insertEvents } from './events';

/**
 * Writes whole batches, each with its code, in the order they come. They have been checked before.
 * @param shelf dyes and jars on the shelf
 */
export async function insertBatches(
  storage: Storage,
  batches: readonly Batch[],
  { dyes, stocks }: Pick<Shelf, 'dyes' | 'stocks'>,
  transaction: Transaction,
): Promise<void> {
  await insertRows(
    storage,
    'batches',
    batches.map((batch) => lineOf(batch, dyes)),
    transaction,
  );
  await insertRows(
    storage,
    'batch_plans',
    batches.map(({ id, formulation, card }) => ({
      batchId: id,
      formulation: JSON.stringify(formulation),
      card: JSON.stringify(card),
    })),
    transaction,
  );
  const bases = batches.flatMap((batch) => {
    const { goods } = asItStands(batch, batch.events).formulation.recipe;
    return [...new Set(goods.map(({ baseId }) => baseId))].map((base) => [base, batch.id]);
  });
  await storage.sequelize.query(
    `INSERT INTO batch_bases (base_id, line)
     SELECT value ->> 0, line FROM json_each($bases) JOIN batches ON batches.id = value ->> 1`,
    { bind: { bases: JSON.stringify(bases) }, transaction },
  );
  await insertEvents(storage, batches, stocks, transaction);
}

/** A batch as its line in the Book. */
function lineOf(batch: Batch, dyes: Shelf['dyes']): BatchRow {
  const summary = summarizeBatch(asItStands(batch, batch.events), dyes);
  return {
    ...summary,
    look: JSON.stringify(summary.look),
    colorwayVersion: batch.colorwayVersion,
    againOf: batch.againOf,
    orderId: batch.loadOf?.order ?? null,
    loadOf: batch.loadOf && JSON.stringify(batch.loadOf),
    search: searchText(summary, lastVerdict(batch.events)?.note ?? ''),
  };
}
