import { added } from './chain';
import { liquidWith, parcelWith, pieceWith, vesselWith } from './change';
import type { Draft } from './draft';
import { claimsOn, minutesSince, WHOLE, type Claim } from './exposure';
import { dosesOf } from './received';
import type { Dose, Exposure, Parcel, Piece, Stretch, There } from './state';

/** Dye of which less than this would stay in a liquid goes with the rest, g: a nanogram. */
const NOTHING_LEFT = 1e-9;

/**
 * Gives waiting dye of a vessel to the goods that were in it since it came there. Dye that met none waits on.
 * @param isMeant which of what waits
 * @param leaves share that stays in the liquid, 0 to under 1
 */
export function give(draft: Draft, vesselId: string, isMeant: (parcel: Parcel) => boolean, leaves = 0): void {
  const vessel = draft.vessels.get(vesselId);
  if (!vessel?.liquid.parcels.some(isMeant)) return;
  const gifts = new Gifts();
  const sharings = new Sharings(draft, vesselId, vessel.exposure);
  const waiting: Parcel[] = [];
  for (const parcel of vessel.liquid.parcels) {
    if (!isMeant(parcel)) {
      waiting.push(parcel);
      continue;
    }
    const left = parcel.standardGrams * leaves > NOTHING_LEFT ? parcel.standardGrams * leaves : 0;
    if (!gifts.share(sharings.since(parcel.since), parcel, parcel.standardGrams - left)) waiting.push(parcel);
    else if (left > 0) waiting.push(parcelWith(parcel, { standardGrams: left, left: true }));
  }
  if (gifts.none) return;
  gifts.giveTo(draft);
  draft.vessels.set(
    vesselId,
    vesselWith(vessel, { liquid: liquidWith(vessel.liquid, { parcels: waiting }) }),
  );
}

/** Claims on dye of one moment: of the goods it is meant for, and of spare goods. */
interface Sharing {
  meant: Shares;
  spare: Shares;
}
interface Shares {
  claims: readonly Claim[];
  all: number;
}

/** Times that differ by less, one part in so many, are equal but for rounding. */
const ROUNDING = 1e-12;

/**
 * How dye is shared, by when it came. Goods that lie together share alike whenever that was, and then it is told once:
 * only how the times of the contacts stand to each other counts.
 */
class Sharings {
  private readonly bySince = new Map<Exposure, Sharing>();
  private readonly known: { minutes: readonly number[]; sharing: Sharing }[] = [];
  constructor(
    private readonly there: There,
    private readonly vesselId: string,
    private readonly exposure: Exposure,
  ) {}

  since(since: Exposure): Sharing {
    const found = this.bySince.get(since);
    if (found) return found;
    const minutes = minutesSince(this.exposure, since);
    const alike = this.known.find((one) => inProportion(one.minutes, minutes));
    const sharing = alike?.sharing ?? sharingOf(this.there, claimsOn(this.there, this.vesselId, minutes));
    if (!alike) this.known.push({ minutes, sharing });
    this.bySince.set(since, sharing);
    return sharing;
  }
}

function inProportion(one: readonly number[], other: readonly number[]): boolean {
  const [a, b] = [one.find((minutes) => minutes > 0) ?? 0, other.find((minutes) => minutes > 0) ?? 0];
  if (a === 0 || b === 0) return a === b;
  return one.every((minutes, i) => Math.abs(minutes / a - (other[i] ?? 0) / b) < ROUNDING);
}

function sharingOf({ pieces }: There, claims: readonly Claim[]): Sharing {
  const of = (catchUp: boolean): Shares => {
    const mine = claims.filter(({ piece }) => pieces.get(piece)?.catchUp === catchUp);
    return { claims: mine, all: mine.reduce((sum, { weight }) => sum + weight, 0) };
  };
  return { meant: of(false), spare: of(true) };
}

/** Doses that go to the same takers. */
interface Gift {
  takers: Shares;
  counts: boolean;
  doses: Dose[];
}

/** Dye on its way to goods, gathered so that each piece changes once. */
class Gifts {
  private readonly gifts: Gift[] = [];

  get none(): boolean {
    return this.gifts.length === 0;
  }

  /** Shares grams out by weight. Spare goods take only what a wait has left, and then all of it. @returns false: nobody there */
  share({ meant, spare }: Sharing, { dyeId, act, pass, left }: Parcel, standardGrams: number): boolean {
    const takers = (left && spare.all > 0) || meant.all === 0 ? spare : meant;
    if (takers.all <= 0) return false;
    const counts = takers === meant && pass !== null;
    const dose: Dose = { dyeId, standardGrams, act, pass };
    const same = this.gifts.find((gift) => gift.takers === takers && gift.counts === counts);
    if (same) same.doses.push(dose);
    else this.gifts.push({ takers, counts, doses: [dose] });
    return true;
  }

  /** Puts every gift where it belongs. */
  giveTo({ received }: Draft): void {
    for (const { takers, counts, doses } of this.gifts)
      for (const { piece, stretch, weight } of takers.claims)
        received.set(
          piece,
          added(received.get(piece) ?? null, { doses, share: weight / takers.all, stretch, counts }),
        );
  }
}

/** Gives the dye that waits in the liquid a piece holds to that piece. */
export function giveHeld(draft: Draft, isMeant: (piece: Piece, id: string) => boolean, leaves = 0): void {
  const stays = ({ standardGrams }: Parcel): number =>
    standardGrams * leaves > NOTHING_LEFT ? standardGrams * leaves : 0;
  for (const [id, piece] of draft.pieces.entries()) {
    const { parcels } = piece.held;
    if (parcels.length === 0 || !isMeant(piece, id)) continue;
    const waiting = parcels
      .map((parcel) => parcelWith(parcel, { standardGrams: stays(parcel), left: true }))
      .filter(({ standardGrams }) => standardGrams > 0);
    receivedOn(
      draft,
      id,
      WHOLE,
      parcels.map((parcel) => parcelWith(parcel, { standardGrams: parcel.standardGrams - stays(parcel) })),
    );
    draft.pieces.set(id, pieceWith(piece, { held: liquidWith(piece.held, { parcels: waiting }) }));
  }
}

/** Dye that belongs to a stretch of a piece at once. */
export function receivedOn(
  draft: Draft,
  id: string,
  { axis, from, to }: Stretch,
  parcels: readonly Parcel[],
): void {
  if (parcels.length === 0) return;
  let chain = draft.received.get(id) ?? null;
  for (const { counts, doses } of dosesOf(parcels, draft.pieces.get(id)?.catchUp ?? false))
    chain = added(chain, { doses, share: 1, stretch: { axis, from, to }, counts });
  draft.received.set(id, chain);
}
