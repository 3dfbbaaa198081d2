import { useState } from 'react';
import {
  checkEvent,
  eventSchema,
  FieldError,
  momentOf,
  problemsOf,
  strikeOut,
  type Batch,
  type Event,
  type NewEvent,
  type ShelfResponse,
} from '@ythrion/core';
import { useQueryClient } from '@tanstack/react-query';
import { saidOfEntry } from '../api/client';
import { studioNow } from '../api/studioClock';
import { askToKeep, outbox } from '../outbox/thisDevice';
import { say } from '../parts/say';
import { KEYS } from '../studio/queries';

/** A key rests for so long after it was pressed: a wet glove that bounces pours once, ms. */
const REST_MS = 300;

/**
 * Adds to a batch's record, with a way to take it back. What was entered is kept on this device before it is shown, and
 * goes to the studio by itself, now or once it can be reached.
 */
export function useRecord(batch: Batch) {
  const [busy, setBusy] = useState(false);
  const queries = useQueryClient();
  const enter = async (events: readonly NewEvent[]): Promise<Event[] | null> => {
    const at = momentOf(batch, studioNow());
    try {
      const shelf = queries.getQueryData<ShelfResponse>(KEYS.shelf);
      for (const event of events)
        checkEvent(readEvent(outbox.aside(batch.id, event, at)), batch.card, findIn(batch), {
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
  };
  /** Several at once, all or none. */
  const recordAll = async (events: readonly NewEvent[], undoWord?: string): Promise<boolean> => {
    setBusy(true);
    setTimeout(() => setBusy(false), REST_MS);
    const entered = await enter(events);
    if (entered && undoWord !== undefined)
      say(undoWord, {
        word: 'Take back',
        work: () => void enter(entered.map((event) => strikeOut(event))),
      });
    return entered !== null;
  };
  const record = (event: NewEvent, undoWord?: string): Promise<boolean> => recordAll([event], undoWord);
  return { record, recordAll, busy };
}

/** @throws FieldError in the first thing that is wrong with its shape */
function readEvent(event: Event): Event {
  const read = eventSchema.safeParse(event);
  if (read.success) return read.data;
  const [problem] = problemsOf(read.error.issues);
  throw new FieldError(problem?.field ?? '', problem?.message ?? 'This cannot be entered.');
}

const findIn =
  ({ events }: Batch) =>
  (id: string): Event | undefined =>
    events.find((event) => event.id === id) ?? outbox.find(id);
