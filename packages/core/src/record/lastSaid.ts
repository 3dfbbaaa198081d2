import type { Batch } from './batch';
import type { Event, EventOf } from './event';
import { standingEvents } from './standing';

/** What a batch is called: by the last name it was given. */
export const nameOf = ({ name, events }: Pick<Batch, 'name' | 'events'>): string =>
  standingEvents(events).standing.findLast((event) => event.kind === 'named')?.name ?? name;

/** The verdict that counts: the last one that was not taken back. */
export const lastVerdict = (events: readonly Event[]): EventOf<'closed'> | null =>
  standingEvents(events)
    .standing.filter((event) => event.kind === 'closed')
    .at(-1) ?? null;
