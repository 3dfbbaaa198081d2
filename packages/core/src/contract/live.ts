import { z } from 'zod';
import type { Event } from '../record/event';

/**
 * A place in the server's own sequence of arrivals: its number and the id of the event that has it, `480:e7f…`; `0` is
 * before the first. A number by itself will do, but does not notice that the studio went back to another copy.
 */
export const cursorSchema = z.string().regex(/^\d{1,15}(:[A-Za-z0-9_-]{1,64})?$/, {
  error: 'since must be a number of the arrival sequence, such as 480.',
});

/** GET /api/events */
export const sinceQuerySchema = z.object({ since: cursorSchema.default('0') });

/** GET /api/live: everything that happens, as server-sent events. */
export const liveQuerySchema = z.object({
  /** Left out: from now on. */
  since: cursorSchema.optional(),
  /** Instruments to listen to: `scale`, or `ph:` and the batch its electrode is in. */
  listen: z
    .preprocess(
      (value) => (value === undefined ? [] : Array.isArray(value) ? value : [value]),
      z.array(z.string().max(80)).max(8, { error: 'At most 8 instruments can be listened to at once.' }),
    )
    .default([]),
});

/** An event and its number in the sequence of arrivals. */
export interface Arrival {
  seq: number;
  event: Event;
}

/** GET /api/events: what arrived after a cursor, at most 500 at once; empty when that was all. */
export interface ArrivalsResponse {
  arrivals: Arrival[];
  /** Where to go on. */
  cursor: string;
  /** True when the cursor is of another history, as after going back to a copy: what is known must be asked for anew. */
  restart: boolean;
}

/** What GET /api/live sends, by the name of the server-sent event. */
export interface LiveMessages {
  /** At first and every few seconds: the server is there. */
  now: { now: string };
  /** An event arrived. */
  arrival: Arrival;
  /** Something else was changed: what stood in the address of the change. */
  changed: { path: string };
  /** A file of a whole studio is being taken in, so many batches by now; null once that has ended. */
  comingIn: { batches: number | null };
  /** What is known must be asked for anew. */
  restart: { cursor: string };
  /** An instrument shows something; null when there is no such instrument. */
  reading: { instrument: string; reading: unknown };
}
