import type { Act, ActKind, ActOf } from './act';
import { minutesOf } from './amountOf';
import { bring } from './bring';
import { stateWith, vesselWith, withVessels } from './change';
import { ordered } from './enter';
import { CannotBe, type Impossible } from './impossible';
import { dry, handle, lift, place, rinse, split, wring } from './lay';
import { move, put, run } from './pour';
import type { ListedAct, State, Vessel } from './state';
import { cool, heat, hold, look, stand } from './time';
import { vesselsNamed } from './vesselsNamed';
import { everything, piecesOr } from './whichGoods';

/** What each kind of act does. A kind that is missing here does not compile. */
const DOES: { [K in ActKind]: (state: State, act: ActOf<K>, id: string) => State } = {
  bring,
  run,
  put,
  move,
  place,
  split,
  lift,
  handle,
  heat,
  hold,
  stand,
  cool,
  look,
  rinse,
  wring,
  dry,
};

/** What an act came to: the state after it, or why it cannot be, and then nothing has changed. */
export interface Applied {
  state: State;
  impossible: Impossible | null;
}

/** Does one act. Pure; the state given stays as it was. */
export function apply(state: State, { id, act }: ListedAct): Applied {
  try {
    const before = ordered(state, act.pass);
    const does = DOES[act.kind] as (state: State, act: Act, id: string) => State;
    return { state: timed(before, does(before, act, id), act), impossible: null };
  } catch (error) {
    if (error instanceof CannotBe) return { state, impossible: error.why };
    throw error;
  }
}

/** Vessels an act is done in, and those its goods lie in when it begins; each once. */
function vesselsOf(state: State, act: Act): string[] {
  const ids = vesselsNamed(act);
  if (act.kind !== 'bring' && ('goods' in act || ids.length === 0))
    for (const [, { at }] of piecesOr(state, 'goods' in act ? act.goods : [], everything))
      for (const { vessel } of at) if (!ids.includes(vessel)) ids.push(vessel);
  return ids;
}

/** An act begins when its vessels, its goods and the dyer are free; a wait keeps the vessel, not the dyer. */
function timed(before: State, after: State, act: Act): State {
  const ids = vesselsOf(before, act);
  let begins = before.handsFree;
  for (const id of ids) begins = Math.max(begins, before.vessels.get(id)?.clock ?? 0);
  const ends = begins + (minutesOf(act) ?? 0);
  const changed: [string, Vessel][] = [];
  for (const id of ids) {
    const vessel = after.vessels.get(id);
    if (vessel && vessel.clock !== ends) changed.push([id, vesselWith(vessel, { clock: ends })]);
  }
  const timedAll = changed.length === 0 ? after : withVessels(after, changed);
  return begins === timedAll.handsFree ? timedAll : stateWith(timedAll, { handsFree: begins });
}
