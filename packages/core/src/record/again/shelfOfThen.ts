import type { Shelf } from '../../recipe/materials';
import type { Formulation } from '../../recipe/recipe';

/** The shelf with what an old record refers to and is no longer on it. */
export const withThen = <S extends Shelf>(shelf: S, { bases, dyes, stocks, passPots }: Formulation): S => ({
  ...shelf,
  bases: both(shelf.bases, bases),
  dyes: both(shelf.dyes, dyes),
  stocks: both(shelf.stocks, stocks),
  pots: both(shelf.pots ?? [], passPots),
});

/** What is there now goes before what it was then. */
const both = <T extends { id: string }>(now: readonly T[], then: readonly T[]): T[] => [
  ...now,
  ...then.filter(({ id }) => !now.some((known) => known.id === id)),
];
