import { Draft } from './draft';
import { width } from './exposure';
import { give, giveHeld } from './give';
import { gotBy, type Got } from './received';
import type { Dose, Piece, Received, State, Stretch } from './state';

/** The state asked for last, which is asked for again: once for each of the goods. */
let last: { state: State; after: State } | null = null;

/** The state with all dye given that goods have a claim on: as if every pass were over. */
export function allGiven(state: State): State {
  if (last?.state === state) return last.after;
  const draft = new Draft(state);
  for (const id of state.vessels.keys()) give(draft, id, () => true);
  giveHeld(draft, () => true);
  const after = draft.done();
  last = { state, after };
  return after;
}

/**
 * What the pieces of some goods got that counts as depth, oldest first; of one pass, or of all.
 * @param line a line of goods, or one piece of it
 */
export function receivedBy(state: State, { line, pass }: { line?: string; pass?: string } = {}): Got[] {
  const after = allGiven(state);
  const isMeant = ({ counts, doses }: Received): boolean =>
    counts && (pass === undefined || doses.some((dose) => dose.pass === pass));
  const found: Got[] = [];
  for (const [id] of goodsOf(after, line))
    for (const got of gotBy(after, id, isMeant)) if (pass === undefined || got.pass === pass) found.push(got);
  return found;
}

const goodsOf = ({ pieces }: State, line?: string): (readonly [string, Piece])[] =>
  pieces
    .entries()
    .filter(([id, piece]) => (line === undefined ? !piece.catchUp : id === line || piece.line === line));

/** Nominal depth of each dye on some goods as a whole, % of standard strength; of one pass, or of all. */
export function depths(
  state: State,
  { line, pass }: { line?: string; pass?: string } = {},
): Map<string, number> {
  const after = allGiven(state);
  const goods = goodsOf(after, line);
  const grams = goods.reduce((sum, [, piece]) => sum + piece.grams, 0);
  const sums = new Map<string, number>();
  for (const [id] of goods)
    for (let link = after.received.get(id) ?? null; link !== null; link = link.rest) {
      const { counts, doses, share } = link.item;
      if (counts)
        for (const { dyeId, grams } of byDye(doses, pass))
          sums.set(dyeId, (sums.get(dyeId) ?? 0) + grams * share);
    }
  for (const [dyeId, sum] of sums) sums.set(dyeId, (100 * sum) / grams);
  return sums;
}

/** Grams of one dye. */
interface DyeGrams {
  dyeId: string;
  grams: number;
}

const sumsOf = new WeakMap<readonly Dose[], Map<string | undefined, DyeGrams[]>>();

/** Doses that goods share, summed once for all of them: grams of each dye, of one pass or of all. */
function byDye(doses: readonly Dose[], pass: string | undefined): DyeGrams[] {
  const known = sumsOf.get(doses) ?? new Map<string | undefined, DyeGrams[]>();
  sumsOf.set(doses, known);
  const found = known.get(pass);
  if (found) return found;
  const sums = new Map<string, number>();
  for (const dose of doses)
    if (pass === undefined || dose.pass === pass)
      sums.set(dose.dyeId, (sums.get(dose.dyeId) ?? 0) + dose.standardGrams);
  const list = [...sums].map(([dyeId, grams]) => ({ dyeId, grams }));
  known.set(pass, list);
  return list;
}

/** A point of a piece: where it lies on each axis, 0 to 1. */
export type Point = Partial<Record<Stretch['axis'], number>>;

/** Nominal depth at one point of a piece, all dyes together, %: every stretch that covers it, on any axis. */
export function depthAt(state: State, piece: string, point: Point): number {
  const after = allGiven(state);
  const goods = after.pieces.get(piece);
  if (!goods) return 0;
  return gotBy(after, piece)
    .filter(({ counts, stretch }) => counts && covers(stretch, point))
    .reduce(
      (sum, { standardGrams, stretch }) => sum + (100 * standardGrams) / (goods.grams * width(stretch)),
      0,
    );
}

/** A stretch all around, along or through is everywhere; else a point that says nothing of its axis is not on it. */
function covers({ axis, from, to }: Stretch, point: Point): boolean {
  if (from === 0 && to === 1) return true;
  const at = point[axis];
  return at !== undefined && at >= from && at < to;
}
