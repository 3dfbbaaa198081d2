import { listed } from './chain';
import type { Dose, Parcel, Received, State, Stretch } from './state';

/** Dye of one addition that a stretch of a piece got. */
export interface Got extends Dose {
  stretch: Stretch;
  counts: boolean;
}

/** What waits, as doses that count in a depth, and as doses that do not. @param catchUp spare goods count in none */
export function dosesOf(parcels: readonly Parcel[], catchUp: boolean): { counts: boolean; doses: Dose[] }[] {
  const doses = (counts: boolean): Dose[] =>
    parcels
      .filter(({ pass }) => (!catchUp && pass !== null) === counts)
      .map(({ dyeId, standardGrams, act, pass }) => ({ dyeId, standardGrams, act, pass }));
  return [true, false]
    .map((counts) => ({ counts, doses: doses(counts) }))
    .filter((group) => group.doses.length > 0);
}

/** One addition by itself, as a piece keeps it. */
export const alone = ({ dyeId, standardGrams, act, pass, stretch, counts }: Got): Received => ({
  doses: [{ dyeId, standardGrams, act, pass }],
  share: 1,
  stretch,
  counts,
});

/** What a piece got, addition by addition, oldest first. @param isMeant which moments; all of them */
export function gotBy(
  { received }: State,
  piece: string,
  isMeant: (entry: Received) => boolean = () => true,
): Got[] {
  const found: Got[] = [];
  for (const entry of listed(received.get(piece) ?? null)) if (isMeant(entry)) found.push(...gotIn(entry));
  return found;
}

/** The additions of one moment, each with the part of it that is this stretch’s. */
export const gotIn = ({ doses, share, stretch, counts }: Received): Got[] =>
  doses.map(({ dyeId, standardGrams, act, pass }) => ({
    dyeId,
    standardGrams: standardGrams * share,
    act,
    pass,
    stretch,
    counts,
  }));
