import { asItStands, gaveTo, type WentInto } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { readableBatches, select } from './read';

/** Cards and changes of cards that name a batch; which of them took something from it their records say. */
const NAMED_IN = `SELECT batch_id AS id FROM batch_plans WHERE instr(card, ?) > 0 AND batch_id <> ?
  UNION SELECT batch_id FROM events WHERE kind = 'altered' AND instr(body, ?) > 0 AND batch_id <> ?
  LIMIT 100`;

/** The later batches that have goods or the bath of one, as their records stand now. */
export async function wentInto(storage: Storage, id: string): Promise<WentInto[]> {
  const named = JSON.stringify(id);
  const rows = await select<{ id: string }>(storage, NAMED_IN, [named, id, named, id]);
  const later = await readableBatches(
    storage,
    rows.map((row) => row.id),
  );
  return later.flatMap((batch) => gaveTo(id, asItStands(batch, batch.events)));
}
