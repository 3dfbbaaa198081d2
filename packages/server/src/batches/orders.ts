import { DROPPED, ordersOf, type BegunLoad, type Load, type Order } from '@ythrion/core';
import { NotFound } from '../refusals/refusals';
import type { Storage } from '../storage/storage';
import { select } from './read';

type LoadRow = Omit<BegunLoad, keyof Load> & { loadOf: string };

const LOADS = `SELECT id AS batch, code, colorway_id AS colorwayId, closed_at AS closedAt, outcome, standing, load_of AS loadOf
  FROM batches WHERE order_id IS NOT NULL`;

const begunLoad = ({ loadOf, ...row }: LoadRow): BegunLoad => ({ ...row, ...(JSON.parse(loadOf) as Load) });

/** Most orders that are looked through for open ones: whoever has more has forgotten the older ones. */
const MOST_ORDERS = 200;

/** Orders of which pieces are still to be dyed, newest first. */
export async function openOrders(storage: Storage): Promise<Order[]> {
  const rows = await select<LoadRow>(
    storage,
    `${LOADS} AND order_id IN (SELECT order_id FROM batches WHERE order_id IS NOT NULL
       GROUP BY order_id ORDER BY max(started_at) DESC LIMIT ${MOST_ORDERS}) ORDER BY started_at`,
    [],
  );
  return ordersOf(rows.map(begunLoad), DROPPED)
    .filter(({ left }) => left > 0)
    .toReversed();
}

/** An order with all of its loads. @throws NotFound */
export async function orderOf(storage: Storage, id: string): Promise<Order> {
  const rows = await select<LoadRow>(storage, `${LOADS} AND order_id = ? ORDER BY started_at`, [id]);
  const [order] = ordersOf(rows.map(begunLoad), DROPPED);
  if (!order) throw new NotFound(`There is no order with the id “${id}”.`);
  return order;
}
