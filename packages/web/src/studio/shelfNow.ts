import { leftAfter, type Dye, type Event, type ShelfResponse, type Stock } from '@ythrion/core';
import type { Entry } from '../outbox/database';

/**
 * A shelf as the studio told it, its jars less what was poured since and with what was kept of cups, as far as this device
 * knows.
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
  const { dyes, stocks } = keptIn(events, shelf);
  const left = {
    ...Object.fromEntries(stocks.map(({ id, volumeMl }) => [id, volumeMl])),
    ...shelf.stockLeft,
  };
  return {
    ...shelf,
    ...(dyes.length > 0 && { dyes: [...shelf.dyes, ...dyes] }),
    ...(stocks.length > 0 && { stocks: [...shelf.stocks, ...stocks] }),
    stockLeft: leftAfter(left, events, find),
  };
}

/** What was kept of cups and does not stand on the shelf yet. */
function keptIn(events: readonly Event[], shelf: ShelfResponse): { dyes: Dye[]; stocks: Stock[] } {
  const struck = new Set(events.flatMap((event) => (event.kind === 'struck' ? [event.event] : [])));
  const kept = events.flatMap((event) => (event.kind === 'kept' && !struck.has(event.id) ? [event] : []));
  const missing = <T extends { id: string }>(items: readonly (T | null)[], there: readonly T[]): T[] =>
    items.flatMap((item) => (item && !there.some(({ id }) => id === item.id) ? [item] : []));
  return kept.length === 0
    ? { dyes: [], stocks: [] }
    : {
        dyes: missing(
          kept.map(({ dye }) => dye),
          shelf.dyes,
        ),
        stocks: missing(
          kept.map(({ stock }) => stock),
          shelf.stocks,
        ),
      };
}
