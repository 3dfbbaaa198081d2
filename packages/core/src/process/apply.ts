import type { Act, ActKind, ActOf } from './act';
import { minutesOf } from './amountOf';
import { bring } from './bring';
import { vesselWith } from './change';
import { Draft } from './draft';
import { ordered } from './enter';
import { CannotBe, type Impossible } from './impossible';
import { dry, handle, lift, place, rinse, split, wring } from './lay';
import { move, put, run } from './pour';
import type { ListedAct, State } from './state';
import { cool, heat, hold, look, stand } from './time';
import { vesselsNamed } from './vesselsNamed';
import { everything, piecesOr } from './whichGoods';

/** What each kind of act does. A kind that is missing here does not compile. */
const DOES: { [K in ActKind]: (draft: Draft, act: ActOf<K>, id: string) => void } = {
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
    const draft = new Draft(state);
    ordered(draft, act.pass);
    const ids = vesselsOf(draft, act);
    const does = DOES[act.kind] as (draft: Draft, act: Act, id: string) => void;
    does(draft, act, id);
    takeTime(draft, ids, act);
    return { state: draft.done(), impossible: null };
  } catch (error) {
    if (error instanceof CannotBe) return { state, impossible: error.why };
    throw error;
  }
}

/** Vessels an act is done in, and those its goods lie in when it begins; each once. */
function vesselsOf(draft: Draft, act: Act): string[] {
  const ids = vesselsNamed(act);
  if (act.kind !== 'bring' && ('goods' in act || ids.length === 0))
    for (const [, { at }] of piecesOr(draft, 'goods' in act ? act.goods : [], everything))
      for (const { vessel } of at) if (!ids.includes(vessel)) ids.push(vessel);
  return ids;
}

/** An act begins when its vessels, its goods and the dyer are free; a wait keeps the vessel, not the dyer. */
function takeTime(draft: Draft, ids: readonly string[], act: Act): void {
  let begins = draft.handsFree;
  for (const id of ids) begins = Math.max(begins, draft.vessels.get(id)?.clock ?? 0);
  const ends = begins + (minutesOf(act) ?? 0);
  for (const id of ids) {
    const vessel = draft.vessels.get(id);
    if (vessel && vessel.clock !== ends) draft.vessels.set(id, vesselWith(vessel, { clock: ends }));
  }
  draft.handsFree = begins;
}
