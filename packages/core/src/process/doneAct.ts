import type { Act } from './act';

/** What was really measured and how long it really took; minutes of null: nobody had begun the clock. */
export interface Really {
  amount?: number;
  minutes?: number | null;
}

/**
 * A planned act as it was really done: the amount that was measured in place of the planned one, the time that
 * passed, and nothing said of what it left in the liquid unless somebody looked.
 */
export function doneAct(act: Act, really: Really = {}): Act {
  const { amount, minutes = null } = really;
  switch (act.kind) {
    case 'run':
      return { ...act, ml: amount ?? act.ml };
    case 'put':
      return { ...act, amount: amount ?? act.amount };
    case 'move':
      return act.ml === null ? act : { ...act, ml: amount ?? act.ml };
    case 'hold':
    case 'stand':
      return { ...act, minutes, leaves: null };
    case 'heat':
    case 'cool':
      return { ...act, minutes };
    default:
      return act;
  }
}
