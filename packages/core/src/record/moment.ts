import type { Act } from '../process/act';
import { apply } from '../process/apply';
import { immersed, minutesSince } from '../process/exposure';
import type { State } from '../process/state';

/** Nothing lies in a bath for no time at all: minutes that it was there at least. */
export const A_MOMENT = 1 / 60;

/** Minutes in a vessel. @param leaves share of its dye that stays in the liquid; null: nothing said */
export const standing = (vessel: string, minutes: number, leaves: number | null): Act => ({
  kind: 'stand',
  pass: null,
  line: null,
  purpose: null,
  vessel,
  minutes,
  leaves,
});

/** Whether goods may leave a liquid by an act. */
export const takesOut = ({ kind }: Act): boolean =>
  kind === 'lift' || kind === 'place' || kind === 'rinse' || kind === 'wring' || kind === 'dry';

/** A state in which goods have lain for a moment with dye that they would leave without anybody having counted. */
export function afterAMoment(state: State): State {
  let after = state;
  for (const [vessel, { liquid, exposure }] of state.vessels.entries()) {
    const isNew = liquid.parcels.some(({ since }) =>
      minutesSince(exposure, since).every((minutes) => minutes === 0),
    );
    const lies = state.pieces
      .values()
      .some(({ at }) => at.some((there) => there.vessel === vessel && immersed(there) !== null));
    if (isNew && lies) after = apply(after, { id: 'moment', act: standing(vessel, A_MOMENT, null) }).state;
  }
  return after;
}
