import { QueryTypes } from 'sequelize';
import { soughtBy, type Batch } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { readableBatches } from './read';

/** Attempts that are told of at once, at most: the latest of them. */
const MOST = 60;

/** The batches that are attempts at a color, in the order in which they were begun. */
export async function attemptsAt(storage: Storage, color: string): Promise<Batch[]> {
  const rows = await storage.sequelize.query<{ id: string }>(
    `SELECT DISTINCT batch_id AS id FROM events
      WHERE kind = 'sought' AND batch_id IS NOT NULL AND body ->> '$.color' = ?
      ORDER BY seq DESC LIMIT ${MOST}`,
    { replacements: [color], type: QueryTypes.SELECT },
  );
  const found = await readableBatches(
    storage,
    rows.map(({ id }) => id),
  );
  return found.filter((batch) => soughtBy(batch) === color);
}
