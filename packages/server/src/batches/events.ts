import { Op, QueryTypes, type Transaction } from 'sequelize';
import {
  asItStands,
  begunFromSchema,
  checkEvent,
  closedSummary,
  dyedSummary,
  dyeTotalOf,
  dyeTotals,
  everyLine,
  FieldError,
  inOrder,
  ledgerChange,
  lastVerdict,
  summarizeBatch,
  type Act,
  type Arrival,
  type Batch,
  type BatchSummary,
  type BegunBatch,
  type Card,
  type Dye,
  type DyeTotal,
  type Event,
  type EventOf,
  type Formulation,
  type KnownMaterials,
  type Stock,
} from '@ythrion/core';
import { Conflict, NotFound } from '../refusals/refusals';
import { insertRows } from '../storage/insertRows';
import type { BatchRow } from '../storage/models';
import type { Storage } from '../storage/storage';
import { arrivedBefore, insertEvent, insertRecords } from '../events/insertEvent';
import { searchText } from './book';
import { readBatch } from './read';

/**
 * Adds one event to a batch's record, whatever else is in there. The same event sent again is acknowledged and changes
 * nothing. What this costs hangs neither on how long the record is nor on how many batches there are.
 * @throws FieldError when it does not hold together; Conflict when its id is another event; NotFound
 */
export async function addEvent(
  storage: Storage,
  batchId: string,
  event: Event,
  transaction: Transaction,
): Promise<Arrival> {
  if (event.of.kind !== 'batch' || event.of.id !== batchId)
    throw new FieldError('of.id', 'This event belongs to another record than the one it was sent to.');
  const before = await arrivedBefore(storage, event, transaction);
  if (before) return before;
  const batch = await beginning(storage, batchId, transaction);
  const target = event.kind === 'struck' ? await eventOf(storage, batchId, event.event, transaction) : null;
  const named = await known(storage, batch.begun.formulation, event, transaction);
  checkEvent(event, everyLine(batch.begun.card, batch.altered), () => target ?? undefined, named);
  // What was taken back by another device already changes nothing any more.
  const again =
    target !== null &&
    (await storage.models.events.count({ where: { strikes: target.id }, transaction })) > 0;
  const seq = await insertEvent(storage, event, again ? [] : ledgerChange(event, target), transaction);
  if (!again) await retell(storage, batch, event, target, seq, transaction);
  return { seq, event };
}

/** Every event of batches that come whole, as an import brings them, with what they took from the jars on the shelf. */
export async function insertEvents(
  storage: Storage,
  batches: readonly Batch[],
  stocks: readonly Stock[],
  transaction: Transaction,
): Promise<void> {
  await insertRecords(storage, batches, stocks, transaction);
  await insertRows(
    storage,
    'batch_dyes',
    batches.flatMap(({ id, events }) =>
      dyeTotals(events).map((total, firstSeq) => ({ batchId: id, ...total, firstSeq })),
    ),
    transaction,
  );
}

interface Beginning {
  row: BatchRow;
  begun: BegunBatch;
  /** Every change of its card, those that were taken back among them. */
  altered: Event[];
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
  const altered = await alterations(storage, id, transaction);
  return {
    row,
    altered: altered.every,
    begun: asItStands(
      {
        ...row,
        loadOf: null,
        // What later versions added takes its default.
        formulation: begunFromSchema.parse(JSON.parse(plan.formulation)),
        card,
      },
      altered.standing,
    ),
  };
}

/** Changes of the card of a batch: every one, and those that stand. */
async function alterations(
  storage: Storage,
  batchId: string,
  transaction: Transaction,
): Promise<{ every: Event[]; standing: Event[] }> {
  const rows = await storage.sequelize.query<{ body: string; struck: 0 | 1 }>(
    `SELECT e.body, EXISTS (SELECT 1 FROM events s WHERE s.strikes = e.id) AS struck
       FROM events e WHERE e.batch_id = ? AND e.kind = 'altered' ORDER BY e.seq`,
    { replacements: [batchId], transaction, type: QueryTypes.SELECT },
  );
  const every = rows.map(({ body, struck }) => ({ event: JSON.parse(body) as Event, struck: struck === 1 }));
  return {
    every: every.map(({ event }) => event),
    standing: every.flatMap(({ event, struck }) => (struck ? [] : [event])),
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

/** The dyes and jars that an event names, as the batch's own recipe knows them; what is not in that, as the shelf does. */
async function known(
  storage: Storage,
  formulation: Formulation,
  event: Event,
  transaction: Transaction,
): Promise<KnownMaterials> {
  const dyed = actsIn(event).flatMap((act) => {
    const material = act.kind === 'put' ? act.material : act.kind === 'move' ? act.holds : null;
    return material?.kind === 'dye' ? [material] : [];
  });
  const { dyes, stocks } = formulation;
  const missing = (ids: readonly string[], there: readonly { id: string }[]): string[] => [
    ...new Set(ids.filter((id) => !there.some((one) => one.id === id))),
  ];
  const otherDyes = missing(
    dyed.map(({ dyeId }) => dyeId),
    dyes,
  );
  const otherJars = missing(
    dyed.flatMap(({ stockId }) => stockId ?? []),
    stocks,
  );
  const { models } = storage;
  const [moreDyes, moreJars] = await Promise.all([
    otherDyes.length === 0 ? [] : models.dyes.findAll({ where: { id: otherDyes }, transaction }),
    otherJars.length === 0 ? [] : models.stocks.findAll({ where: { id: otherJars }, transaction }),
  ]);
  return {
    dyes: [...dyes, ...moreDyes.map((dye) => dye.get({ plain: true }))],
    stocks: [...stocks, ...moreJars.map((jar) => jar.get({ plain: true }))],
  };
}

/** The acts that an event tells of. */
function actsIn(event: Event): Act[] {
  if (event.kind === 'act' || event.kind === 'begun') return [event.act];
  return event.kind === 'altered' ? event.change.lines.map(({ act }) => act) : [];
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
  if (changed.kind === 'altered') return tellAnew(storage, row, transaction);
  const total = dyeTotalOf(changed);
  if (!total && changed.kind !== 'closed' && changed.kind !== 'named') return;
  const verdict = await lastOfKind(storage, row.id, 'closed', transaction);
  const news: Partial<BatchSummary> = {
    ...(total && (await dyedAnew(storage, begun, total, target === null ? 1 : -1, seq, transaction))),
    ...(changed.kind === 'closed' && closedSummary(verdict)),
    ...(changed.kind === 'named' && { name: await lastName(storage, row, transaction) }),
  };
  const { look, ...told } = news;
  await storage.models.batches.update(
    {
      ...told,
      ...(look && { look: JSON.stringify(look) }),
      search: searchText({ ...row, ...told }, verdict?.note ?? ''),
    },
    { where: { id: row.id }, transaction },
  );
}

/** Writes the whole line of a batch in the Book anew: its goods or passes may be others now. */
async function tellAnew(storage: Storage, row: BatchRow, transaction: Transaction): Promise<void> {
  const batch = await readBatch(storage, row.id, transaction);
  const dyes = (await storage.models.dyes.findAll({ transaction })).map(
    (dye) => dye.get({ plain: true }) as Dye,
  );
  const now = asItStands(batch, batch.events);
  const { look, ...told } = summarizeBatch(now, dyes);
  await storage.models.batches.update(
    {
      ...told,
      look: JSON.stringify(look),
      search: searchText({ ...row, ...told }, lastVerdict(batch.events)?.note ?? ''),
    },
    { where: { id: row.id }, transaction },
  );
  for (const { baseId } of now.formulation.recipe.goods)
    await storage.sequelize.query(
      `INSERT OR IGNORE INTO batch_bases (base_id, line) SELECT :baseId, line FROM batches WHERE id = :id`,
      { replacements: { baseId, id: row.id }, transaction },
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
  const found = await lastOfKind(storage, id, 'named', transaction);
  if (found) return found.name;
  // The only name was taken back: nothing but its formulation knows the first.
  const plan = (await storage.models.batchPlans.findByPk(id, { transaction }))?.get({ plain: true });
  return (JSON.parse(plan?.formulation ?? 'null') as Formulation | null)?.name ?? name;
}

/** The last event of a kind that stands, by when it was made. */
async function lastOfKind<K extends 'named' | 'closed'>(
  storage: Storage,
  batchId: string,
  kind: K,
  transaction: Transaction,
): Promise<EventOf<K> | null> {
  const found = await storage.sequelize.query<{ body: string }>(
    `SELECT e.body FROM events e WHERE e.batch_id = ? AND e.kind = ?
       AND NOT EXISTS (SELECT 1 FROM events s WHERE s.strikes = e.id)`,
    { replacements: [batchId, kind], transaction, type: QueryTypes.SELECT },
  );
  return inOrder(found.map(({ body }) => JSON.parse(body) as EventOf<K>)).at(-1) ?? null;
}
