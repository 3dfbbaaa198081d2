import { answersOf, type Answer } from './answers';
import type { CardAct } from './card';
import { cardLines } from './cardLines';
import type { Batch } from './batch';
import type { FoldedRecord } from './foldRecord';
import { mayBePresumed } from './recording';
import { plannedDone } from './standing';

/** A line that nobody ticked and that is taken as done: whether it was, the record asks once. */
export interface Question {
  line: CardAct;
  /** Null until somebody said. */
  answer: Answer | null;
}

/** Every line that nobody ticked, with what was said of it, in the order of the card. */
export function questionsOf({ card, events }: Batch, { acts }: Pick<FoldedRecord, 'acts'>): Question[] {
  const answers = answersOf(events);
  const done = plannedDone(events);
  const presumed = new Set(acts.flatMap(({ came, planned }) => (came === 'presumed' ? [planned] : [])));
  return cardLines(card).flatMap((line): Question[] => {
    const answer = answers.get(line.id) ?? null;
    return mayBePresumed(line) && !done.has(line.id) && (presumed.has(line.id) || answer !== null)
      ? [{ line, answer }]
      : [];
  });
}
