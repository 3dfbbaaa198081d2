import { vesselWith } from './change';
import type { Draft } from './draft';
import { give } from './give';

/** A pass that was not named beforehand comes after the others, in the order of their acts. */
export function ordered(draft: Draft, pass: string | null): void {
  if (pass !== null && !draft.passes.includes(pass)) draft.passes = [...draft.passes, pass];
}

/**
 * An act of a pass begins in a vessel: when it is the first of a later pass there, what earlier passes left waiting is
 * given to the goods that were in it. @throws CannotBe
 */
export function entered(draft: Draft, vesselId: string, pass: string | null): void {
  const index = pass === null ? -1 : draft.passes.indexOf(pass);
  if (index <= draft.vessel(vesselId).pass) return;
  give(draft, vesselId, (parcel) => parcel.pass === null || draft.passes.indexOf(parcel.pass) < index);
  draft.vessels.set(vesselId, vesselWith(draft.vessel(vesselId), { pass: index }));
}
