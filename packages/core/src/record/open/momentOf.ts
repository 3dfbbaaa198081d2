import { minutesOf } from '../../process/amountOf';
import type { Batch } from '../batch';
import { inOrder } from '../inOrder';

const MINUTE = 60_000;

/**
 * The instant that something entered now counts by: now, but after everything of its batch that is known, so that what
 * one device saw before it pours stays before it, whatever its clock says. In a batch that is put down from an old
 * notebook a minute after what was put down before it, or once that wait was over.
 * @param now by the studio's clock, ISO 8601
 */
export function momentOf(
  { card, events, startedAt }: Pick<Batch, 'card' | 'events' | 'startedAt'>,
  now: string,
): string {
  const last = inOrder(events).at(-1);
  if (!card.remembered) {
    const after = last ? Date.parse(last.at) + 1 : -Infinity;
    return after > Date.parse(now) ? new Date(after).toISOString() : now;
  }
  const waited = last?.kind === 'act' ? (minutesOf(last.act) ?? 0) : 0;
  return new Date(Date.parse(last?.at ?? startedAt) + (waited + 1) * MINUTE).toISOString();
}
