/** What a batch is of an order that was too large for one vessel: which load, and how many pieces of how many. */
export interface Load {
  /** The order, the same for all of its loads. */
  order: string;
  name: string;
  /** Pieces of the whole order, and of this load. */
  pieces: number;
  count: number;
  /** Counted from 1. */
  load: number;
}

/** A load that was begun, and what came of it. */
export interface BegunLoad extends Load {
  batch: string;
  code: string;
  colorwayId: string | null;
  closedAt: string | null;
  outcome: string | null;
  standing: string | null;
}

/** An order with its loads, first to last. */
export interface Order {
  id: string;
  name: string;
  colorwayId: string | null;
  pieces: number;
  loads: BegunLoad[];
  /** Pieces that no load was begun for. */
  left: number;
}

/** Loads by their orders; one that was dropped leaves its pieces to be dyed. @returns newest order last */
export function ordersOf(loads: readonly BegunLoad[], dropped: string): Order[] {
  const orders = new Map<string, Order>();
  for (const load of loads) {
    const order = orders.get(load.order) ?? {
      id: load.order,
      name: load.name,
      colorwayId: load.colorwayId,
      pieces: load.pieces,
      loads: [],
      left: load.pieces,
    };
    order.loads.push(load);
    if (load.standing !== dropped) order.left = Math.max(0, order.left - load.count);
    orders.set(load.order, order);
  }
  return [...orders.values()].map((order) => ({
    ...order,
    loads: order.loads.toSorted((a, b) => a.load - b.load),
  }));
}
