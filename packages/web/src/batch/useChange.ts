import { useCallback } from 'react';
import { FieldError, type NewEvent } from '@ythrion/core';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import type { Recorder } from './useRecord';

/** Changes what is still to come: makes the entries, and says why where that cannot be. */
export type Change = (
  make: (id: string) => NewEvent | readonly NewEvent[],
  undoWord?: string,
) => Promise<boolean>;

/** A way to change the card of a batch, with a way to take it back. */
export function useChange(recorder: Recorder): Change {
  return useCallback(
    async (make, undoWord) => {
      try {
        const made = make(newId());
        return await recorder.recordAll(Array.isArray(made) ? made : [made as NewEvent], undoWord);
      } catch (error) {
        if (!(error instanceof FieldError)) throw error;
        say(error.message);
        return false;
      }
    },
    [recorder],
  );
}
