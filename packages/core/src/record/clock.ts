import { formatAmount } from '../units/formatQuantity';
import { minutesOf } from '../process/amountOf';
import type { LineState, RecordState } from './recordState';

/** The time that matters at a pot, in words. */
export interface PotClock {
  /** True when the dyer should come now. */
  due: boolean;
  text: string;
}

const minutesBetween = (from: string, now: number): number => Math.max(0, (now - Date.parse(from)) / 60_000);
const A_DAY = 24 * 60;

/** A stretch of time as a dyer says it; days and hours from a day on. */
function span(minutes: number): string {
  if (minutes < 1) return 'under 1 min';
  if (minutes < A_DAY) return formatAmount(Math.floor(minutes), 'min');
  const days = Math.floor(minutes / A_DAY);
  const hours = Math.floor((minutes % A_DAY) / 60);
  return `${days} ${days === 1 ? 'day' : 'days'}${hours > 0 ? ` ${hours} h` : ''}`;
}

/** What is left of a wait, to the nearest minute: one of 30 min that has just begun shows 30, whatever the clocks are apart. */
const leftOf = (milliseconds: number): string => span(Math.max(1, Math.round(milliseconds / 60_000)));

/**
 * What a pot's clock says: minutes left of a running wait, that it is over, or since when the pot stands ready.
 * @param now milliseconds since 1970
 */
export function potClock(state: RecordState, now: number): PotClock {
  if (state.lines.length === 0)
    return { due: false, text: `${span(minutesBetween(state.since, now))} since the last entry` };
  if (state.current === null)
    return { due: false, text: `all done ${span(minutesBetween(state.since, now))} ago` };
  if (state.dueAt === null)
    return { due: false, text: `ready, ${span(minutesBetween(state.since, now))} since the last step` };
  const left = Date.parse(state.dueAt) - now;
  return left > 0
    ? { due: false, text: `${leftOf(left)} left` }
    : { due: true, text: `over by ${span(-left / 60_000)}` };
}

// Made once: to make one takes longer on a phone than all else that a line of a card needs.
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** Hours and minutes of the day in the reader's own time zone, `14:20`. */
export const clockTime = (iso: string): string => CLOCK.format(new Date(iso));

/** Day of an instant in the reader's own time zone, `1 Mar 2026`. */
export const dayOf = (iso: string): string => DAY.format(new Date(iso));

/** The time of an instant, with its day where that is not today. @param now milliseconds since 1970 */
export function momentWords(iso: string, now: number): string {
  const day = dayOf(iso);
  const today = dayOf(new Date(now).toISOString());
  return day === today ? clockTime(iso) : `${clockTime(iso)} on ${day}`;
}

/** When a begun step's wait is over, and what is left of it in words; `left` is null once it is due. */
export function dueAtOf(line: LineState, now: number): { at: string; left: string | null } | null {
  const minutes = minutesOf(line.line.act);
  if (line.begunAt === null || minutes === null) return null;
  const over = Date.parse(line.begunAt) + minutes * 60_000;
  return {
    at: new Date(over).toISOString(),
    left: over > now ? leftOf(over - now) : null,
  };
}

/** Minutes that have passed since then; null when nobody had begun. @param now milliseconds since 1970 */
export const minutesSince = (from: string | null, now: number): number | null =>
  from === null ? null : minutesBetween(from, now);
