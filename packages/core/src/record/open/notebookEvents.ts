import type { Batch } from '../batch';
import type { EventOf } from '../event';
import type { NewEvent } from '../newEvent';
import { momentOf } from './momentOf';
import type { NotebookPiece } from './readNotebook';

/** Something to put down of an old note, with the instant it counts by. */
export interface RememberedEvent {
  at: string;
  event: NewEvent;
}

/**
 * An old note as events of its batch, one after the other: the note as it was written, what was read of it, and how it came
 * out where somebody says.
 * @param batch just begun
 */
export function notebookEvents(
  batch: Batch,
  text: string,
  pieces: readonly NotebookPiece[],
  verdict: Pick<EventOf<'closed'>, 'outcome' | 'standing'> | null,
): RememberedEvent[] {
  const events: NewEvent[] = [
    { kind: 'noted', text },
    ...pieces.flatMap(({ acts, amounts, text: piece }) =>
      acts.map((act, i): NewEvent => ({
        kind: 'act',
        planned: null,
        act,
        written: (amounts[i] ?? piece).slice(0, 100),
        note: '',
      })),
    ),
    ...(verdict ? [{ kind: 'closed' as const, ...verdict, note: '' }] : []),
  ];
  const list: RememberedEvent[] = [];
  let before: Pick<Batch, 'card' | 'events' | 'startedAt'> = batch;
  for (const event of events) {
    const at = momentOf(before, batch.startedAt);
    list.push({ at, event });
    before = { ...before, events: [{ ...event, at } as Batch['events'][number]] };
  }
  return list;
}
