import { momentOf, strikeOut, type Batch, type NewEvent } from '@ythrion/core';
import { saidOfEntry } from '../api/client';
import { useAddEvent } from '../api/queries';
import { stampEvent } from '../outbox/stampEvent';
import { say } from '../parts/say';

/** Adds to a batch's record, with a way to take it back, and says when the server cannot be reached. */
export function useRecord(batch: Batch) {
  const add = useAddEvent(batch.id);
  const record = async (event: NewEvent, undoWord?: string): Promise<boolean> => {
    const stamped = stampEvent(batch.id, event, momentOf(batch, new Date().toISOString()));
    try {
      await add.mutateAsync(stamped);
    } catch (error) {
      say(saidOfEntry(error));
      return false;
    }
    if (undoWord !== undefined)
      say(undoWord, { word: 'Take back', work: () => void record(strikeOut(stamped)) });
    return true;
  };
  return { record, busy: add.isPending, unreached: add.failureCount > 0 && add.isPending };
}
