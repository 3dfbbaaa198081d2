import type { QueryClient } from '@tanstack/react-query';
import { SHELF_RESOURCES, type Arrival, type BatchResponse, type CupRecord } from '@ythrion/core';
import { live } from '../api/live';
import { outbox, sender } from '../outbox/thisDevice';
import { ACCESS_KEY } from './access';
import { KEYS } from './queries';

/** Shows what other devices enter and change, as it happens. */
export function followStudio(queries: QueryClient): void {
  live.start({
    opened(missed) {
      sender.wake();
      if (missed) void queries.invalidateQueries();
    },
    arrival: (arrival) => take(queries, arrival),
    changed: ({ path }) => void anew(queries, path),
    comingIn: (message) => queries.setQueryData(KEYS.comingIn, message),
    turnedAway: () => void queries.invalidateQueries({ queryKey: ACCESS_KEY }),
    restart: () => void outbox.forgetKnown().then(() => queries.invalidateQueries()),
  });
}

function take(queries: QueryClient, arrival: Arrival): void {
  void outbox.heard([arrival]);
  void queries.invalidateQueries({ queryKey: [...KEYS.batches, 'page'] });
  if (arrival.event.kind === 'sought')
    void queries.invalidateQueries({ queryKey: [...KEYS.batches, 'attempts'] });
  const { id, kind } = arrival.event.of;
  if (kind === 'vessel') return takeOfCup(queries, arrival);
  const running = queries.getQueryData<BatchResponse[]>(KEYS.running);
  // A verdict taken back makes a batch wet again.
  if (arrival.event.kind === 'struck' && running && !running.some((batch) => batch.id === id))
    void queries.invalidateQueries({ queryKey: KEYS.running });
}

/** What came into the record of a cup: one that nobody here knows is asked for, and a jar that was kept of one. */
function takeOfCup(queries: QueryClient, { event }: Arrival): void {
  const cups = queries.getQueryData<CupRecord[]>(KEYS.cups);
  if (cups && !cups.some(({ id }) => id === event.of.id))
    void queries.invalidateQueries({ queryKey: KEYS.cups });
  if (event.kind === 'kept' || event.kind === 'struck')
    void queries.invalidateQueries({ queryKey: KEYS.shelf });
}

/** What was changed at an address is asked for anew. */
function anew(queries: QueryClient, path: string): Promise<unknown> {
  const [, , resource = '', , what] = path.split(/[/?]/);
  // An entry comes by itself.
  if ((resource === 'batches' || resource === 'cups') && what === 'events') return Promise.resolve();
  if (resource === 'instruments') return Promise.resolve();
  if (resource === 'studio' || (SHELF_RESOURCES as readonly string[]).includes(resource))
    return Promise.all([
      queries.invalidateQueries({ queryKey: KEYS.shelf }),
      queries.invalidateQueries({ queryKey: KEYS.colors }),
    ]);
  if (resource === 'colorways') return queries.invalidateQueries({ queryKey: KEYS.colorways });
  if (resource === 'copies' && what !== 'restore')
    return queries.invalidateQueries({ queryKey: KEYS.copies });
  if (resource !== 'batches') return queries.invalidateQueries();
  return Promise.all([
    queries.invalidateQueries({ queryKey: KEYS.batches }),
    queries.invalidateQueries({ queryKey: KEYS.running }),
  ]);
}
