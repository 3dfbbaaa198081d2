import { offsetAfter, type ClockOffset, type Contact } from '@ythrion/core';

const KEPT = 'ythrion.clock';

let known: ClockOffset | null = kept();

function kept(): ClockOffset | null {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? 'null') as ClockOffset | null;
  } catch {
    return null;
  }
}

/** Takes in what an answer said of the studio's clock; it is kept for when there is no network. */
export function noteContact(contact: Contact): void {
  if (!Number.isFinite(contact.studioAtMs)) return;
  known = offsetAfter(known, contact);
  localStorage.setItem(KEPT, JSON.stringify(known));
}

/** The studio's clock, ms since 1970: this device's own, put right by what it last heard. */
export const studioNowMs = (): number => Date.now() + Math.round(known?.offsetMs ?? 0);

/** The same as an instant, ISO 8601. */
export const studioNow = (): string => new Date(studioNowMs()).toISOString();
