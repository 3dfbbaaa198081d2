/** Most bases that one order is dyed on. */
export const MOST_BASES = 12;

/** Pieces of an order on one base. */
export interface OrderLine {
  baseId: string;
  pieces: number;
}

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
  /** The bases of the order, and the one that this load is on; loads of before orders named a base have none. */
  bases?: { here: string; lines: OrderLine[] } | undefined;
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
  /** Pieces that no load was begun for, in all. */
  left: number;
  /** Its bases, at least one, each with the pieces that no load was begun for; null for the base of the colorway. */
  lines: { baseId: string | null; pieces: number; left: number }[];
}

/** Loads by their orders; one that was dropped leaves its pieces to be dyed. @returns newest order last */
export function ordersOf(loads: readonly BegunLoad[], dropped: string): Order[] {
  const orders = new Map<string, BegunLoad[]>();
  for (const load of loads) orders.set(load.order, [...(orders.get(load.order) ?? []), load]);
  return [...orders.values()].flatMap((mine) => orderOfLoads(mine, dropped) ?? []);
}

/** An order from what was begun of it. */
function orderOfLoads(loads: readonly BegunLoad[], dropped: string): Order | null {
  const [first] = loads;
  if (!first) return null;
  const { order: id, name, colorwayId, pieces } = first;
  const begun = loads.filter(({ standing }) => standing !== dropped);
  const lines = (first.bases?.lines ?? [{ baseId: null, pieces }]).map(({ baseId, pieces: asked }) => {
    const dyed = begun.filter(({ bases }) => (bases?.here ?? null) === baseId);
    return {
      baseId,
      pieces: asked,
      left: Math.max(0, asked - dyed.reduce((sum, { count }) => sum + count, 0)),
    };
  });
  return {
    id,
    name,
    colorwayId,
    pieces,
    loads: loads.toSorted((a, b) => a.load - b.load),
    left: lines.reduce((sum, { left }) => sum + left, 0),
    lines,
  };
}
