import type { Act, ActKind, ActOf } from './act';
import { minutesOf } from './amountOf';
import { bring } from './bring';
import { withVessels } from './change';
import { ordered } from './enter';
import { CannotBe, type Impossible } from './impossible';
import { dry, handle, lift, place, rinse, split, wring } from './lay';
import { move, put, run } from './pour';
import type { ListedAct, State } from './state';
import { cool, heat, hold, look, stand } from './time';
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

/** Vessels an act is done in, and those its goods lie in when it begins. */
function vesselsOf(state: State, act: Act): Set<string> {
  const ends = [
    'vessel' in act ? act.vessel : null,
    ...(act.kind === 'put' ? [act.into] : act.kind === 'move' ? [act.from, act.to] : []).map((end) =>
      end && 'vessel' in end ? end.vessel : null,
    ),
  ];
  const named = ends.filter((id) => id !== null);
  return new Set('goods' in act || named.length === 0 ? [...named, ...whereLies(state, act)] : named);
}

/** Where the goods of an act lie; those of every piece when it names none. */
function whereLies(state: State, act: Act): string[] {
  if (act.kind === 'bring') return [];
  return piecesOr(state, 'goods' in act ? act.goods : [], everything).flatMap(([, { at }]) =>
    at.map(({ vessel }) => vessel),
  );
}

/** An act begins when its vessels, its goods and the dyer are free; a wait keeps the vessel, not the dyer. */
function timed(before: State, after: State, act: Act): State {
  const ids = vesselsOf(before, act);
  const begins = [...ids].reduce(
    (latest, id) => Math.max(latest, before.vessels.get(id)?.clock ?? 0),
    before.handsFree,
  );
  const ends = begins + (minutesOf(act) ?? 0);
  const changed = [...ids].flatMap((id) => {
    const vessel = after.vessels.get(id);
    return vessel && vessel.clock !== ends ? [[id, { ...vessel, clock: ends }] as const] : [];
  });
  if (changed.length === 0 && begins === after.handsFree) return after;
  return { ...withVessels(after, changed), handsFree: begins };
}
