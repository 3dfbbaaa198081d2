import type { Batch, RecordState, ShelfResponse } from '@ythrion/core';
import type { Change } from '../batch/useChange';

/** What a part that changes the plan at a pot is given. */
export interface ChangeProps {
  batch: Batch;
  state: RecordState;
  shelf: ShelfResponse;
  change: Change;
  /** It is done, or not wanted after all. */
  onDone: () => void;
}
