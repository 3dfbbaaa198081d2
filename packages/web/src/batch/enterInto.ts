import type { QueryClient } from '@tanstack/react-query';
import {
  checkEvent,
  everyLine,
  momentOf,
  type Batch,
  type Event,
  type NewEvent,
  type ShelfResponse,
} from '@ythrion/core';
import { saidOfEntry } from '../api/client';
import { studioNow } from '../api/studioClock';
import { askToKeep, outbox } from '../outbox/thisDevice';
import { say } from '../parts/say';
import { KEYS } from '../studio/queries';

/**
 * Enters things into the record of a batch, held against its card and the shelf before.
 * @param batch as it stands
 * @returns null when they could not be entered, which has been said
 */
export async function enterInto(
  queries: QueryClient,
  batch: Batch,
  events: readonly NewEvent[],
): Promise<Event[] | null> {
  const at = momentOf(batch, studioNow());
  try {
    const shelf = queries.getQueryData<ShelfResponse>(KEYS.shelf);
    const made = events.map((event) => outbox.aside(batch.id, event, at));
    // What comes onto the card may be done at once.
    const card = everyLine(batch.card, made);
    for (const event of made)
      checkEvent(event, card, findIn(batch), {
        dyes: [...batch.formulation.dyes, ...(shelf?.dyes ?? [])],
        stocks: shelf && [...batch.formulation.stocks, ...shelf.stocks],
      });
    const entered = await outbox.enter(
      batch.id,
      events.map((event) => ({ event, at })),
    );
    askToKeep();
    return entered;
  } catch (error) {
    say(saidOfEntry(error));
    return null;
  }
}

const findIn =
  ({ events }: Batch) =>
  (id: string): Event | undefined =>
    events.find((event) => event.id === id) ?? outbox.find(id);
