import type { Batch, Event, StudioDocument } from '@ythrion/core';

const DAY = 86_400_000;
/** How long ago the last thing happened in a demo that has just been opened. */
const JUST_NOW = 30 * 60_000;

/**
 * Moves the demo's days so that it looks lived in today: what is wet was touched minutes ago, what is closed lies
 * whole days back at its own hour.
 * @param now milliseconds since 1970
 */
export function bringToToday(document: StudioDocument, now: number): StudioDocument {
  const latest = Math.max(
    0,
    ...document.batches.flatMap((batch) => batch.events.map((event) => Date.parse(event.at))),
  );
  if (latest === 0) return document;
  const shift = now - JUST_NOW - latest;
  const days = Math.floor(shift / DAY) * DAY;
  return {
    ...document,
    stocks: document.stocks.map((stock) =>
      stock.madeOn === null
        ? stock
        : { ...stock, madeOn: moved(`${stock.madeOn}T12:00:00Z`, days).slice(0, 10) },
    ),
    batches: document.batches.map((batch) =>
      movedBatch(batch, batch.events.some((event) => event.kind === 'closed') ? days : shift),
    ),
  };
}

const moved = (iso: string, by: number): string => new Date(Date.parse(iso) + by).toISOString();

function movedBatch(batch: Batch, by: number): Batch {
  return {
    ...batch,
    startedAt: moved(batch.startedAt, by),
    events: batch.events.map((event): Event => ({
      ...event,
      at: moved(event.at, by),
      clockAt: moved(event.clockAt, by),
    })),
  };
}
