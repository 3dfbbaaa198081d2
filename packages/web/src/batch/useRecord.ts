import { useLayoutEffect, useMemo, useRef } from 'react';
import {
  checkEvent,
  everyLine,
  momentOf,
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
import { restKeys } from '../parts/restKeys';
import { say } from '../parts/say';
import { KEYS } from '../studio/queries';

/** Enters things into the record of a batch. False when they could not be entered, which has been said. */
export interface Recorder {
  /** @param undoWord said once it is in, with a way to take it back */
  record(event: NewEvent, undoWord?: string): Promise<boolean>;
  /** Several at once, all or none. */
  recordAll(events: readonly NewEvent[], undoWord?: string): Promise<boolean>;
}

/**
 * Adds to a batch's record, with a way to take it back. What was entered is kept on this device before it is shown, and
 * goes to the studio by itself, now or once it can be reached.
 */
export function useRecord(batch: Batch): Recorder {
  const queries = useQueryClient();
  // The recorder stays the same one; what it enters is held against the batch as it stands then.
  const latest = useRef(batch);
  useLayoutEffect(() => {
    latest.current = batch;
  });
  return useMemo(() => {
    const enter = async (events: readonly NewEvent[]): Promise<Event[] | null> => {
      const { current } = latest;
      const at = momentOf(current, studioNow());
      try {
        const shelf = queries.getQueryData<ShelfResponse>(KEYS.shelf);
        const made = events.map((event) => outbox.aside(current.id, event, at));
        // What comes onto the card may be done at once.
        const card = everyLine(current.card, made);
        for (const event of made)
          checkEvent(event, card, findIn(current), {
            dyes: [...current.formulation.dyes, ...(shelf?.dyes ?? [])],
            stocks: shelf && [...current.formulation.stocks, ...shelf.stocks],
          });
        const entered = await outbox.enter(
          current.id,
          events.map((event) => ({ event, at })),
        );
        askToKeep();
        return entered;
      } catch (error) {
        say(saidOfEntry(error));
        return null;
      }
    };
    const recordAll: Recorder['recordAll'] = async (events, undoWord) => {
      restKeys();
      const entered = await enter(events);
      if (entered && undoWord !== undefined)
        say(undoWord, {
          word: 'Take back',
          work: () => void enter(entered.map((event) => strikeOut(event))),
        });
      return entered !== null;
    };
    return { recordAll, record: (event, undoWord) => recordAll([event], undoWord) };
  }, [queries]);
}

const findIn =
  ({ events }: Batch) =>
  (id: string): Event | undefined =>
    events.find((event) => event.id === id) ?? outbox.find(id);
