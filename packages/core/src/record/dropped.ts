import { isAddition } from '../process/isAddition';
import type { Batch } from './batch';
import { strikeOut, type NewEvent } from './newEvent';
import { actsDone } from './standing';
import { DROPPED } from './words';

/**
 * A batch that was begun by mistake: what its entries took from jars goes back to them, and it leaves the pots.
 * Its record stays, as that of any other.
 */
export const dropped = ({ events }: Pick<Batch, 'events'>): NewEvent[] => [
  ...actsDone(events)
    .filter(({ act }) => isAddition(act))
    .map((event) => strikeOut(event, 'The batch was begun by mistake.')),
  { kind: 'closed', outcome: 'not right', standing: DROPPED, note: '' },
];
