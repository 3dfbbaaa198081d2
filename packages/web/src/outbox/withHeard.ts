import { nameOf, type Batch, type CupRecord, type Event } from '@ythrion/core';
import type { Entry } from './database';

/** What was joined last to each batch: the screens ask for the same one again and again, and must get the same object. */
const joined = new WeakMap<Batch, { entries: readonly Entry[]; batch: Batch }>();

/** A batch as the studio told it, with what this device made or heard of since. */
export function withHeard(batch: Batch, entries: readonly Entry[]): Batch {
  if (entries.length === 0) return batch;
  const last = joined.get(batch);
  if (last?.entries === entries) return last.batch;
  const events = eventsWith(batch.events, entries);
  const now = events === batch.events ? batch : { ...batch, events, name: nameOf({ ...batch, events }) };
  joined.set(batch, { entries, batch: now });
  return now;
}

/** Events of a record with those it does not show yet; the same list where there are none. */
function eventsWith(known: Event[], entries: readonly Entry[]): Event[] {
  const ids = new Set(known.map(({ id }) => id));
  const more = inArrival(entries).filter(({ id }) => !ids.has(id));
  return more.length === 0 ? known : [...known, ...more.map(({ event }) => event)];
}

/** The cups that the studio told of, with what this device made or heard of since; those it alone has among them. */
export function cupsWithHeard(
  told: readonly CupRecord[],
  all: ReadonlyMap<string, readonly Entry[]>,
): CupRecord[] {
  const ids = new Set(told.map(({ id }) => id));
  const own = [...all].filter(
    ([id, entries]) =>
      !ids.has(id) && entries.some(({ event, state }) => event.of.kind === 'vessel' && state === 'unsent'),
  );
  return [
    ...own.map(([id, entries]) => ({ id, events: eventsWith([], entries) })),
    ...told.map((cup) => ({ ...cup, events: eventsWith([...cup.events], all.get(cup.id) ?? []) })),
  ];
}

/** What arrived in its order, then what is on its way, as it was made. */
const inArrival = (entries: readonly Entry[]): Entry[] =>
  entries.toSorted(
    (one, other) =>
      (one.seq ?? Infinity) - (other.seq ?? Infinity) || one.event.count - other.event.count || 0,
  );
