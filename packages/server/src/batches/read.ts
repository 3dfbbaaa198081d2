import { QueryTypes, type Transaction } from 'sequelize';
import { asItStands, batchSchema, problemsOf, type Batch } from '@ythrion/core';
import { z } from 'zod';
import { DamagedRecord, NotFound } from '../refusals/refusals';
import type { Storage } from '../storage/storage';

/** A record as its texts stand in the file. */
export interface RecordTexts {
  row: RecordRow;
  events: readonly string[];
  /** Whether each of them is JSON from its beginning to its end. */
  whole: boolean;
}

interface RecordRow {
  id: string;
  code: string;
  name: string;
  colorwayId: string | null;
  colorwayVersion: number | null;
  againOf: string | null;
  loadOf: string | null;
  startedAt: string;
  formulation: string | null;
  card: string | null;
}

const RECORDS = `SELECT b.id, b.code, b.name, b.colorway_id AS colorwayId, b.colorway_version AS colorwayVersion,
    b.again_of AS againOf, b.load_of AS loadOf, b.started_at AS startedAt, p.formulation, p.card
  FROM batches b LEFT JOIN batch_plans p ON p.batch_id = b.id`;

/** One batch with its whole record. @throws NotFound, DamagedRecord */
export async function readBatch(storage: Storage, id: string, transaction?: Transaction): Promise<Batch> {
  const [row] = await select<RecordRow>(storage, `${RECORDS} WHERE b.id = ?`, [id], transaction);
  if (!row) throw new NotFound(`There is no batch with the id “${id}”.`);
  return toBatch(row, await eventTexts(storage, id, transaction));
}

/** The same with its card as it stands after what was changed at the pot. @throws NotFound, DamagedRecord */
export async function batchNow(storage: Storage, id: string, transaction?: Transaction): Promise<Batch> {
  const batch = await readBatch(storage, id, transaction);
  return asItStands(batch, batch.events);
}

/** Batches that are wet: begun and not closed. One that cannot be read is left out here; `check` names it. */
export async function runningBatches(storage: Storage): Promise<Batch[]> {
  return readableOf(storage, `${RECORDS} WHERE b.closed_at IS NULL ORDER BY b.started_at`, []);
}

/** Batches by their ids, oldest first. One that cannot be read is left out here; `check` names it. */
export const readableBatches = (storage: Storage, ids: readonly string[]): Promise<Batch[]> =>
  ids.length === 0
    ? Promise.resolve([])
    : readableOf(storage, `${RECORDS} WHERE b.id IN (?) ORDER BY b.started_at`, [ids]);

async function readableOf(storage: Storage, sql: string, values: unknown[]): Promise<Batch[]> {
  const rows = await select<RecordRow>(storage, sql, values);
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

/** Asks for rows, wherever they come from. */
export type Select = <T extends object>(sql: string, values: unknown[]) => Promise<T[]>;

/** Every batch, oldest first; those that cannot be read among them, named. */
export async function* everyBatch(storage: Pick<Storage, 'sequelize'>): AsyncGenerator<ReadRecord> {
  const asked: Select = (sql, values) => select(storage, sql, values);
  for await (const some of everyRecord(asked))
    for (const { row, events } of some) yield readable(row, events);
}

/** Every batch as its texts stand in the file, oldest first, some at a time. */
export async function* everyRecord(asked: Select): AsyncGenerator<RecordTexts[]> {
  let last = { startedAt: '', id: '' };
  for (;;) {
    const rows = await asked<RecordRow & { whole: 0 | 1 | null }>(
      `SELECT r.*, json_valid(formulation) AND json_valid(card) AS whole FROM (${RECORDS}) r
       WHERE (startedAt, id) > (?, ?) ORDER BY startedAt, id LIMIT ${AT_ONCE}`,
      [last.startedAt, last.id],
    );
    const next = rows.at(-1);
    if (!next) return;
    last = next;
    const found = await asked<{ batchId: string; body: string; whole: 0 | 1 }>(
      `SELECT batch_id AS batchId, body, json_valid(body) AS whole FROM events
       WHERE batch_id IN (SELECT value FROM json_each(?)) ORDER BY batch_id, seq`,
      [JSON.stringify(rows.map(({ id }) => id))],
    );
    const records = rows.map(({ whole, ...row }) => ({ row, events: [] as string[], whole: whole === 1 }));
    const byId = new Map(records.map((record) => [record.row.id, record]));
    for (const { batchId, body, whole } of found) {
      const record = byId.get(batchId);
      if (!record) continue;
      record.events.push(body);
      record.whole &&= whole === 1;
    }
    yield records;
  }
}

/** A batch, all of it whole, as the one text of an open document. What was written is not written anew, so it is quick. */
export function textOf({ row: { formulation, card, loadOf, ...row }, events }: RecordTexts): string {
  const text = `${JSON.stringify(row).slice(0, -1)},"loadOf":${loadOf ?? 'null'},"formulation":${formulation},"card":${card},"events":[${events.join()}]}`;
  return text.includes('\n') ? JSON.stringify(JSON.parse(text)) : text;
}

/** Reads a record, or says why it cannot be read. */
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

export function select<T extends object>(
  storage: Pick<Storage, 'sequelize'>,
  sql: string,
  replacements: unknown[],
  transaction?: Transaction,
): Promise<T[]> {
  return storage.sequelize.query<T>(sql, { replacements, transaction, type: QueryTypes.SELECT, raw: true });
}

/** Read through its schema, so that what later versions added takes its default in an older record. */
function toBatch({ formulation, card, loadOf, ...row }: RecordRow, events: readonly string[]): Batch {
  try {
    return batchSchema.parse({
      ...row,
      loadOf: parsed(loadOf),
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
