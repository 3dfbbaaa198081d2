import type { Card, CardAct } from './card';

/** A line with nothing but its act: what most lines leave as it is. */
export const PLAIN_LINE: Omit<CardAct, 'id' | 'act'> = {
  quiet: false,
  tool: null,
  madeUp: null,
  askedGrams: null,
  estimated: false,
  dose: null,
  cautions: [],
};

/** The acts that have a line of their own. */
export const cardLines = (card: Card): CardAct[] => card.acts.filter((line) => !line.quiet);

/** An act of the card by its id. */
export const cardAct = (card: Card, id: string | null): CardAct | undefined =>
  id === null ? undefined : card.acts.find((line) => line.id === id);
