import type { Contact, Exposure, Piece, Stretch, There, Whereabouts } from './state';

/** All of a piece. */
export const WHOLE: Stretch = { axis: 'around', from: 0, to: 1 };

/** Share of a piece that a stretch takes up, 0 to 1. */
export const width = (stretch: Stretch): number => stretch.to - stretch.from;

/** The stretch of a piece that lies in the liquid; null when none of it does. */
export const immersed = ({ reach }: Whereabouts): Stretch | null =>
  reach === 'none' ? null : (reach ?? WHOLE);

/** Share of a piece that lies in a vessel’s liquid, 0 to 1. */
export function shareIn({ at }: Piece, vesselId: string): number {
  let share = 0;
  for (const whereabouts of at) {
    const stretch = whereabouts.vessel === vesselId ? immersed(whereabouts) : null;
    if (stretch) share += width(stretch);
  }
  return share;
}

/** Every stretch of goods that lies in a vessel’s liquid. */
export function immersedIn(
  { pieces }: There,
  vesselId: string,
): { piece: string; goods: Piece; stretch: Stretch }[] {
  const found: { piece: string; goods: Piece; stretch: Stretch }[] = [];
  const [ids, all] = [pieces.keys(), pieces.values()];
  for (let i = 0; i < all.length; i += 1) {
    const [piece, goods] = [ids[i], all[i]];
    if (piece === undefined || goods === undefined) continue;
    for (const whereabouts of goods.at) {
      const stretch = whereabouts.vessel === vesselId ? immersed(whereabouts) : null;
      if (stretch) found.push({ piece, goods, stretch });
    }
  }
  return found;
}

const same = (one: Stretch, other: Stretch): boolean =>
  one === other || (one.axis === other.axis && one.from === other.from && one.to === other.to);

/** The contacts of a vessel after the goods in it have been there for some minutes more. */
export function exposedFor(there: There, vessel: string, before: Exposure, minutes: number): Exposure {
  const contacts: Contact[] = [...before.contacts];
  const after: number[] = [...before.minutes];
  for (const { piece, stretch } of immersedIn(there, vessel)) {
    const known = contacts.findIndex((contact) => contact.piece === piece && same(contact.stretch, stretch));
    const index = known < 0 ? contacts.push({ piece, stretch }) - 1 : known;
    after[index] = (after[index] ?? 0) + minutes;
  }
  return { contacts, minutes: after };
}

/** Minutes that each contact of a vessel has lasted since then. */
export const minutesSince = (exposure: Exposure, since: Exposure): number[] =>
  exposure.minutes.map((minutes, i) => minutes - (since.minutes[i] ?? 0));

/** A stretch of goods and what it weighs in the sharing out of dye. */
export interface Claim {
  piece: string;
  stretch: Stretch;
  weight: number;
}

const dyeable = ({ grams, dyeableShare }: Piece, stretch: Stretch): number =>
  grams * dyeableShare * width(stretch);

/**
 * Who has a claim on dye that waited for so long: every stretch that was in the vessel meanwhile, by dyeable grams times
 * minutes; when no time has passed, those that are in it now, by dyeable grams.
 * @param minutes of each contact of the vessel
 */
export function claimsOn(there: There, vesselId: string, minutes: readonly number[]): Claim[] {
  const contacts = there.vessels.get(vesselId)?.exposure.contacts ?? [];
  const claims: Claim[] = [];
  contacts.forEach(({ piece, stretch }, i) => {
    const goods = there.pieces.get(piece);
    const passed = minutes[i] ?? 0;
    if (goods && passed > 0) claims.push({ piece, stretch, weight: dyeable(goods, stretch) * passed });
  });
  return claims.some(({ weight }) => weight > 0) ? claims : presentIn(there, vesselId);
}

const presentIn = (there: There, vesselId: string): Claim[] =>
  immersedIn(there, vesselId)
    .map(({ piece, goods, stretch }) => ({ piece, stretch, weight: dyeable(goods, stretch) }))
    .filter(({ weight }) => weight > 0);

/**
 * Times of a vessel’s contacts with those of one piece told again for another, which was part of it until now.
 * @param times those of the vessel itself, or of a moment before
 */
export function contactsShared(exposure: Exposure, piece: string, other: string, times = exposure): Exposure {
  const mine = [...exposure.contacts.keys()].filter((i) => exposure.contacts[i]?.piece === piece);
  if (mine.length === 0) return times;
  const of = (i: number): number => times.minutes[i] ?? 0;
  return {
    contacts: [
      ...exposure.contacts,
      ...mine.map((i) => ({ piece: other, stretch: exposure.contacts[i]?.stretch ?? WHOLE })),
    ],
    minutes: [...exposure.contacts.map((_, i) => of(i)), ...mine.map(of)],
  };
}
