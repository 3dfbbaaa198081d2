import { amountOf, type MeasuredOut } from '../process/amountOf';
import type { Batch } from './batch';
import type { CardAct } from './card';
import { PLAIN_LINE } from './cardLines';
import { alsoAdded, type NewEvent } from './newEvent';
import { actsDone } from './standing';

/** What went in last, and the same once more. */
export interface MoreOfThis {
  what: MeasuredOut;
  /** As a line of the card, for its words. */
  line: CardAct;
  /** The amount as it was typed; empty where it was poured as the card said. */
  written: string;
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
  const planned = batch.card.acts.find(({ id }) => id === last.planned);
  return {
    what,
    line: { ...PLAIN_LINE, ...planned, id: planned?.id ?? last.id, act: last.act },
    written: last.written,
    event: alsoAdded(batch, pass, what, last.written),
  };
}
