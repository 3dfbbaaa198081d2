import { liquidWith, parcelWith, pieceWith } from './change';
import type { Draft } from './draft';
import { immersed, shareIn } from './exposure';
import { receivedOn } from './give';
import { CannotBe } from './impossible';
import { divided, joined } from './liquid';
import type { Place } from './place';
import type { Exposure, Liquid, Piece, There } from './state';
import { isMeant, piecesOr } from './whichGoods';

/** Liquid that arrives in a vessel: its waiting dye counts the time from now on. */
export const arrived = (liquid: Liquid, since: Exposure): Liquid =>
  liquid.parcels.length === 0
    ? liquid
    : liquidWith(liquid, { parcels: liquid.parcels.map((parcel) => parcelWith(parcel, { since })) });

/** Dry goods of which at least a part lies in a vessel’s liquid, g. */
export const fiberIn = ({ pieces }: There, vesselId: string): number => {
  let grams = 0;
  for (const piece of pieces.values()) grams += piece.grams * shareIn(piece, vesselId);
  return grams;
};

/** Liquid into a vessel. @throws CannotBe */
export function intoVessel(draft: Draft, vesselId: string, liquid: Liquid): void {
  const vessel = draft.vessel(vesselId);
  draft.setLiquid(
    vesselId,
    joined(vessel.liquid, arrived(liquid, vessel.exposure), { here: fiberIn(draft, vesselId) }),
  );
}

/** The goods of a place; all that are meant to be dyed when it names no piece. @throws CannotBe when there are none */
export function goodsAt(there: There, place: Place): (readonly [string, Piece])[] {
  const found = piecesOr(there, place.piece === null ? [] : [place.piece], isMeant);
  if (found.length === 0) throw new CannotBe({ code: 'no goods there' });
  return found;
}

/**
 * Liquid, or powder, straight onto a place. Its dye belongs to the place at once; the rest is held by the goods, or
 * joins the liquid they lie in.
 */
export function ontoPlace(draft: Draft, place: Place, liquid: Liquid): void {
  const goods = goodsAt(draft, place);
  const all = goods.reduce((sum, [, { grams }]) => sum + grams, 0);
  for (const [id, piece] of goods) {
    const part = divided(liquid, piece.grams / all).taken;
    const bath = piece.at.find((whereabouts) => immersed(whereabouts) !== null)?.vessel;
    const rest = liquidWith(part, { parcels: [] });
    if (bath !== undefined) intoVessel(draft, bath, rest);
    else draft.pieces.set(id, pieceWith(piece, { held: joined(piece.held, rest, { here: piece.grams }) }));
    receivedOn(draft, id, place, part.parcels);
  }
}

/** Ice onto a place, where it lies until it melts. */
export function iceOnto(draft: Draft, place: Place, grams: number): void {
  const goods = goodsAt(draft, place);
  const all = goods.reduce((sum, [, piece]) => sum + piece.grams, 0);
  for (const [id, piece] of goods)
    draft.pieces.set(id, pieceWith(piece, { iceGrams: piece.iceGrams + (grams * piece.grams) / all }));
}
