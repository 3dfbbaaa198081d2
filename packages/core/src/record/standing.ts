import { isAddition } from '../process/isAddition';
import type { Event, EventOf } from './event';
import { inOrder } from './inOrder';

/** Everything that was not taken back, no taking-back among it, in the order in which it happened. */
export function unstruck(events: readonly Event[]): { left: Event[]; struck: Set<string> } {
  const struck = new Set(events.flatMap((event) => (event.kind === 'struck' ? [event.event] : [])));
  const left = events.filter((event) => event.kind !== 'struck' && !struck.has(event.id));
  return { left: inOrder(left), struck };
}

/**
 * Events that count, in the order in which they happened: what was not taken back. Two devices may have ticked one line.
 * Where something was measured both count, until somebody says otherwise; a lift, a wait or a clock is one, and the first
 * to say so counts.
 */
export function standingEvents(events: readonly Event[]): { standing: Event[]; struck: Set<string> } {
  const { left, struck } = unstruck(events);
  const ticked = new Set<string>();
  const standing = left.filter((event) => {
    const once = onceOnly(event);
    if (once === null || !ticked.has(once)) {
      if (once !== null) ticked.add(once);
      return true;
    }
    return false;
  });
  return { standing, struck };
}

/** What an event says that can only be so once: that a line was done which measures nothing, or that its clock runs. */
function onceOnly(event: Event): string | null {
  if ((event.kind !== 'act' && event.kind !== 'begun') || event.planned === null) return null;
  if (event.kind === 'begun') return `begun ${event.planned}`;
  return isAddition(event.act) || event.act.kind === 'look' ? null : event.planned;
}

/** The acts that were done and still count, in order. */
export const actsDone = (events: readonly Event[]): EventOf<'act'>[] =>
  standingEvents(events).standing.filter((event) => event.kind === 'act');

/** Ids of the card's acts that were done and still count. */
export const plannedDone = (events: readonly Event[]): Set<string> =>
  new Set(actsDone(events).flatMap(({ planned }) => (planned === null ? [] : [planned])));

/** Acts by the line of the card that they do; what nobody planned by itself, under its own id. */
export function byLine<E extends Pick<EventOf<'act'> | EventOf<'begun'>, 'planned' | 'id'>>(
  acts: readonly E[],
): Map<string, E[]> {
  const lines = new Map<string, E[]>();
  for (const act of acts) {
    const key = act.planned ?? act.id;
    const known = lines.get(key);
    if (known) known.push(act);
    else lines.set(key, [act]);
  }
  return lines;
}
