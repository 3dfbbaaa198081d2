import type { ActOf } from './act';
import { chainOf, listed, type Chain } from './chain';
import { boundIn, dividedBeside, stillBound } from './bound';
import { liquidWith, parcelWith, pieceWith, vesselWith } from './change';
import type { Draft } from './draft';
import { entered } from './enter';
import { contactsShared, immersed, width } from './exposure';
import { give, giveHeld } from './give';
import { CannotBe } from './impossible';
import { divided, joined } from './liquid';
import { tapWater } from './pour';
import { arrived, fiberIn } from './receive';
import type { Piece, Received, Stretch, Whereabouts } from './state';
import { everything, isMeant, piecesNamed, piecesOr } from './whichGoods';

/** Liquid that spun or wrung goods still hold, mL per dry gram (from memory, yields to your own). */
const WRUNG_ML_PER_GRAM = 0.5;

/** Goods into a vessel, all of them or a stretch, or above its liquid. Those that lie elsewhere are lifted first. */
export function place(draft: Draft, { goods, vessel, reach, lies, pass }: ActOf<'place'>): void {
  entered(draft, vessel, pass);
  const laid = piecesOr(draft, goods, isMeant);
  if (laid.length === 0) throw new CannotBe({ code: 'no goods there' });
  for (const [id] of laid) layIn(draft, id, { vessel, reach }, lies);
}

function layIn(draft: Draft, id: string, next: Whereabouts, lies: Piece['lies']): void {
  for (const there of draft.piece(id).at)
    if (there.vessel !== next.vessel && !besideEachOther(immersed(there), immersed(next)))
      liftFrom(draft, id, there, null);
  const earlier = draft.piece(id).at.find(({ vessel }) => vessel === next.vessel);
  const was = earlier ? wetShare(earlier) : 0;
  const will = wetShare(next);
  if (will < was) keepLiquid(draft, id, next.vessel, was - will, null);
  if (will > was) heldJoins(draft, id, next.vessel, will - was);
  const piece = draft.piece(id);
  draft.pieces.set(
    id,
    pieceWith(piece, {
      lies: lies ?? piece.lies,
      at: [...piece.at.filter(({ vessel }) => vessel !== next.vessel), next],
    }),
  );
}

const wetShare = (whereabouts: Whereabouts): number => {
  const stretch = immersed(whereabouts);
  return stretch === null ? 0 : width(stretch);
};

/** Both ends of a hank can hang in two jars. */
const besideEachOther = (one: Stretch | null, other: Stretch | null): boolean =>
  one !== null && other !== null && one.axis === other.axis && (one.to <= other.from || other.to <= one.from);

/** What the goods hold joins the liquid, for the part of them that newly reaches it. */
function heldJoins(draft: Draft, id: string, vesselId: string, newly: number): void {
  const piece = draft.piece(id);
  const dry = 1 - piece.at.reduce((sum, whereabouts) => sum + wetShare(whereabouts), 0);
  const { taken, left } = divided(piece.held, dry > 0 ? newly / dry : 1);
  const { liquid, exposure } = draft.vessel(vesselId);
  const together = joined(liquid, arrived(taken, exposure), {
    here: fiberIn(draft, vesselId),
    there: piece.grams * newly,
  });
  const brings = piece.boundMeq * (dry > 0 ? newly / dry : 1);
  draft.setLiquid(vesselId, liquidWith(together, { takenMeq: together.takenMeq - brings }));
  draft.pieces.set(id, pieceWith(piece, { held: left, boundMeq: piece.boundMeq - brings }));
}

/** A share of the goods leaves the liquid and keeps some of it. @param mlPerGram null: nobody squeezed */
function keepLiquid(
  draft: Draft,
  id: string,
  vesselId: string,
  share: number,
  mlPerGram: number | null,
): void {
  const piece = draft.piece(id);
  const { liquid } = draft.vessel(vesselId);
  const kept = (mlPerGram ?? draft.surroundings.canHoldMlPerGram) * piece.grams * share;
  const bound = boundIn(draft, vesselId);
  const mine = piece.holdsMeq * share * bound.share;
  const { taken, left } = dividedBeside(liquid, liquid.ml > 0 ? kept / liquid.ml : 0, bound);
  draft.setLiquid(vesselId, stillBound(liquidWith(left, { takenMeq: left.takenMeq + mine }), bound));
  draft.pieces.set(
    id,
    pieceWith(piece, {
      held: joined(taken, piece.held, { here: piece.grams * share }),
      boundMeq: piece.boundMeq + mine,
    }),
  );
}

/** Goods out of one place they lie in. */
function liftFrom(draft: Draft, id: string, there: Whereabouts, mlPerGram: number | null): void {
  const share = wetShare(there);
  if (share > 0) keepLiquid(draft, id, there.vessel, share, mlPerGram);
  const piece = draft.piece(id);
  draft.pieces.set(id, pieceWith(piece, { at: piece.at.filter(({ vessel }) => vessel !== there.vessel) }));
}

/** Goods out of wherever they lie. */
function liftOut(draft: Draft, id: string, mlPerGram: number | null = null): void {
  for (const there of draft.piece(id).at) liftFrom(draft, id, there, mlPerGram);
}

/** Goods that hold more than so much give the rest to the drain. */
function squeeze(draft: Draft, id: string, mlPerGram: number): void {
  const piece = draft.piece(id);
  const most = mlPerGram * piece.grams;
  if (piece.held.ml <= most) return;
  const { taken, left } = divided(piece.held, 1 - most / piece.held.ml);
  draft.pieces.set(id, pieceWith(piece, { held: left }));
  draft.drained = joined(draft.drained, taken);
}

/** Goods out of wherever they lie, with so much liquid in them. */
export function lift(draft: Draft, { goods, keepsMlPerGram }: ActOf<'lift'>): void {
  for (const [id] of piecesOr(draft, goods, (piece) => piece.at.length > 0)) {
    liftOut(draft, id, keepsMlPerGram);
    if (keepsMlPerGram !== null) squeeze(draft, id, keepsMlPerGram);
  }
}

/** Some of a line parts from the rest, by count or by mass; what they hold and got parts with them. */
export function split(draft: Draft, { goods, count, grams, into }: ActOf<'split'>): void {
  const [name = ''] = goods;
  const [found] = piecesNamed(draft, [name]);
  if (!found) throw new CannotBe({ code: 'no such goods', goods: name });
  if (draft.pieces.has(into)) throw new CannotBe({ code: 'brought twice', thing: into });
  const [id, piece] = found;
  const [has, asked] = count === null ? [piece.grams, grams ?? 0] : [piece.count, count];
  if (asked >= has || asked <= 0) throw new CannotBe({ code: 'whole line', goods: id, has, asked });
  const share = asked / has;
  for (const [key, vessel] of draft.vessels.entries()) {
    const exposure = contactsShared(vessel.exposure, id, into);
    if (exposure === vessel.exposure) continue;
    const parcels = vessel.liquid.parcels.map((parcel) =>
      parcelWith(parcel, { since: contactsShared(vessel.exposure, id, into, parcel.since) }),
    );
    draft.vessels.set(key, vesselWith(vessel, { exposure, liquid: liquidWith(vessel.liquid, { parcels }) }));
  }
  const got = listed(draft.received.get(id) ?? null);
  const parted = (part: number): Chain<Received> =>
    chainOf(
      got.map(({ doses, share: of, stretch, counts }) => ({ doses, share: of * part, stretch, counts })),
    );
  draft.received.set(into, parted(share));
  draft.received.set(id, parted(1 - share));
  draft.pieces.set(into, partOf(piece, share, Math.max(1, Math.round(share * piece.count))));
  draft.pieces.set(id, partOf(piece, 1 - share, Math.max(1, piece.count - Math.round(share * piece.count))));
}

const partOf = (piece: Piece, share: number, count: number): Piece =>
  pieceWith(piece, {
    count,
    grams: piece.grams * share,
    holdsMeq: piece.holdsMeq * share,
    boundMeq: piece.boundMeq * share,
    held: divided(piece.held, share).taken,
    iceGrams: piece.iceGrams * share,
  });

/** Turned, tied, pressed, blotted, wrapped: how they lie is all that changes. */
export function handle(draft: Draft, { goods, lies }: ActOf<'handle'>): void {
  for (const [id, piece] of piecesOr(draft, goods, everything))
    if (lies !== null) draft.pieces.set(id, pieceWith(piece, { lies }));
}

/**
 * Out, and what they hold changed for tap water. It ends the dyeing: dye that waits where they lie, or in what they hold,
 * is given first; nominally none of it goes down the drain.
 */
export function rinse(draft: Draft, { goods }: ActOf<'rinse'>): void {
  const rinsed = piecesOr(draft, goods, everything);
  const names = new Set(rinsed.map(([id]) => id));
  for (const vessel of new Set(rinsed.flatMap(([, { at }]) => at.map((there) => there.vessel))))
    give(draft, vessel, () => true);
  giveHeld(draft, (_, id) => names.has(id));
  for (const [id] of rinsed) {
    liftOut(draft, id);
    const piece = draft.piece(id);
    draft.drained = joined(draft.drained, piece.held);
    const clean = tapWater(draft.surroundings.canHoldMlPerGram * piece.grams, draft);
    draft.pieces.set(id, pieceWith(piece, { held: clean }));
  }
}

/** Out, and spun or wrung. */
export function wring(draft: Draft, { goods }: ActOf<'wring'>): void {
  for (const [id] of piecesOr(draft, goods, everything)) {
    liftOut(draft, id);
    squeeze(draft, id, WRUNG_ML_PER_GRAM);
  }
}

/** Hung until dry: the water goes, what was in it stays. */
export function dry(draft: Draft, { goods }: ActOf<'dry'>): void {
  for (const [id] of piecesOr(draft, goods, everything)) {
    liftOut(draft, id);
    const piece = draft.piece(id);
    draft.driedMl += piece.held.ml;
    const held = liquidWith(piece.held, { ml: 0, celsius: draft.surroundings.roomC });
    draft.pieces.set(id, pieceWith(piece, { held }));
  }
}
