import { leftAfter, type Event, type ShelfResponse } from '@ythrion/core';
import type { Entry } from '../outbox/database';

/**
 * A shelf as the studio told it, its jars less what was poured since, as far as this device knows.
 * @param find an event that an entry takes back
 */
export function shelfNow(
  shelf: ShelfResponse,
  entries: readonly Entry[],
  find: (id: string) => Event | undefined,
): ShelfResponse {
  const since = entries.filter(({ seq }) => seq === null || seq > shelf.countedTo);
  if (since.length === 0) return shelf;
  const events = since.map(({ event }) => event);
  return { ...shelf, stockLeft: leftAfter(shelf.stockLeft, events, find) };
}
