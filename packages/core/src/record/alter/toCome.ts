import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { plannedDone } from '../standing';

/**
 * What is still to come of a card, in order: lines nobody did, and what goes without saying after the last thing done.
 * @param batch as it stands
 */
export function toCome({ card, events }: Pick<Batch, 'card' | 'events'>): CardAct[] {
  const done = plannedDone(events);
  const reached = card.acts.findLastIndex(({ id }) => done.has(id));
  return card.acts.filter(({ id, quiet }, i) => !done.has(id) && (!quiet || i > reached));
}

/** The line that is to be done next, with what goes without saying before it; null once all is done. */
export function nextToCome(batch: Pick<Batch, 'card' | 'events'>): { line: CardAct; before: string } | null {
  const done = plannedDone(batch.events);
  const { acts } = batch.card;
  const at = acts.findIndex(({ id, quiet }) => !quiet && !done.has(id));
  const line = acts[at];
  if (!line) return null;
  let first = at;
  while (first > 0 && acts[first - 1]?.quiet && !done.has(acts[first - 1]?.id ?? '')) first -= 1;
  return { line, before: acts[first]?.id ?? line.id };
}

/** Whether goods were set: the hold of a set is done. */
export function isSetDone({ card, events }: Pick<Batch, 'card' | 'events'>): boolean {
  const done = plannedDone(events);
  return card.acts.some(({ id, act }) => act.kind === 'hold' && act.purpose === 'set' && done.has(id));
}

/** The line that stands behind another on a card; null where that is the last. */
export function lineAfter({ card }: Pick<Batch, 'card'>, id: string): string | null {
  return card.acts[card.acts.findIndex((line) => line.id === id) + 1]?.id ?? null;
}
