import type { Entry } from '@ythrion/core';
import { saidOf } from '../api/client';
import { useAddEntry } from '../api/queries';
import { newId } from '../parts/newId';
import { say } from '../parts/say';

type Unstamped<T> = T extends Entry ? Omit<T, 'id' | 'at'> : never;

/** Something to put into a batch's record; id and time are added here. */
export type NewEntry = Unstamped<Entry>;

/** Adds to a batch's record, with a way to take it back, and says when the server cannot be reached. */
export function useRecord(batchId: string) {
  const add = useAddEntry(batchId);
  const record = async (entry: NewEntry, undoWord?: string): Promise<boolean> => {
    const stamped = { ...entry, id: newId(), at: new Date().toISOString() } as Entry;
    try {
      await add.mutateAsync(stamped);
    } catch (error) {
      say(saidOf(error));
      return false;
    }
    if (undoWord !== undefined)
      say(undoWord, {
        word: 'Take back',
        work: () => void record({ kind: 'struck', entryId: stamped.id, why: '' }),
      });
    return true;
  };
  return { record, busy: add.isPending, unreached: add.failureCount > 0 && add.isPending };
}
