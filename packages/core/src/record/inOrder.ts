import type { Event } from './event';

type Stamped = Pick<Event, 'at' | 'device' | 'count'>;

/**
 * Events in the order in which things happened: by the instant each counts by, then by device and by the device's own
 * count. It is the same on every device, whatever order they arrived in.
 */
export function inOrder<E extends Stamped>(events: readonly E[]): E[] {
  const keyed = events.map((event) => ({ event, at: Date.parse(event.at) }));
  if (keyed.every((one, i) => i === 0 || compare(keyed[i - 1] ?? one, one) <= 0)) return [...events];
  return keyed.toSorted(compare).map(({ event }) => event);
}

interface Keyed {
  event: Stamped;
  at: number;
}

function compare(one: Keyed, other: Keyed): number {
  if (one.at !== other.at) return one.at - other.at;
  const [a, b] = [one.event, other.event];
  if (a.device !== b.device) return a.device < b.device ? -1 : 1;
  return a.count - b.count;
}
