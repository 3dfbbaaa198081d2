import type { ActOf } from './act';
import { liquidWith, pieceWith, vesselWith } from './change';
import type { Draft } from './draft';
import { entered } from './enter';
import { exposedFor } from './exposure';
import { give, giveHeld } from './give';
import { joined } from './liquid';
import { intoVessel } from './receive';
import { plainLiquid, type Piece, type There } from './state';

/** Minutes pass in a vessel, and what it leaves in the liquid is said: null where nobody says. */
function passed(
  draft: Draft,
  id: string,
  pass: string | null,
  { minutes, toC, leaves }: { minutes: number | null; toC: number | null; leaves: number | null },
): void {
  entered(draft, id, pass);
  melt(draft, id);
  const vessel = draft.vessel(id);
  draft.vessels.set(
    id,
    vesselWith(vessel, {
      exposure: minutes === null ? vessel.exposure : exposedFor(draft, id, vessel.exposure, minutes),
      liquid: toC === null ? vessel.liquid : liquidWith(vessel.liquid, { celsius: toC }),
      reading: null,
    }),
  );
  if (leaves === null || leaves >= 1) return;
  give(draft, id, () => true, leaves);
  giveHeld(
    draft,
    ({ at }) => at.some(({ vessel: there, reach }) => there === id && reach === 'none'),
    leaves,
  );
}

export const heat = (draft: Draft, { vessel, pass, toC, minutes }: ActOf<'heat'>): void =>
  passed(draft, vessel, pass, { minutes, toC, leaves: null });

export const cool = (draft: Draft, { vessel, pass, toC, minutes }: ActOf<'cool'>): void =>
  passed(draft, vessel, pass, { minutes, toC, leaves: null });

export const hold = (draft: Draft, { vessel, pass, atC, minutes, leaves }: ActOf<'hold'>): void =>
  passed(draft, vessel, pass, { minutes, toC: atC, leaves });

export const stand = (draft: Draft, { vessel, pass, minutes, leaves }: ActOf<'stand'>): void =>
  passed(draft, vessel, pass, { minutes, toC: null, leaves });

/** What a look read holds until something changes the vessel. */
export function look(draft: Draft, { vessel, reading }: ActOf<'look'>): void {
  if (vessel === null || reading === null) return;
  const seen = draft.vessel(vessel);
  const liquid =
    reading.celsius === null ? seen.liquid : liquidWith(seen.liquid, { celsius: reading.celsius });
  draft.vessels.set(vessel, vesselWith(seen, { liquid, reading }));
}

/** Ice on goods in a vessel melts: first into what they can still hold, the rest into the vessel under them. */
function melt(draft: Draft, vesselId: string): void {
  const overAll = draft.vessel(vesselId).role === 'melting ice';
  for (const [id, piece] of draft.pieces.entries()) {
    const below = piece.at[0]?.vessel;
    if (piece.iceGrams === 0 || (below !== vesselId && !overAll)) continue;
    const under = piece.at.every(({ reach }) => reach === 'none') ? room(draft, piece) : 0;
    const kept = below === undefined ? piece.iceGrams : Math.min(piece.iceGrams, under);
    draft.pieces.set(
      id,
      pieceWith(piece, {
        iceGrams: 0,
        held: joined(piece.held, plainLiquid(kept, 0), { here: piece.grams }),
      }),
    );
    if (below !== undefined) intoVessel(draft, below, plainLiquid(piece.iceGrams - kept, 0));
  }
}

const room = ({ surroundings }: There, { grams, held }: Piece): number =>
  Math.max(0, surroundings.canHoldMlPerGram * grams - held.ml);
