import { useLayoutEffect, useMemo, useRef } from 'react';
import { strikeOut, type Batch, type NewEvent } from '@ythrion/core';
import { useQueryClient } from '@tanstack/react-query';
import { restKeys } from '../parts/restKeys';
import { say } from '../parts/say';
import { enterInto } from './enterInto';

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
    const enter = (events: readonly NewEvent[]) => enterInto(queries, latest.current, events);
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
