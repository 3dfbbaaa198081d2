/** How far the studio's clock is ahead of a device's own, and how surely that is known, ms. */
export interface ClockOffset {
  offsetMs: number;
  /** It is this far off at most. */
  withinMs: number;
}

/** One question and answer between a device and the studio: its own clock at both ends, and the studio's in between. */
export interface Contact {
  sentAtMs: number;
  receivedAtMs: number;
  studioAtMs: number;
}

/**
 * What a contact tells of the studio's clock. The answer was written some time between asking and hearing, so the offset
 * lies in an interval as long as that took; where it meets what was known, both hold; where it does not, a clock was set.
 * The same reasoning as in the network time protocol (RFC 5905, clock filter).
 */
export function offsetAfter(known: ClockOffset | null, contact: Contact): ClockOffset {
  const { sentAtMs, receivedAtMs, studioAtMs } = contact;
  const heard = between(studioAtMs - receivedAtMs, studioAtMs - sentAtMs);
  if (known === null) return heard;
  const low = Math.max(lowest(known), lowest(heard));
  const high = Math.min(highest(known), highest(heard));
  return low <= high ? between(low, high) : heard;
}

const lowest = ({ offsetMs, withinMs }: ClockOffset): number => offsetMs - withinMs;
const highest = ({ offsetMs, withinMs }: ClockOffset): number => offsetMs + withinMs;
const between = (low: number, high: number): ClockOffset => ({
  offsetMs: (low + high) / 2,
  withinMs: Math.abs(high - low) / 2,
});
