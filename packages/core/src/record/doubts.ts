import { isAddition } from '../process/isAddition';
import type { Batch } from './batch';
import type { CardAct } from './card';
import { cardAct } from './cardLines';
import type { Event, EventOf } from './event';
import { inOrder } from './inOrder';
import { strikeOut, type NewEvent } from './newEvent';
import { byLine, standingEvents } from './standing';

/**
 * Something that went in of which the record cannot know whether it is to count: one line was entered more than once, as
 * by two devices; or an entry came in after the batch was closed. Everything counts until somebody says.
 */
export interface Doubt {
  why: 'twice' | 'late';
  /** The line of the card; null for what nobody planned. */
  line: CardAct | null;
  /** The entries it is about, in order. */
  events: [EventOf<'act'>, ...EventOf<'act'>[]];
}

/** What the question whether an entry counts is called. */
const ASKS = 'counts:';
const COUNTS = 'counts';

/** Entries of which nobody has said yet whether they count. */
export function doubtsOf({ card, events }: Pick<Batch, 'card' | 'events'>): Doubt[] {
  const { standing } = standingEvents(events);
  const counts = new Set(
    standing.flatMap((event) =>
      event.kind === 'answered' ? (entryAsked(event.question, event.answer) ?? []) : [],
    ),
  );
  const put = standing.filter((event) => event.kind === 'act').filter(({ act }) => isAddition(act));
  const late = lateEntries(events, standing);
  return [...byLine(put).values()].flatMap((group): Doubt[] => {
    const [first, ...rest] = group;
    if (!first || group.every(({ id }) => counts.has(id))) return [];
    const line = cardAct(card, first.planned) ?? null;
    if (rest.length > 0) return [{ why: 'twice', line, events: [first, ...rest] }];
    return late.has(first.id) ? [{ why: 'late', line, events: [first] }] : [];
  });
}

/** Entries that were made after the batch was closed, or arrived after it was. */
function lateEntries(events: readonly Event[], standing: readonly Event[]): ReadonlySet<string> {
  const closings = new Set(standing.flatMap(({ kind, id }) => (kind === 'closed' ? [id] : [])));
  const after = (list: readonly Event[]): Event[] => {
    const closed = list.findIndex(({ id }) => closings.has(id));
    return closed < 0 ? [] : list.slice(closed + 1);
  };
  return new Set([...after(events), ...after(inOrder(events))].map(({ id }) => id));
}

/** Says that every entry of a doubt counts. */
export const countAll = ({ events }: Doubt): NewEvent[] =>
  events.map(({ id }) => ({ kind: 'answered', question: `${ASKS}${id}`, answer: COUNTS }));

/** Says that of a doubt only this entry counts, or none: the others are taken back. */
export const countOnly = ({ events }: Doubt, entry: EventOf<'act'> | null): NewEvent[] =>
  events.filter(({ id }) => id !== entry?.id).map((event) => strikeOut(event, 'It does not count.'));

/** The entry that an answer lets count; null where it is about something else. */
export const entryAsked = (question: string, answer: string): string | null =>
  question.startsWith(ASKS) && answer === COUNTS ? question.slice(ASKS.length) : null;
