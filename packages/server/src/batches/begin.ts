import type { Transaction } from 'sequelize';
import {
  cardOf,
  cardSchema,
  FieldError,
  noticeWords,
  formulate,
  planFormulation,
  type Batch,
  type BeginBatch,
  type Card,
} from '@ythrion/core';
import { Conflict } from '../refusals/refusals';
import { materials } from '../shelf/store';
import { sameContent } from '../storage/sameContent';
import type { Storage } from '../storage/storage';
import { insertBatches } from './insert';
import { readBatch } from './read';

/**
 * Begins a batch: plans it once, writes its card, and gives it a code of year and running number. Sending the same
 * batch again changes nothing.
 * @throws FieldError when the formulation does not hold together; Conflict when the id is another batch
 */
export async function beginBatch(
  storage: Storage,
  begin: BeginBatch,
  transaction: Transaction,
): Promise<Batch> {
  const existing = await storage.models.batches.findByPk(begin.id, { transaction });
  if (existing) {
    const kept = await readBatch(storage, begin.id, transaction);
    const { events: _, code: __, card: ___, ...same } = kept;
    if (!sameContent(same, begin)) throw new Conflict('id', 'Another batch already has this id.');
    return kept;
  }
  const { formulation } = begin;
  formulate(begin.name, formulation.recipe, { ...formulation, pots: [], studio: undefined });
  const plan = planFormulation(formulation);
  const stops = plan.notices.find((notice) => notice.blocks);
  if (stops) throw new FieldError('formulation', noticeWords(stops));
  return insertBatch(
    storage,
    { ...begin, code: '', card: writable(cardOf(formulation, plan)), events: [] },
    transaction,
  );
}

/** A card that a record can be made of. @throws FieldError when an amount is beyond all that can be measured */
export function writable(card: Card): Card {
  const read = cardSchema.safeParse(card);
  if (!read.success)
    throw new FieldError(
      'formulation',
      'Some amount of this plan is beyond what any vessel holds. Look for a strength or a depth that is far too small or too large.',
    );
  return read.data;
}

/**
 * Writes a whole batch; one without a code gets the next. It has been checked before.
 */
export async function insertBatch(storage: Storage, batch: Batch, transaction: Transaction): Promise<Batch> {
  const coded =
    batch.code === '' ? { ...batch, code: await nextCode(storage, batch.startedAt, transaction) } : batch;
  await insertBatches(storage, [coded], await materials(storage, transaction), transaction);
  return coded;
}

/** The code of year and running number that is next. */
export async function nextCode(
  storage: Storage,
  startedAt: string,
  transaction: Transaction,
): Promise<string> {
  const year = startedAt.slice(2, 4);
  const [rows] = await storage.sequelize.query(
    `SELECT MAX(CAST(SUBSTR(code, 4) AS INTEGER)) AS last FROM batches WHERE code LIKE ?`,
    { replacements: [`${year}-%`], transaction },
  );
  const last = (rows[0] as { last: number | null } | undefined)?.last ?? 0;
  return `${year}-${String(last + 1).padStart(3, '0')}`;
}
