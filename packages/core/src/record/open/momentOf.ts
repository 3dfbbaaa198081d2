import { minutesOf } from '../../process/amountOf';
import type { Batch } from '../batch';

const MINUTE = 60_000;

/**
 * The instant that something entered now counts by: now; in a batch that is put down from an old notebook, a minute after
 * what was put down before it, or once that wait was over.
 * @param now ISO 8601
 */
export function momentOf(
  { card, events, startedAt }: Pick<Batch, 'card' | 'events' | 'startedAt'>,
  now: string,
): string {
  if (!card.remembered) return now;
  const last = events.at(-1);
  const waited = last?.kind === 'act' ? (minutesOf(last.act) ?? 0) : 0;
  return new Date(Date.parse(last?.at ?? startedAt) + (waited + 1) * MINUTE).toISOString();
}
