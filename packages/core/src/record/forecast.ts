import { minutesOf } from '../process/amountOf';
import type { RecordState } from './recordState';

/** Minutes that a step takes whose time nobody plans (common practice, no source). */
const HANDS_MINUTES = 2;

/** When steps are likely to have their turn. An estimate. */
export interface Forecast {
  /** Of each step that is still to come, ISO 8601 by the id of its line. */
  at: ReadonlyMap<string, string>;
  /** When the last of them is done, ISO 8601; null once it is. */
  done: string | null;
}

/**
 * When each step that is still to come is likely to have its turn, if everything before it takes what was planned and
 * hands take two minutes a step.
 * @param now milliseconds since 1970
 */
export function forecast({ lines, current, dueAt }: RecordState, now: number): Forecast {
  const at = new Map<string, string>();
  let free = now;
  for (const { line, status } of lines) {
    if (status === 'done') continue;
    at.set(line.id, new Date(free).toISOString());
    const runs = line.id === current?.line.id && dueAt !== null;
    free = runs ? Math.max(now, Date.parse(dueAt)) : free + (minutesOf(line.act) ?? HANDS_MINUTES) * 60_000;
  }
  return { at, done: at.size === 0 ? null : new Date(free).toISOString() };
}
