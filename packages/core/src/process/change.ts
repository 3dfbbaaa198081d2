import type { Liquid, Parcel, Piece, Vessel } from './state';

/*
 * Every change is written out field by field, and not by spreading what was there: folding a list copies thousands of
 * these, and an engine copies a field it can see fifty times as fast.
 */

/** A vessel with some of it changed. */
export const vesselWith = (vessel: Vessel, changed: Partial<Vessel>): Vessel => ({
  role: vessel.role,
  name: vessel.name,
  capacityMl: vessel.capacityMl,
  liquid: changed.liquid ?? vessel.liquid,
  exposure: changed.exposure ?? vessel.exposure,
  clock: changed.clock ?? vessel.clock,
  reading: changed.reading === undefined ? vessel.reading : changed.reading,
  pass: changed.pass ?? vessel.pass,
});

/** A piece with some of it changed; what it is made of, and whose it is, never is. */
export const pieceWith = (
  piece: Piece,
  changed: Partial<
    Pick<Piece, 'count' | 'grams' | 'holdsMeq' | 'boundMeq' | 'at' | 'lies' | 'held' | 'iceGrams'>
  >,
): Piece => ({
  line: piece.line,
  name: piece.name,
  count: changed.count ?? piece.count,
  grams: changed.grams ?? piece.grams,
  dyeableShare: piece.dyeableShare,
  holdsMeq: changed.holdsMeq ?? piece.holdsMeq,
  boundMeq: changed.boundMeq ?? piece.boundMeq,
  catchUp: piece.catchUp,
  from: piece.from,
  at: changed.at ?? piece.at,
  lies: changed.lies ?? piece.lies,
  held: changed.held ?? piece.held,
  iceGrams: changed.iceGrams ?? piece.iceGrams,
});

/** A liquid with some of it changed. */
export const liquidWith = (liquid: Liquid, changed: Partial<Liquid>): Liquid => ({
  ml: changed.ml ?? liquid.ml,
  celsius: changed.celsius ?? liquid.celsius,
  alkalinityMeq: changed.alkalinityMeq ?? liquid.alkalinityMeq,
  takenMeq: changed.takenMeq ?? liquid.takenMeq,
  acids: changed.acids ?? liquid.acids,
  parcels: changed.parcels ?? liquid.parcels,
});

/** Waiting dye of the same addition, changed in how much there is, since when, or that a wait left it. */
export const parcelWith = (
  parcel: Parcel,
  changed: Partial<Pick<Parcel, 'standardGrams' | 'since' | 'left'>>,
): Parcel => ({
  dyeId: parcel.dyeId,
  standardGrams: changed.standardGrams ?? parcel.standardGrams,
  act: parcel.act,
  pass: parcel.pass,
  since: changed.since ?? parcel.since,
  left: changed.left ?? parcel.left,
});
