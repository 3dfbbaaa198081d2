import type { Batch } from './batch';
import type { NewEvent } from './newEvent';
import type { LineState, RecordState } from './recordState';
import { standingEvents } from './standing';

/** A wait that is over and of which nobody has said yet that they heard. */
export interface Due {
  line: LineState;
  /** The event that started its clock. */
  begunBy: string;
  /** When it was over, ISO 8601. */
  at: string;
}

/** What the question whether somebody heard is called. */
const ASKS = 'heard:';
const HEARD = 'heard';

/**
 * What a pot rings for: its running wait is over, nobody has ended it, and nobody has said that they heard.
 * @param now by the studio's clock, ms since 1970
 */
export function dueOf(
  { events }: Pick<Batch, 'events'>,
  { current, dueAt }: RecordState,
  now: number,
): Due | null {
  if (!current || dueAt === null || current.begunBy === null || Date.parse(dueAt) > now) return null;
  const { begunBy } = current;
  const isHeard = standingEvents(events).standing.some(
    (event) => event.kind === 'answered' && begunAsked(event.question) === begunBy,
  );
  return isHeard ? null : { line: current, begunBy, at: dueAt };
}

/** Says that somebody heard: every device stops ringing for it. */
export const heard = ({ begunBy }: Due): NewEvent => ({
  kind: 'answered',
  question: `${ASKS}${begunBy}`,
  answer: HEARD,
});

/** The start of the clock that an answer is about; null where it is about something else. */
export const begunAsked = (question: string): string | null =>
  question.startsWith(ASKS) ? question.slice(ASKS.length) : null;
