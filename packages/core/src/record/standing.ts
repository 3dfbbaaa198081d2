import type { Event, EventOf } from './event';

/** Events that still count: everything not struck out, and no strike-outs themselves. */
export function standingEvents(events: readonly Event[]): { standing: Event[]; struck: Set<string> } {
  const struck = new Set(events.flatMap((event) => (event.kind === 'struck' ? [event.event] : [])));
  return { standing: events.filter((event) => event.kind !== 'struck' && !struck.has(event.id)), struck };
}

/** The acts that were done and still count, in order. */
export const actsDone = (events: readonly Event[]): EventOf<'act'>[] =>
  standingEvents(events).standing.filter((event) => event.kind === 'act');

/** Ids of the card's acts that were done and still count. */
export const plannedDone = (events: readonly Event[]): Set<string> =>
  new Set(actsDone(events).flatMap(({ planned }) => (planned === null ? [] : [planned])));
