import { CannotBe } from './impossible';
import { give } from './give';
import { stateWith, vesselWith, withVessels } from './change';
import type { State, Vessel } from './state';

/** A vessel by its id. @throws CannotBe */
export function vesselNamed({ vessels }: State, id: string): Vessel {
  const vessel = vessels.get(id);
  if (!vessel) throw new CannotBe({ code: 'no such vessel', vessel: id });
  return vessel;
}

/** A pass’s place in the order, 0 first; passes that were not named beforehand come in the order of their acts. */
export function ordered(state: State, pass: string | null): State {
  return pass === null || state.passes.includes(pass)
    ? state
    : stateWith(state, { passes: [...state.passes, pass] });
}

/**
 * An act of a pass begins in a vessel: when it is the first of a later pass there, what earlier passes left waiting is
 * given to the goods that were in it.
 */
export function entered(state: State, vesselId: string, pass: string | null): State {
  const index = pass === null ? -1 : state.passes.indexOf(pass);
  const vessel = vesselNamed(state, vesselId);
  if (index <= vessel.pass) return state;
  const ended = give(
    state,
    vesselId,
    (parcel) => parcel.pass === null || state.passes.indexOf(parcel.pass) < index,
  );
  return withVessels(ended, [[vesselId, vesselWith(vesselNamed(ended, vesselId), { pass: index })]]);
}
