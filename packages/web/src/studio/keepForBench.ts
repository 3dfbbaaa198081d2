import type { Query, QueryClient } from '@tanstack/react-query';
import type { BatchResponse, CupRecord } from '@ythrion/core';
import type { DeviceDatabase } from '../outbox/database';
import { outbox } from '../outbox/thisDevice';
import { KEYS } from './queries';

/** Answers that the bench cannot do without: the shelf, what is wet, and the cups. */
const KEPT = [KEYS.shelf, KEYS.running, KEYS.cups] as const;

/** Shows the last answers this device had, until the studio gives newer ones. */
export async function showKept(queries: QueryClient, database: DeviceDatabase): Promise<void> {
  for (const key of KEPT) {
    const kept = await database.get('answers', key[0]);
    if (kept !== undefined) queries.setQueryData(key, kept, { updatedAt: 1 });
  }
}

/** Keeps each new answer; entries that it shows need not be kept beside it any more. */
export function keepAnswers(queries: QueryClient, database: DeviceDatabase | null): void {
  queries.getQueryCache().subscribe(({ type, query }) => {
    if (type !== 'updated' || query.state.fetchStatus !== 'idle' || query.state.status !== 'success') return;
    const key = KEPT.find(([name]) => query.queryKey.length === 1 && query.queryKey[0] === name);
    if (!key || query.state.dataUpdatedAt <= 1) return;
    void keep(query as Query, key[0], queries, database);
  });
}

async function keep(
  query: Query,
  name: string,
  queries: QueryClient,
  database: DeviceDatabase | null,
): Promise<void> {
  await database?.put('answers', query.state.data, name);
  if (name === KEYS.running[0]) await outbox.forget(shownByAll(queries));
}

/** An answer that was asked for before an entry may come after it: only what is older than this is let go of, ms. */
const SETTLED_MS = 600_000;

/** Entries that every answer here shows by itself. */
function shownByAll(queries: QueryClient): string[] {
  const settled = Date.now() - SETTLED_MS;
  return [...outbox.all()].flatMap(([batchId, entries]) => {
    const answers = [
      queries.getQueryData<BatchResponse[]>(KEYS.running)?.find(({ id }) => id === batchId),
      queries.getQueryData<CupRecord[]>(KEYS.cups)?.find(({ id }) => id === batchId),
      queries.getQueryData<BatchResponse>([...KEYS.batches, 'one', batchId]),
    ].flatMap((answer) => answer ?? []);
    return entries
      .filter(({ state, sinceMs }) => state === 'known' && sinceMs < settled)
      .map(({ id }) => id)
      .filter((id) => answers.every(({ events }) => events.some((event) => event.id === id)));
  });
}
