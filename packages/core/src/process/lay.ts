import type { ActOf } from './act';
import { chainOf, listed, type Chain } from './chain';
import {
  liquidWith,
  parcelWith,
  pieceWith,
  stateWith,
  vesselWith,
  withDrained,
  withLiquid,
  withPieces,
  withReceived,
  withVessels,
} from './change';
import { entered, vesselNamed } from './enter';
import { contactsShared, immersed, width } from './exposure';
import { CannotBe } from './impossible';
import { divided, joined } from './liquid';
import { tapWater } from './pour';
import { arrived, fiberIn } from './receive';
import { type Piece, type Received, type State, type Stretch, type Whereabouts } from './state';
import { everything, isMeant, piecesNamed, piecesOr } from './whichGoods';

/** Liquid that spun or wrung goods still hold, mL per dry gram (from memory, yields to your own). */
const WRUNG_ML_PER_GRAM = 0.5;

/** Goods into a vessel, all of them or a stretch, or above its liquid. Those that lie elsewhere are lifted first. */
export function place(state: State, { goods, vessel, reach, lies, pass }: ActOf<'place'>): State {
  let after = entered(state, vessel, pass);
  const laid = piecesOr(after, goods, isMeant);
  if (laid.length === 0) throw new CannotBe({ code: 'no goods there' });
  for (const [id] of laid) after = laidIn(after, id, { vessel, reach }, lies);
  return after;
}

function laidIn(state: State, id: string, next: Whereabouts, lies: Piece['lies']): State {
  let after = state;
  for (const there of pieceOf(state, id).at)
    if (there.vessel !== next.vessel && !besideEachOther(immersed(there), immersed(next)))
      after = liftedFrom(after, id, there, null);
  const earlier = pieceOf(after, id).at.find(({ vessel }) => vessel === next.vessel);
  const was = earlier ? wetShare(earlier) : 0;
  const will = wetShare(next);
  if (will < was && earlier) after = liquidKept(after, id, next.vessel, was - will, null);
  if (will > was) after = heldJoins(after, id, next.vessel, will - was);
  const piece = pieceOf(after, id);
  return withPieces(after, [
    [
      id,
      pieceWith(piece, {
        lies: lies ?? piece.lies,
        at: [...piece.at.filter(({ vessel }) => vessel !== next.vessel), next],
      }),
    ],
  ]);
}

const wetShare = (whereabouts: Whereabouts): number => {
  const stretch = immersed(whereabouts);
  return stretch === null ? 0 : width(stretch);
};

/** Both ends of a hank can hang in two jars. */
const besideEachOther = (one: Stretch | null, other: Stretch | null): boolean =>
  one !== null && other !== null && one.axis === other.axis && (one.to <= other.from || other.to <= one.from);

function pieceOf({ pieces }: State, id: string): Piece {
  const piece = pieces.get(id);
  if (!piece) throw new CannotBe({ code: 'no such goods', goods: id });
  return piece;
}

/** What the goods hold joins the liquid, for the part of them that newly reaches it. */
function heldJoins(state: State, id: string, vesselId: string, newly: number): State {
  const piece = pieceOf(state, id);
  const dry = 1 - piece.at.reduce((sum, whereabouts) => sum + wetShare(whereabouts), 0);
  const { taken, left } = divided(piece.held, dry > 0 ? newly / dry : 1);
  const vessel = vesselNamed(state, vesselId);
  const liquid = joined(vessel.liquid, arrived(taken, vessel.exposure), {
    here: fiberIn(state, vesselId),
    there: piece.grams * newly,
  });
  return withPieces(withLiquid(state, vesselId, liquid), [[id, pieceWith(piece, { held: left })]]);
}

/** A share of the goods leaves the liquid and keeps some of it. @param mlPerGram null: nobody squeezed */
function liquidKept(
  state: State,
  id: string,
  vesselId: string,
  share: number,
  mlPerGram: number | null,
): State {
  const piece = pieceOf(state, id);
  const vessel = vesselNamed(state, vesselId);
  const kept = (mlPerGram ?? state.surroundings.canHoldMlPerGram) * piece.grams * share;
  const { taken, left } = divided(vessel.liquid, vessel.liquid.ml > 0 ? kept / vessel.liquid.ml : 0);
  return withPieces(withLiquid(state, vesselId, left), [
    [id, pieceWith(piece, { held: joined(taken, piece.held, { here: piece.grams * share }) })],
  ]);
}

/** Goods out of one place they lie in. */
function liftedFrom(state: State, id: string, there: Whereabouts, mlPerGram: number | null): State {
  const share = wetShare(there);
  const out = share > 0 ? liquidKept(state, id, there.vessel, share, mlPerGram) : state;
  const piece = pieceOf(out, id);
  return withPieces(out, [
    [id, pieceWith(piece, { at: piece.at.filter(({ vessel }) => vessel !== there.vessel) })],
  ]);
}

/** Goods out of wherever they lie. */
const liftedOut = (state: State, id: string, mlPerGram: number | null = null): State =>
  pieceOf(state, id).at.reduce((after, there) => liftedFrom(after, id, there, mlPerGram), state);

/** Goods that hold more than so much give the rest to the vessel they hang over, or to the drain. */
function squeezed(state: State, id: string, mlPerGram: number): State {
  const piece = pieceOf(state, id);
  const most = mlPerGram * piece.grams;
  if (piece.held.ml <= most) return state;
  const { taken, left } = divided(piece.held, 1 - most / piece.held.ml);
  const drier = withPieces(state, [[id, pieceWith(piece, { held: left })]]);
  return withDrained(drier, joined(drier.drained, taken));
}

/** Goods out of wherever they lie, with so much liquid in them. */
export function lift(state: State, { goods, keepsMlPerGram }: ActOf<'lift'>): State {
  let after = state;
  for (const [id] of piecesOr(state, goods, (piece) => piece.at.length > 0)) {
    after = liftedOut(after, id, keepsMlPerGram);
    if (keepsMlPerGram !== null) after = squeezed(after, id, keepsMlPerGram);
  }
  return after;
}

/** Some of a line parts from the rest, by count or by mass; what they hold and got parts with them. */
export function split(state: State, { goods, count, grams, into }: ActOf<'split'>): State {
  const [name = ''] = goods;
  const [found] = piecesNamed(state, [name]);
  if (!found) throw new CannotBe({ code: 'no such goods', goods: name });
  if (state.pieces.has(into)) throw new CannotBe({ code: 'brought twice', thing: into });
  const [id, piece] = found;
  const [has, asked] = count === null ? [piece.grams, grams ?? 0] : [piece.count, count];
  if (asked >= has || asked <= 0) throw new CannotBe({ code: 'whole line', goods: id, has, asked });
  const share = asked / has;
  const vessels = state.vessels.entries().map(([key, vessel]) => {
    const exposure = contactsShared(vessel.exposure, id, into);
    if (exposure === vessel.exposure) return [key, vessel] as const;
    const parcels = vessel.liquid.parcels.map((parcel) =>
      parcelWith(parcel, { since: contactsShared(vessel.exposure, id, into, parcel.since) }),
    );
    return [key, vesselWith(vessel, { exposure, liquid: liquidWith(vessel.liquid, { parcels }) })] as const;
  });
  const got = listed(state.received.get(id) ?? null);
  const parted = (part: number): Chain<Received> =>
    chainOf(got.map((entry) => ({ ...entry, share: entry.share * part })));
  const after = withReceived(withVessels(state, vessels), [
    [into, parted(share)],
    [id, parted(1 - share)],
  ]);
  return withPieces(after, [
    [into, partOf(piece, share, Math.max(1, Math.round(share * piece.count)))],
    [id, partOf(piece, 1 - share, Math.max(1, piece.count - Math.round(share * piece.count)))],
  ]);
}

const partOf = (piece: Piece, share: number, count: number): Piece =>
  pieceWith(piece, {
    count,
    grams: piece.grams * share,
    held: divided(piece.held, share).taken,
    iceGrams: piece.iceGrams * share,
  });

/** Turned, tied, pressed, blotted, wrapped: how they lie is all that changes. */
export function handle(state: State, { goods, lies }: ActOf<'handle'>): State {
  const handled = piecesOr(state, goods, everything);
  return lies === null
    ? state
    : withPieces(
        state,
        handled.map(([id, piece]) => [id, pieceWith(piece, { lies })]),
      );
}

/** Out, and what they hold changed for tap water. */
export function rinse(state: State, { goods }: ActOf<'rinse'>): State {
  let after = state;
  for (const [id] of piecesOr(state, goods, everything)) {
    after = liftedOut(after, id);
    const piece = pieceOf(after, id);
    const clean = tapWater(state.surroundings.canHoldMlPerGram * piece.grams, state);
    after = withPieces(withDrained(after, joined(after.drained, piece.held)), [
      [id, pieceWith(piece, { held: clean })],
    ]);
  }
  return after;
}

/** Out, and spun or wrung. */
export function wring(state: State, { goods }: ActOf<'wring'>): State {
  let after = state;
  for (const [id] of piecesOr(state, goods, everything)) {
    after = liftedOut(after, id);
    after = squeezed(after, id, WRUNG_ML_PER_GRAM);
  }
  return after;
}

/** Hung until dry: the water goes, what was in it stays. */
export function dry(state: State, { goods }: ActOf<'dry'>): State {
  let after = state;
  for (const [id] of piecesOr(state, goods, everything)) {
    after = liftedOut(after, id);
    const piece = pieceOf(after, id);
    after = withPieces(stateWith(after, { driedMl: after.driedMl + piece.held.ml }), [
      [id, pieceWith(piece, { held: liquidWith(piece.held, { ml: 0, celsius: state.surroundings.roomC }) })],
    ]);
  }
  return after;
}
