import type { Sequelize, Transaction } from 'sequelize';
import { QueryTypes } from 'sequelize';
import { dyeTotals, type Batch, type Event } from '@ythrion/core';
import type { OldBatch, OldDye, OldEntry } from './frozen/planner';
import { BEFORE_DEVICES, oldDyeGrams, readOldBatch, upgradeBatch } from './upgradeBatch';

/** Records that came out of the upgrade other than they went in. Nothing of it is kept. */
export class UpgradeError extends Error {
  override readonly name = 'UpgradeError';
}

interface OldBatchRow {
  id: string;
  code: string;
  name: string;
  colorway_id: string | null;
  colorway_version: number | null;
  again_of: string | null;
  started_at: string;
  formulation: string;
}
interface OldEntryRow {
  seq: number;
  id: string;
  batch_id: string;
  at: string;
  received_at: string;
  kind: string;
  body: string;
}

/**
 * Turns every batch of version 0.1.0 into a card and events, within one transaction. A batch that cannot be read stays
 * as it is, its entries kept aside word for word; every other one must come to the same grams of every dye.
 * @throws UpgradeError when a record or a jar would come out different
 */
export async function recordsToEvents(sequelize: Sequelize, transaction: Transaction): Promise<void> {
  const { select, run } = statements(sequelize, transaction);
  const dyes = await select<{ id: string; name: string; lot_strength: number }>(
    'SELECT id, name, lot_strength FROM dyes',
  );
  const shelf: OldDye[] = dyes.map(({ id, name, lot_strength }) => ({ id, name, lotStrength: lot_strength }));
  const ids = await select<{ id: string }>('SELECT id FROM batches ORDER BY started_at, id');
  for (const { id } of ids) {
    const [row] = await select<OldBatchRow>('SELECT * FROM batches WHERE id = ?', [id]);
    const entries = await select<OldEntryRow>('SELECT * FROM batch_entries WHERE batch_id = ? ORDER BY seq', [
      id,
    ]);
    if (row) await convert(row, entries, shelf, run);
  }
  await run(
    `INSERT INTO jar_draws (seq, stock_id, event_id, ml)
     SELECT seq, stock_id, entry_id, ml FROM stock_draws WHERE entry_id IN (SELECT id FROM events) ORDER BY seq`,
  );
  await sameJars(select);
}

type Run = (sql: string, values?: unknown[]) => Promise<void>;
type Select = <T extends object>(sql: string, values?: unknown[]) => Promise<T[]>;

function statements(sequelize: Sequelize, transaction: Transaction): { select: Select; run: Run } {
  return {
    select: <T extends object>(sql: string, replacements: unknown[] = []) =>
      sequelize.query<T>(sql, { replacements, transaction, type: QueryTypes.SELECT, raw: true }),
    run: async (sql, values = []) => {
      await sequelize.query(sql, { bind: values, transaction });
    },
  };
}

async function convert(
  row: OldBatchRow,
  entries: OldEntryRow[],
  shelf: readonly OldDye[],
  run: Run,
): Promise<void> {
  const batch = upgradedOrNull(row, entries, shelf);
  await run('INSERT INTO batch_plans (batch_id, formulation, card) VALUES ($1, $2, $3)', [
    row.id,
    batch ? JSON.stringify(batch.formulation) : row.formulation,
    batch ? JSON.stringify(batch.card) : 'null',
  ]);
  for (const [i, entry] of entries.entries()) await insertEvent(entry, batch?.events[i] ?? null, run);
  if (!batch) return;
  for (const [i, total] of dyeTotals(batch.events).entries())
    await run(
      `INSERT INTO batch_dyes (batch_id, pass, line, dye_id, grams, standard_grams, additions, first_seq)
       VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
      [batch.id, total.pass, total.line, total.dyeId, total.grams, total.standardGrams, total.additions, i],
    );
}

/** @param event null where the entry's batch cannot be read: the entry is kept word for word */
async function insertEvent(entry: OldEntryRow, event: Event | null, run: Run): Promise<void> {
  await run(
    `INSERT INTO events (seq, id, batch_id, vessel_id, at, received_at, device, count, kind, planned, strikes, body)
     VALUES ($1, $2, $3, NULL, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      entry.seq,
      entry.id,
      entry.batch_id,
      entry.at,
      entry.received_at,
      BEFORE_DEVICES,
      event?.count ?? 0,
      event?.kind ?? 'unread',
      event ? plannedOf(event) : null,
      event?.kind === 'struck' ? event.event : null,
      event ? JSON.stringify(event) : entry.body,
    ],
  );
}

/** Null where that version could not have read it either. */
function upgradedOrNull(
  row: OldBatchRow,
  entries: readonly OldEntryRow[],
  shelf: readonly OldDye[],
): Batch | null {
  try {
    return upgraded(row, entries, shelf);
  } catch (error) {
    if (error instanceof UpgradeError) throw error;
    return null;
  }
}

const plannedOf = (event: Event): string | null =>
  event.kind === 'act' || event.kind === 'begun' ? event.planned : null;

/** One batch in today's shape, held against what it was. */
function upgraded(row: OldBatchRow, entries: readonly OldEntryRow[], shelf: readonly OldDye[]): Batch {
  const old: OldBatch = {
    id: row.id,
    code: row.code,
    name: row.name,
    colorwayId: row.colorway_id,
    colorwayVersion: row.colorway_version,
    againOf: row.again_of,
    startedAt: row.started_at,
    formulation: JSON.parse(row.formulation) as OldBatch['formulation'],
    entries: entries.map(({ body }) => JSON.parse(body) as OldEntry),
  };
  const read = readOldBatch(old);
  const batch = upgradeBatch(read, shelf);
  if (batch.events.length !== entries.length)
    throw new UpgradeError(
      `Batch ${row.code} came out with ${batch.events.length} of ${entries.length} entries.`,
    );
  sameDyes(row.code, oldDyeGrams(read), batch);
  return batch;
}

/** Holds the dye of a batch against what it was, by dye. @throws UpgradeError naming batch and dye */
export function sameDyes(code: string, before: ReadonlyMap<string, number>, batch: Batch): void {
  const after = new Map<string, number>();
  for (const { dyeId, grams } of dyeTotals(batch.events)) after.set(dyeId, (after.get(dyeId) ?? 0) + grams);
  for (const dyeId of new Set([...before.keys(), ...after.keys()])) {
    const was = before.get(dyeId) ?? 0;
    const is = after.get(dyeId) ?? 0;
    if (Math.abs(was - is) > 1e-9 * Math.max(1, was))
      throw new UpgradeError(`Batch ${code} came out with ${is} g of ${dyeId} instead of ${was} g.`);
  }
}

async function sameJars(select: Select): Promise<void> {
  const wrong = await select<{ id: string; was: number; now: number }>(
    `SELECT o.stock_id AS id, o.ml AS was, COALESCE(n.ml, 0) AS now
       FROM (SELECT stock_id, SUM(ml) AS ml FROM stock_draws WHERE entry_id IN (SELECT id FROM events) GROUP BY stock_id) o
       LEFT JOIN (SELECT stock_id, SUM(ml) AS ml FROM jar_draws GROUP BY stock_id) n ON n.stock_id = o.stock_id
      WHERE ABS(o.ml - COALESCE(n.ml, 0)) > 1e-9`,
  );
  const [first] = wrong;
  if (first)
    throw new UpgradeError(`Jar ${first.id} came out with ${first.now} mL drawn instead of ${first.was} mL.`);
}
