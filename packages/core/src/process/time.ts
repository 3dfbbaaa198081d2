import type { ActOf } from './act';
import { liquidWith, pieceWith, vesselWith, withPieces, withVessels } from './change';
import { entered, vesselNamed } from './enter';
import { exposedFor } from './exposure';
import { give, giveHeld } from './give';
import { joined } from './liquid';
import { intoVessel } from './receive';
import { plainLiquid, type Piece, type State } from './state';

/** Minutes pass in a vessel, and what it leaves in the liquid is said: null where nobody says. */
function passed(
  state: State,
  id: string,
  pass: string | null,
  { minutes, toC, leaves }: { minutes: number | null; toC: number | null; leaves: number | null },
): State {
  const melted = melt(entered(state, id, pass), id);
  const vessel = vesselNamed(melted, id);
  const later = withVessels(melted, [
    [
      id,
      vesselWith(vessel, {
        exposure: minutes === null ? vessel.exposure : exposedFor(melted, id, vessel.exposure, minutes),
        liquid: toC === null ? vessel.liquid : liquidWith(vessel.liquid, { celsius: toC }),
        reading: null,
      }),
    ],
  ]);
  if (leaves === null || leaves >= 1) return later;
  const hangs = ({ at }: Piece): boolean =>
    at.some(({ vessel: there, reach }) => there === id && reach === 'none');
  return giveHeld(
    give(later, id, () => true, leaves),
    hangs,
    leaves,
  );
}

export const heat = (state: State, { vessel, pass, toC, minutes }: ActOf<'heat'>): State =>
  passed(state, vessel, pass, { minutes, toC, leaves: null });

export const cool = (state: State, { vessel, pass, toC, minutes }: ActOf<'cool'>): State =>
  passed(state, vessel, pass, { minutes, toC, leaves: null });

export const hold = (state: State, { vessel, pass, atC, minutes, leaves }: ActOf<'hold'>): State =>
  passed(state, vessel, pass, { minutes, toC: atC, leaves });

export const stand = (state: State, { vessel, pass, minutes, leaves }: ActOf<'stand'>): State =>
  passed(state, vessel, pass, { minutes, toC: null, leaves });

/** What a look read holds until something changes the vessel. */
export function look(state: State, { vessel, reading }: ActOf<'look'>): State {
  if (vessel === null || reading === null) return state;
  const seen = vesselNamed(state, vessel);
  const liquid =
    reading.celsius === null ? seen.liquid : liquidWith(seen.liquid, { celsius: reading.celsius });
  return withVessels(state, [[vessel, vesselWith(seen, { liquid, reading })]]);
}

/** Ice on goods in a vessel melts: first into what they can still hold, the rest into the vessel under them. */
function melt(state: State, vesselId: string): State {
  const overAll = vesselNamed(state, vesselId).role === 'melting ice';
  let after = state;
  for (const [id, piece] of state.pieces) {
    const below = piece.at[0]?.vessel;
    if (piece.iceGrams === 0 || (below !== vesselId && !overAll)) continue;
    const under = piece.at.every(({ reach }) => reach === 'none') ? room(state, piece) : 0;
    const kept = below === undefined ? piece.iceGrams : Math.min(piece.iceGrams, under);
    const ice = (ml: number) => plainLiquid(ml, 0);
    after = withPieces(after, [
      [id, pieceWith(piece, { iceGrams: 0, held: joined(piece.held, ice(kept), { here: piece.grams }) })],
    ]);
    if (below !== undefined) after = intoVessel(after, below, ice(piece.iceGrams - kept));
  }
  return after;
}

const room = ({ surroundings }: State, { grams, held }: Piece): number =>
  Math.max(0, surroundings.canHoldMlPerGram * grams - held.ml);
