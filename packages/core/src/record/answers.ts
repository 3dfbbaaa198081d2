import type { CardAct } from './card';
import type { Event } from './event';
import type { NewEvent } from './newEvent';
import { standingEvents } from './standing';

/** What can be said of a line that nobody ticked. */
export const ANSWERS = ['done', 'not done'] as const;
export type Answer = (typeof ANSWERS)[number];

/** What the question about a line is called. */
const ASKS = 'done:';

/** What was said of lines that nobody ticked; the last word counts. */
export function answersOf(events: readonly Event[]): Map<string, Answer> {
  const answers = new Map<string, Answer>();
  for (const event of standingEvents(events).standing)
    if (event.kind === 'answered') {
      const line = lineAsked(event.question);
      if (line !== null) answers.set(line, event.answer === 'not done' ? 'not done' : 'done');
    }
  return answers;
}

/** The answer to what a record asks of a line. */
export const answered = ({ id }: Pick<CardAct, 'id'>, answer: Answer): NewEvent => ({
  kind: 'answered',
  question: `${ASKS}${id}`,
  answer,
});

/** The line of the card that an answer is about; null where it is about something else. */
export const lineAsked = (question: string): string | null =>
  question.startsWith(ASKS) ? question.slice(ASKS.length) : null;
