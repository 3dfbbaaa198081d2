import { QueryTypes, type Transaction } from 'sequelize';
import { batchSchema, problemsOf, type Batch } from '@ythrion/core';
import { z } from 'zod';
import { DamagedRecord, NotFound } from '../refusals/refusals';
import type { Storage } from '../storage/storage';

/** Whatever can be asked for rows. */
type Readable = Pick<Storage, 'sequelize'>;

interface RecordRow {
  id: string;
  code: string;
  name: string;
  colorwayId: string | null;
  colorwayVersion: number | null;
  againOf: string | null;
  startedAt: string;
  formulation: string | null;
  card: string | null;
}

const RECORDS = `SELECT b.id, b.code, b.name, b.colorway_id AS colorwayId, b.colorway_version AS colorwayVersion,
    b.again_of AS againOf, b.started_at AS startedAt, p.formulation, p.card
  FROM batches b LEFT JOIN batch_plans p ON p.batch_id = b.id`;

/** One batch with its whole record. @throws NotFound, DamagedRecord */
export async function readBatch(storage: Storage, id: string, transaction?: Transaction): Promise<Batch> {
  const [row] = await select<RecordRow>(storage, `${RECORDS} WHERE b.id = ?`, [id], transaction);
  if (!row) throw new NotFound(`There is no batch with the id “${id}”.`);
  return toBatch(row, await eventTexts(storage, id, transaction));
}

/** Batches that are wet: begun and not closed. One that cannot be read is left out here; `check` names it. */
export async function runningBatches(storage: Storage): Promise<Batch[]> {
  const rows = await select<RecordRow>(
    storage,
    `${RECORDS} WHERE b.closed_at IS NULL ORDER BY b.started_at`,
    [],
  );
  const all = await Promise.all(rows.map(async (row) => readable(row, await eventTexts(storage, row.id))));
  return all.flatMap(({ batch }) => batch ?? []);
}

/** A batch, or why it cannot be read. */
export interface ReadRecord {
  batch: Batch | null;
  damaged: DamagedRecord | null;
}

/** Batches read at a time: few enough that nobody waits for them, many enough that asking costs little. */
const AT_ONCE = 25;

/** Every batch, oldest first; those that cannot be read among them, named. */
export async function* everyBatch(storage: Readable, transaction?: Transaction): AsyncGenerator<ReadRecord> {
  let last = { startedAt: '', id: '' };
  for (;;) {
    const rows = await select<RecordRow>(
      storage,
      `${RECORDS} WHERE (b.started_at, b.id) > (?, ?) ORDER BY b.started_at, b.id LIMIT ${AT_ONCE}`,
      [last.startedAt, last.id],
      transaction,
    );
    const next = rows.at(-1);
    if (!next) return;
    last = next;
    const events = new Map(rows.map(({ id }) => [id, [] as string[]]));
    const found = await select<{ batchId: string; body: string }>(
      storage,
      'SELECT batch_id AS batchId, body FROM events WHERE batch_id IN (?) ORDER BY batch_id, seq',
      [rows.map(({ id }) => id)],
      transaction,
    );
    for (const { batchId, body } of found) events.get(batchId)?.push(body);
    for (const row of rows) yield readable(row, events.get(row.id) ?? []);
  }
}

function readable(row: RecordRow, events: readonly string[]): ReadRecord {
  try {
    return { batch: toBatch(row, events), damaged: null };
  } catch (error) {
    if (error instanceof DamagedRecord) return { batch: null, damaged: error };
    throw error;
  }
}

const eventTexts = async (storage: Storage, batchId: string, transaction?: Transaction): Promise<string[]> =>
  (
    await select<{ body: string }>(
      storage,
      'SELECT body FROM events WHERE batch_id = ? ORDER BY seq',
      [batchId],
      transaction,
    )
  ).map(({ body }) => body);

function select<T extends object>(
  storage: Readable,
  sql: string,
  replacements: unknown[],
  transaction?: Transaction,
): Promise<T[]> {
  return storage.sequelize.query<T>(sql, { replacements, transaction, type: QueryTypes.SELECT, raw: true });
}

/** Read through its schema, so that what later versions added takes its default in an older record. */
function toBatch({ formulation, card, ...row }: RecordRow, events: readonly string[]): Batch {
  try {
    return batchSchema.parse({
      ...row,
      formulation: parsed(formulation),
      card: parsed(card),
      events: events.map(parsed),
    });
  } catch (error) {
    throw new DamagedRecord({ id: row.id, code: row.code, name: row.name }, whyOf(error));
  }
}

const parsed = (text: string | null): unknown => JSON.parse(text ?? 'null') as unknown;

function whyOf(error: unknown): string {
  if (!(error instanceof z.ZodError)) return 'it is torn';
  const [first] = problemsOf(error.issues);
  return first ? `${first.field}: ${first.message}` : 'it is not a record';
}
