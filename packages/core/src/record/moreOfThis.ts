import { amountOf, type MeasuredOut } from '../process/amountOf';
import type { Batch } from './batch';
import { alsoAdded, type NewEvent } from './newEvent';
import { actsDone } from './standing';

/** What went in last, and the same once more. */
export interface MoreOfThis {
  what: MeasuredOut;
  event: NewEvent;
}

/** The last dye or acid that went in, once more; null before any. @param pass the one being dyed */
export function moreOfThis(batch: Batch, pass: string | null): MoreOfThis | null {
  const last = actsDone(batch.events).findLast(({ act }) => {
    const what = act.purpose === 'dilution' ? null : amountOf(act);
    return what !== null && (what.material.kind === 'dye' || what.material.kind === 'acid');
  });
  const what = last && amountOf(last.act);
  if (!last || !what) return null;
  return { what, event: alsoAdded(batch, pass, what, last.written) };
}
