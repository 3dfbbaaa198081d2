import type { Contact, Exposure, Piece, State, Stretch, Whereabouts } from './state';

/** All of a piece. */
export const WHOLE: Stretch = { axis: 'around', from: 0, to: 1 };

/** Share of a piece that a stretch takes up, 0 to 1. */
export const width = (stretch: Stretch): number => stretch.to - stretch.from;

/** The stretch of a piece that lies in the liquid; null when none of it does. */
export const immersed = ({ reach }: Whereabouts): Stretch | null =>
  reach === 'none' ? null : (reach ?? WHOLE);

const keyOf = (piece: string, { axis, from, to }: Stretch): string => `${piece} ${axis} ${from} ${to}`;

/** The contacts of a vessel after the goods in it have been there for some minutes more. */
export function exposedFor(state: State, vessel: string, before: Exposure, minutes: number): Exposure {
  const after = new Map(before);
  for (const [piece, { at }] of state.pieces)
    for (const whereabouts of at) {
      const stretch = whereabouts.vessel === vessel ? immersed(whereabouts) : null;
      if (stretch === null) continue;
      const key = keyOf(piece, stretch);
      after.set(key, { piece, stretch, minutes: (after.get(key)?.minutes ?? 0) + minutes });
    }
  return after;
}

/** A stretch of goods and what it weighs in the sharing out of dye. */
export interface Claim {
  piece: string;
  stretch: Stretch;
  weight: number;
}

const dyeable = ({ grams, dyeableShare }: Piece, stretch: Stretch): number =>
  grams * dyeableShare * width(stretch);

/**
 * Who has a claim on dye that waited since then: every stretch that was in the vessel meanwhile, by dyeable grams times
 * minutes; when no time has passed, those that are in it now, by dyeable grams.
 */
export function claimsOn(state: State, vesselId: string, since: Exposure): Claim[] {
  const exposure = state.vessels.get(vesselId)?.exposure ?? new Map<string, Contact>();
  const claims: Claim[] = [];
  for (const [key, { piece, stretch, minutes }] of exposure) {
    const goods = state.pieces.get(piece);
    const passed = minutes - (since.get(key)?.minutes ?? 0);
    if (goods && passed > 0) claims.push({ piece, stretch, weight: dyeable(goods, stretch) * passed });
  }
  return claims.some(({ weight }) => weight > 0) ? claims : presentIn(state, vesselId);
}

function presentIn(state: State, vesselId: string): Claim[] {
  const claims: Claim[] = [];
  for (const [piece, goods] of state.pieces)
    for (const whereabouts of goods.at) {
      const stretch = whereabouts.vessel === vesselId ? immersed(whereabouts) : null;
      if (stretch) claims.push({ piece, stretch, weight: dyeable(goods, stretch) });
    }
  return claims.filter(({ weight }) => weight > 0);
}

/** Contacts with those of one piece told again for another, which was part of it until now. */
export function contactsShared(exposure: Exposure, piece: string, other: string): Exposure {
  const mine = [...exposure.values()].filter((contact) => contact.piece === piece);
  if (mine.length === 0) return exposure;
  const both = new Map(exposure);
  for (const contact of mine) both.set(keyOf(other, contact.stretch), { ...contact, piece: other });
  return both;
}
