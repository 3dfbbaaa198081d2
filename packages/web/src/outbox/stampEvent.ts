import { EVENT_VERSION, type Event, type NewEvent } from '@ythrion/core';
import { newId } from '../parts/newId';

const DEVICE = 'ythrion.device';
const COUNT = 'ythrion.count';

/** This device's own id, made once and kept by the browser. */
function deviceId(): string {
  const known = localStorage.getItem(DEVICE);
  if (known) return known;
  const made = newId();
  localStorage.setItem(DEVICE, made);
  return made;
}

function nextCount(): number {
  const next = Number(localStorage.getItem(COUNT) ?? '0') + 1;
  localStorage.setItem(COUNT, String(next));
  return next;
}

/** A new event of a batch with when and on which device it was made. @param at the instant it counts by; now */
export function stampEvent(batchId: string, event: NewEvent, at?: string): Event {
  const now = new Date().toISOString();
  return {
    version: EVENT_VERSION,
    id: newId(),
    of: { kind: 'batch', id: batchId },
    at: at ?? now,
    clockAt: now,
    device: deviceId(),
    count: nextCount(),
    person: null,
    ...event,
  };
}
