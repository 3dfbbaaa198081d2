import type { Card } from '../card';
import type { Event } from '../event';

/**
 * A card with every line it ever had, those among them that a change brought or that were left out: what an entry of any
 * device, however late it comes, may be about.
 */
export const everyLine = (card: Card, events: readonly Event[]): Card => {
  const known = new Set(card.acts.map(({ id }) => id));
  const more = events
    .flatMap((event) => (event.kind === 'altered' ? event.change.lines : []))
    .filter(({ id }) => !known.has(id) && known.add(id));
  return more.length === 0 ? card : { ...card, acts: [...card.acts, ...more] };
};
