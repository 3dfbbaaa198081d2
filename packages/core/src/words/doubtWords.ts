import { amountOf } from '../process/amountOf';
import { clockTime, dayOf } from '../record/clock';
import { countAll, countOnly, type Doubt } from '../record/doubts';
import type { EventOf } from '../record/event';
import type { NewEvent } from '../record/newEvent';
import { formatAmount } from '../units/formatQuantity';
import { materialName } from './eventWords';
import { titleOf, type Reading } from './lineWords';

/** A question about entries, and what can be said to it with one tap each. */
export interface DoubtWords {
  title: string;
  detail: string;
  answers: { word: string; events: NewEvent[] }[];
}

/** A doubt in words. */
export function doubtWords(doubt: Doubt, reading: Reading): DoubtWords {
  return doubt.why === 'twice' ? twiceWords(doubt, reading) : lateWords(doubt, reading);
}

const COUNTED = ['', 'once', 'twice', 'three times', 'four times'];

function twiceWords(doubt: Doubt, reading: Reading): DoubtWords {
  const { line, events } = doubt;
  const title = line ? titleOf(line, reading) : 'An entry';
  const amounts = events.map(amountWords);
  const [first = ''] = amounts;
  const alike = amounts.every((amount) => amount === first);
  return {
    title: `${title}: entered ${COUNTED[events.length] ?? `${events.length} times`}`,
    detail: `${events.map((event) => `${amountWords(event)} at ${clockTime(event.at)}${byWhom(event)}`).join(', and ')}. All of it is counted until you say.`,
    answers: [
      { word: events.length === 2 ? 'Count both' : 'Count all', events: countAll(doubt) },
      ...(alike
        ? [{ word: 'Count one', events: countOnly(doubt, events[0]) }]
        : events.map((event) => ({
            word: `Only ${amountWords(event)}`,
            events: countOnly(doubt, event),
          }))),
    ],
  };
}

function lateWords(doubt: Doubt, reading: Reading): DoubtWords {
  const [event] = doubt.events;
  const material = amountOf(event.act)?.material;
  const what = doubt.line
    ? titleOf(doubt.line, reading)
    : material
      ? materialName(material, reading.dyes)
      : 'something';
  return {
    title: `${what}, ${amountWords(event)}: came in after the batch was closed`,
    detail: `Entered ${dayOf(event.at)} ${clockTime(event.at)}${byWhom(event)}. It is counted until you say.`,
    answers: [
      { word: 'Count it', events: countAll(doubt) },
      { word: 'Leave it out', events: countOnly(doubt, null) },
    ],
  };
}

function amountWords({ act, written }: EventOf<'act'>): string {
  const measured = amountOf(act);
  return measured ? formatAmount(measured.amount, measured.unit) : written || 'an amount nobody measured';
}

const byWhom = ({ person }: EventOf<'act'>): string => (person === null ? '' : ` by ${person}`);
