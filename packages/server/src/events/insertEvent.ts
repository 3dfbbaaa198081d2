import type { InferAttributes, Transaction } from 'sequelize';
import { ledgerOf, type Arrival, type Event, type JarDraw, type Stock } from '@ythrion/core';
import { Conflict } from '../refusals/refusals';
import type { EventRow } from '../storage/models';
import { insertRows } from '../storage/insertRows';
import { sameContent } from '../storage/sameContent';
import type { Storage } from '../storage/storage';

/** What was answered when the same event came before; null for a new one. @throws Conflict when its id is another event */
export async function arrivedBefore(
  storage: Storage,
  event: Event,
  transaction: Transaction,
): Promise<Arrival | null> {
  const twin = (await storage.models.events.findOne({ where: { id: event.id }, transaction }))?.get({
    plain: true,
  });
  if (!twin) return null;
  if (!sameContent(JSON.parse(twin.body), event))
    throw new Conflict('id', 'Another entry already has this id.');
  return { seq: twin.seq, event };
}

/** Writes an event and what it takes from a jar, or gives back to it. */
export async function insertEvent(
  { models, sequelize }: Storage,
  event: Event,
  changes: readonly JarDraw[],
  transaction: Transaction,
): Promise<number> {
  const row = await models.events.create(toRow(event, true), { transaction });
  for (const change of changes)
    await sequelize.query(
      `INSERT INTO jar_draws (stock_id, event_id, ml)
       SELECT :stockId, :eventId, :ml WHERE EXISTS (SELECT 1 FROM stocks WHERE id = :stockId)`,
      { replacements: { ...change }, transaction },
    );
  return row.seq;
}

type NewEvent = Omit<InferAttributes<EventRow>, 'seq'>;

/** @param sent by a device, one by one; false: in a whole record */
function toRow(event: Event, sent: boolean): NewEvent {
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
    sent: sent ? 1 : 0,
    body: JSON.stringify(event),
  };
}

/** Every event of records that come whole, as an import brings them, with what they took from the jars on the shelf. */
export async function insertRecords(
  storage: Storage,
  records: readonly { events: readonly Event[] }[],
  stocks: readonly Stock[],
  transaction: Transaction,
): Promise<void> {
  const jars = new Set(stocks.map((jar) => jar.id));
  await insertRows(
    storage,
    'events',
    records.flatMap(({ events }) => events.map((event) => toRow(event, false))),
    transaction,
  );
  await insertRows(
    storage,
    'jar_draws',
    records.flatMap(({ events }) => ledgerOf(events).filter(({ stockId }) => jars.has(stockId))),
    transaction,
  );
}
