import type { Transaction } from 'sequelize';
import {
  admitCup,
  FieldError,
  ledgerChange,
  type Arrival,
  type Event,
  type KnownMaterials,
} from '@ythrion/core';
import { arrivedBefore, insertEvent } from '../events/insertEvent';
import { putItem } from '../shelf/store';
import type { Storage } from '../storage/storage';
import { readCup } from './read';

/**
 * Adds one event to the record of a cup; the first begins it. What is kept of a cup stands on the shelf by the same entry.
 * @throws FieldError when it does not hold together; Conflict when its id is another event
 */
export async function addCupEvent(
  storage: Storage,
  cupId: string,
  event: Event,
  transaction: Transaction,
): Promise<Arrival> {
  if (event.of.kind !== 'vessel' || event.of.id !== cupId)
    throw new FieldError('of.id', 'This event belongs to another record than the one it was sent to.');
  const before = await arrivedBefore(storage, event, transaction);
  if (before) return before;
  const cup = await readCup(storage, cupId, transaction);
  admitCup(event, cup, await namedBy(storage, event, transaction));
  const target = event.kind === 'struck' ? (cup.events.find(({ id }) => id === event.event) ?? null) : null;
  const again = target !== null && cup.events.some((one) => one.kind === 'struck' && one.event === target.id);
  const seq = await insertEvent(storage, event, again ? [] : ledgerChange(event, target), transaction);
  if (event.kind === 'kept') await putOnShelf(storage, event, false, transaction);
  if (target?.kind === 'kept' && !again) await putOnShelf(storage, target, true, transaction);
  return { seq, event };
}

/** What was kept of a cup, on the shelf. @param retired once the keeping was taken back */
async function putOnShelf(
  storage: Storage,
  { dye, stock }: Extract<Event, { kind: 'kept' }>,
  retired: boolean,
  transaction: Transaction,
): Promise<void> {
  if (dye) await putItem(storage, 'dyes', { ...dye, retired }, transaction);
  if (stock) await putItem(storage, 'stocks', { ...stock, retired }, transaction);
}

/** The dyes and jars on the shelf that an event names. */
async function namedBy({ models }: Storage, event: Event, transaction: Transaction): Promise<KnownMaterials> {
  const material = event.kind === 'act' && event.act.kind === 'put' ? event.act.material : null;
  if (material?.kind !== 'dye') return { dyes: [], stocks: [] };
  const { dyeId, stockId } = material;
  const [dyes, stocks] = await Promise.all([
    models.dyes.findAll({ where: { id: dyeId }, transaction }),
    stockId === null ? [] : models.stocks.findAll({ where: { id: stockId }, transaction }),
  ]);
  return {
    dyes: dyes.map((dye) => dye.get({ plain: true })),
    stocks: stocks.map((jar) => jar.get({ plain: true })),
  };
}
