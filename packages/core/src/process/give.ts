import { added } from './chain';
import { withPieces, withVessels } from './change';
import { claimsOn, WHOLE, type Claim } from './exposure';
import { dosesOf } from './received';
import type { Dose, Exposure, Parcel, Piece, State } from './state';

/** Dye of which less than this would stay in a liquid goes with the rest, g: a nanogram. */
const NOTHING_LEFT = 1e-9;

/**
 * Gives waiting dye of a vessel to the goods that were in it since it came there. Dye that met none waits on.
 * @param isMeant which of what waits
 * @param leaves share that stays in the liquid, 0 to under 1
 */
export function give(
  state: State,
  vesselId: string,
  isMeant: (parcel: Parcel) => boolean,
  leaves = 0,
): State {
  const vessel = state.vessels.get(vesselId);
  if (!vessel?.liquid.parcels.some(isMeant)) return state;
  const gifts = new Gifts(state);
  const claims = new Map<Exposure, Sharing>();
  const waiting: Parcel[] = [];
  for (const parcel of vessel.liquid.parcels) {
    if (!isMeant(parcel)) {
      waiting.push(parcel);
      continue;
    }
    const sharing = claims.get(parcel.since) ?? sharingOf(state, claimsOn(state, vesselId, parcel.since));
    claims.set(parcel.since, sharing);
    const left = parcel.standardGrams * leaves > NOTHING_LEFT ? parcel.standardGrams * leaves : 0;
    if (!gifts.share(sharing, parcel, parcel.standardGrams - left)) waiting.push(parcel);
    else if (left > 0) waiting.push({ ...parcel, standardGrams: left, left: true });
  }
  if (gifts.none) return state;
  return withVessels(gifts.given(), [
    [vesselId, { ...vessel, liquid: { ...vessel.liquid, parcels: waiting } }],
  ]);
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

function sharingOf({ pieces }: State, claims: readonly Claim[]): Sharing {
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
  constructor(private readonly state: State) {}

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

  /** The state with every gift where it belongs. */
  given(): State {
    const chains = new Map<string, Piece['received']>();
    for (const { takers, counts, doses } of this.gifts)
      for (const { piece, stretch, weight } of takers.claims) {
        const chain = chains.get(piece) ?? this.state.pieces.get(piece)?.received ?? null;
        chains.set(piece, added(chain, { doses, share: weight / takers.all, stretch, counts }));
      }
    return withPieces(
      this.state,
      [...chains].flatMap(([id, received]) => {
        const piece = this.state.pieces.get(id);
        return piece ? [[id, { ...piece, received }] as const] : [];
      }),
    );
  }
}

/** Gives the dye that waits in the liquid a piece holds to that piece. */
export function giveHeld(state: State, isMeant: (piece: Piece) => boolean, leaves = 0): State {
  const changed: [string, Piece][] = [];
  for (const [id, piece] of state.pieces) {
    if (piece.held.parcels.length === 0 || !isMeant(piece)) continue;
    const stays = ({ standardGrams }: Parcel): number =>
      standardGrams * leaves > NOTHING_LEFT ? standardGrams * leaves : 0;
    const waiting = piece.held.parcels
      .map((parcel) => ({ ...parcel, standardGrams: stays(parcel), left: true }))
      .filter(({ standardGrams }) => standardGrams > 0);
    const gone = piece.held.parcels.map((parcel) => ({
      ...parcel,
      standardGrams: parcel.standardGrams - stays(parcel),
    }));
    const received = dosesOf(gone, piece.catchUp).reduce(
      (chain, { counts, doses }) => added(chain, { doses, share: 1, stretch: WHOLE, counts }),
      piece.received,
    );
    changed.push([id, { ...piece, held: { ...piece.held, parcels: waiting }, received }]);
  }
  return changed.length === 0 ? state : withPieces(state, changed);
}
