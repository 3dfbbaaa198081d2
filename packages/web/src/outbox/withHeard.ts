import { nameOf, type Batch } from '@ythrion/core';
import type { Entry } from './database';

/** What was joined last to each batch: the screens ask for the same one again and again, and must get the same object. */
const joined = new WeakMap<Batch, { entries: readonly Entry[]; batch: Batch }>();

/** A batch as the studio told it, with what this device made or heard of since. */
export function withHeard(batch: Batch, entries: readonly Entry[]): Batch {
  if (entries.length === 0) return batch;
  const last = joined.get(batch);
  if (last?.entries === entries) return last.batch;
  const known = new Set(batch.events.map(({ id }) => id));
  const more = inArrival(entries).filter(({ id }) => !known.has(id));
  const events = [...batch.events, ...more.map(({ event }) => event)];
  const now = more.length === 0 ? batch : { ...batch, events, name: nameOf({ ...batch, events }) };
  joined.set(batch, { entries, batch: now });
  return now;
}

/** What arrived in its order, then what is on its way, as it was made. */
const inArrival = (entries: readonly Entry[]): Entry[] =>
  entries.toSorted(
    (one, other) =>
      (one.seq ?? Infinity) - (other.seq ?? Infinity) || one.event.count - other.event.count || 0,
  );
