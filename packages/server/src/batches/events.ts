import { Op, QueryTypes, type CreationAttributes, type Transaction } from 'sequelize';
import {
  admitEvent,
  checkAmount,
  checkMaterial,
  closedSummary,
  dyedSummary,
  dyeTotalOf,
  dyeTotals,
  FieldError,
  type Batch,
  type BatchSummary,
  type BegunBatch,
  type Card,
  type Dye,
  type DyeTotal,
  type Event,
  type EventOf,
  type Formulation,
  type RecordSoFar,
} from '@ythrion/core';
import { Conflict, NotFound } from '../refusals/refusals';
import { list } from '../shelf/store';
import { sameContent } from '../storage/sameContent';
import type { BatchRow, EventRow } from '../storage/models';
import type { Storage } from '../storage/storage';
import { searchText } from './book';

/**
 * Adds one event to a batch's record. The same event sent again is acknowledged and changes nothing. What this costs
 * hangs neither on how long the record is nor on how many batches there are.
 * @throws FieldError when it may not join the record; Conflict when its id is another event; NotFound
 */
export async function addEvent(
  storage: Storage,
  batchId: string,
  event: Event,
  transaction: Transaction,
): Promise<Event> {
  if (event.of.kind !== 'batch' || event.of.id !== batchId)
    throw new FieldError('of.id', 'This event belongs to another record than the one it was sent to.');
  const twin = (await storage.models.events.findOne({ where: { id: event.id }, transaction }))?.get({
    plain: true,
  });
  if (twin) {
    if (twin.batchId !== batchId || !sameContent(JSON.parse(twin.body), event))
      throw new Conflict('id', 'Another entry already has this id.');
    return event;
  }
  const batch = await beginning(storage, batchId, transaction);
  const target = event.kind === 'struck' ? await eventOf(storage, batchId, event.event, transaction) : null;
  admitEvent(event, batch.begun.card, await soFar(storage, batch.row, event, target, transaction));
  if (event.kind === 'act' || event.kind === 'begun')
    checkMaterial(event.act, await known(storage, batch.begun.formulation, event, transaction));
  if (event.kind === 'act') checkAmount(event.act, event.written);
  const seq = await insertEvent(storage, event, target, transaction);
  await retell(storage, batch, event, target, seq, transaction);
  return event;
}

/** Every event of a batch that comes whole, as an import brings it. */
export async function insertEvents(storage: Storage, batch: Batch, transaction: Transaction): Promise<void> {
  const { models } = storage;
  const byId = new Map(batch.events.map((event) => [event.id, event]));
  const jars = new Set((await list(storage, 'stocks', transaction)).map((jar) => jar.id));
  await models.events.bulkCreate(batch.events.map(toRow), { transaction });
  await models.draws.bulkCreate(
    batch.events.flatMap((event) => {
      const target = event.kind === 'struck' ? byId.get(event.event) : undefined;
      const change = ledgerChange(event, target ?? null);
      return change && jars.has(change.stockId) ? [{ ...change, eventId: event.id }] : [];
    }),
    { transaction },
  );
  await models.batchDyes.bulkCreate(
    dyeTotals(batch.events).map((total, firstSeq) => ({ ...total, batchId: batch.id, firstSeq })),
    { transaction },
  );
}

interface Beginning {
  row: BatchRow;
  begun: BegunBatch;
}

/** A batch without its events. What it was begun from was checked when it was written. */
async function beginning(storage: Storage, id: string, transaction: Transaction): Promise<Beginning> {
  const { batches, batchPlans } = storage.models;
  const row = (await batches.findByPk(id, { transaction }))?.get({ plain: true });
  const plan = (await batchPlans.findByPk(id, { transaction }))?.get({ plain: true });
  if (!row) throw new NotFound(`There is no batch with the id “${id}”.`);
  const card = JSON.parse(plan?.card ?? 'null') as Card | null;
  if (!plan || !card)
    throw new Conflict(
      'id',
      `The record of batch ${row.code} cannot be read, so nothing can be added to it.`,
    );
  return {
    row,
    begun: { ...row, formulation: JSON.parse(plan.formulation) as Formulation, card },
  };
}

async function eventOf(
  storage: Storage,
  batchId: string,
  id: string,
  transaction: Transaction,
): Promise<Event | null> {
  const row = (await storage.models.events.findOne({ where: { id, batchId }, transaction }))?.get({
    plain: true,
  });
  return row ? (JSON.parse(row.body) as Event) : null;
}

/** The few things of a record that one event hangs on, each by its index. */
async function soFar(
  storage: Storage,
  { id, closedAt }: BatchRow,
  event: Event,
  target: Event | null,
  transaction: Transaction,
): Promise<RecordSoFar> {
  const standing = async (where: string, values: unknown[]): Promise<boolean> => {
    const rows = await storage.sequelize.query(
      `SELECT 1 FROM events e WHERE e.batch_id = ? AND ${where}
         AND NOT EXISTS (SELECT 1 FROM events s WHERE s.strikes = e.id) LIMIT 1`,
      { replacements: [id, ...values], transaction, type: QueryTypes.SELECT },
    );
    return rows.length > 0;
  };
  const planned = event.kind === 'act' || event.kind === 'begun' ? event.planned : null;
  const done = planned !== null && (await standing(`e.planned = ? AND e.kind = 'act'`, [planned]));
  const acknowledged =
    event.kind === 'acknowledged' &&
    (await standing(`e.kind = 'acknowledged' AND json_extract(e.body, '$.caution') = ?`, [event.caution]));
  const struck =
    event.kind === 'struck' &&
    (await storage.models.events.count({ where: { strikes: event.event }, transaction })) > 0;
  return {
    closed: closedAt !== null,
    isDone: () => done,
    isAcknowledged: () => acknowledged,
    find: () => target ?? undefined,
    isStruck: () => struck,
  };
}

/** The dye and the jar that an act names, as the batch's own recipe knows them; what is not in that, as the shelf does. */
async function known(
  storage: Storage,
  formulation: Formulation,
  { act }: EventOf<'act'> | EventOf<'begun'>,
  transaction: Transaction,
): Promise<Parameters<typeof checkMaterial>[1]> {
  const material = act.kind === 'put' ? act.material : act.kind === 'move' ? act.holds : null;
  if (material?.kind !== 'dye') return { dyes: [], stocks: [] };
  const { dyes, stocks } = formulation;
  const { dyeId, stockId } = material;
  const dye = dyes.some(({ id }) => id === dyeId)
    ? null
    : await storage.models.dyes.findByPk(dyeId, { transaction });
  const stock =
    stockId === null || stocks.some(({ id }) => id === stockId)
      ? null
      : await storage.models.stocks.findByPk(stockId, { transaction });
  return {
    dyes: [...dyes, ...(dye ? [dye.get({ plain: true })] : [])],
    stocks: [...stocks, ...(stock ? [stock.get({ plain: true })] : [])],
  };
}

/** Writes an event and what it takes from a jar, or gives back to it. */
async function insertEvent(
  { models, sequelize }: Storage,
  event: Event,
  target: Event | null,
  transaction: Transaction,
): Promise<number> {
  const row = await models.events.create(toRow(event), { transaction });
  const change = ledgerChange(event, target);
  if (change)
    await sequelize.query(
      `INSERT INTO jar_draws (stock_id, event_id, ml)
       SELECT :stockId, :eventId, :ml WHERE EXISTS (SELECT 1 FROM stocks WHERE id = :stockId)`,
      { replacements: { ...change, eventId: event.id }, transaction },
    );
  return row.seq;
}

function toRow(event: Event): CreationAttributes<EventRow> {
  return {
    id: event.id,
    batchId: event.of.kind === 'batch' ? event.of.id : null,
    vesselId: event.of.kind === 'vessel' ? event.of.id : null,
    at: event.at,
    receivedAt: new Date().toISOString(),
    device: event.device,
    count: event.count,
    kind: event.kind,
    planned: event.kind === 'act' || event.kind === 'begun' ? event.planned : null,
    strikes: event.kind === 'struck' ? event.event : null,
    body: JSON.stringify(event),
  };
}

/** What an event does to a jar, mL: a pour takes, a strike-out gives back what its target took. */
function ledgerChange(event: Event, target: Event | null): { stockId: string; ml: number } | null {
  const back = target && jarDraw(target);
  return back ? { ...back, ml: -back.ml } : jarDraw(event);
}

/** What an event takes out of a jar, mL; what is poured on from a working dilution left the jar before. */
export function jarDraw(event: Event): { stockId: string; ml: number } | null {
  if (event.kind !== 'act' || event.act.kind !== 'put') return null;
  const { material, amount, unit } = event.act;
  if (material.kind !== 'dye' || material.stockId === null || amount === null || unit !== 'mL') return null;
  return { stockId: material.stockId, ml: amount };
}

/** Tells the batch's line in the Book anew, where this event changes it; nothing else is written. */
async function retell(
  storage: Storage,
  { row, begun }: Beginning,
  event: Event,
  target: Event | null,
  seq: number,
  transaction: Transaction,
): Promise<void> {
  const changed = target ?? event;
  const total = dyeTotalOf(changed);
  const news: Partial<BatchSummary> = {
    ...(total && (await dyedAnew(storage, begun, total, target === null ? 1 : -1, seq, transaction))),
    ...(changed.kind === 'closed' && closedSummary(await verdict(storage, row.id, transaction))),
    ...(changed.kind === 'named' && { name: await lastName(storage, row, transaction) }),
  };
  if (Object.keys(news).length === 0) return;
  await storage.models.batches.update(
    { ...news, search: searchText({ ...row, ...news }) },
    { where: { id: row.id }, transaction },
  );
}

async function dyedAnew(
  storage: Storage,
  begun: BegunBatch,
  { pass, line, dyeId, grams, standardGrams }: DyeTotal,
  sign: 1 | -1,
  seq: number,
  transaction: Transaction,
): Promise<Partial<BatchSummary>> {
  const replacements = {
    id: begun.id,
    pass,
    line,
    dyeId,
    seq,
    grams: sign * grams,
    standard: sign * standardGrams,
    sign,
  };
  await storage.sequelize.query(
    `INSERT INTO batch_dyes (batch_id, pass, line, dye_id, grams, standard_grams, additions, first_seq)
     VALUES (:id, :pass, :line, :dyeId, :grams, :standard, :sign, :seq)
     ON CONFLICT (batch_id, pass, line, dye_id) DO UPDATE SET
       grams = grams + excluded.grams, standard_grams = standard_grams + excluded.standard_grams,
       additions = additions + excluded.additions`,
    { replacements, transaction },
  );
  if (sign < 0)
    await storage.models.batchDyes.destroy({
      where: { batchId: begun.id, additions: { [Op.lte]: 0 } },
      transaction,
    });
  const rows = await storage.models.batchDyes.findAll({
    where: { batchId: begun.id },
    order: ['firstSeq'],
    transaction,
  });
  const totals = rows.map((found) => found.get({ plain: true }));
  const others = totals
    .map((total) => total.dyeId)
    .filter((id) => !begun.formulation.dyes.some((dye) => dye.id === id));
  const dyes =
    others.length === 0 ? [] : await storage.models.dyes.findAll({ where: { id: others }, transaction });
  return dyedSummary(
    begun,
    totals,
    dyes.map((dye) => dye.get({ plain: true }) as Dye),
  );
}

/** What a batch is called now; by what it was called last where a name is taken back. */
async function lastName(storage: Storage, { id, name }: BatchRow, transaction: Transaction): Promise<string> {
  const [found] = await storage.sequelize.query<{ body: string }>(
    `SELECT e.body FROM events e WHERE e.batch_id = ? AND e.kind = 'named'
       AND NOT EXISTS (SELECT 1 FROM events s WHERE s.strikes = e.id) ORDER BY e.seq DESC LIMIT 1`,
    { replacements: [id], transaction, type: QueryTypes.SELECT },
  );
  if (found) return (JSON.parse(found.body) as EventOf<'named'>).name;
  // The only name was taken back: nothing but its formulation knows the first.
  const plan = (await storage.models.batchPlans.findByPk(id, { transaction }))?.get({ plain: true });
  return (JSON.parse(plan?.formulation ?? 'null') as Formulation | null)?.name ?? name;
}

/** The verdict that stands. */
async function verdict(
  storage: Storage,
  batchId: string,
  transaction: Transaction,
): Promise<EventOf<'closed'> | null> {
  const [found] = await storage.sequelize.query<{ body: string }>(
    `SELECT e.body FROM events e WHERE e.batch_id = ? AND e.kind = 'closed'
       AND NOT EXISTS (SELECT 1 FROM events s WHERE s.strikes = e.id) ORDER BY e.seq DESC LIMIT 1`,
    { replacements: [batchId], transaction, type: QueryTypes.SELECT },
  );
  return found ? (JSON.parse(found.body) as EventOf<'closed'>) : null;
}
