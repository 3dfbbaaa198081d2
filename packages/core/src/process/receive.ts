import { liquidWith, parcelWith, pieceWith, withLiquid, withPieces } from './change';
import { vesselNamed } from './enter';
import { immersed, immersedIn, width } from './exposure';
import { CannotBe } from './impossible';
import { divided, joined } from './liquid';
import type { Place } from './place';
import { receivedOn } from './give';
import type { Exposure, Liquid, Piece, State } from './state';
import { isMeant, piecesOr } from './whichGoods';

/** Liquid that arrives in a vessel: its waiting dye counts the time from now on. */
export const arrived = (liquid: Liquid, since: Exposure): Liquid =>
  liquid.parcels.length === 0
    ? liquid
    : liquidWith(liquid, { parcels: liquid.parcels.map((parcel) => parcelWith(parcel, { since })) });

/** Dry goods of which at least a part lies in a vessel’s liquid, g. */
export const fiberIn = (state: State, vesselId: string): number => {
  let grams = 0;
  for (const { goods, stretch } of immersedIn(state, vesselId)) grams += goods.grams * width(stretch);
  return grams;
};

/** Liquid into a vessel. */
export function intoVessel(state: State, vesselId: string, liquid: Liquid): State {
  const vessel = vesselNamed(state, vesselId);
  const together = joined(vessel.liquid, arrived(liquid, vessel.exposure), {
    here: fiberIn(state, vesselId),
  });
  return withLiquid(state, vesselId, together);
}

/** The goods of a place; all that are meant to be dyed when it names no piece. @throws CannotBe when there are none */
export function goodsAt(state: State, place: Place): (readonly [string, Piece])[] {
  const found = piecesOr(state, place.piece === null ? [] : [place.piece], isMeant);
  if (found.length === 0) throw new CannotBe({ code: 'no goods there' });
  return found;
}

/**
 * Liquid, or powder, straight onto a place. Its dye belongs to the place at once; the rest is held by the goods, or
 * joins the liquid they lie in.
 */
export function ontoPlace(state: State, place: Place, liquid: Liquid): State {
  const goods = goodsAt(state, place);
  const all = goods.reduce((sum, [, { grams }]) => sum + grams, 0);
  let after = state;
  for (const [id, piece] of goods) {
    const part = divided(liquid, piece.grams / all).taken;
    const bath = piece.at.find((whereabouts) => immersed(whereabouts) !== null)?.vessel;
    const rest = liquidWith(part, { parcels: [] });
    if (bath !== undefined) after = intoVessel(after, bath, rest);
    else
      after = withPieces(after, [
        [id, pieceWith(piece, { held: joined(piece.held, rest, { here: piece.grams }) })],
      ]);
    after = receivedOn(after, id, place, part.parcels);
  }
  return after;
}

/** Ice onto a place, where it lies until it melts. */
export function iceOnto(state: State, place: Place, grams: number): State {
  const goods = goodsAt(state, place);
  const all = goods.reduce((sum, [, piece]) => sum + piece.grams, 0);
  return withPieces(
    state,
    goods.map(([id, piece]) => [
      id,
      pieceWith(piece, { iceGrams: piece.iceGrams + (grams * piece.grams) / all }),
    ]),
  );
}
