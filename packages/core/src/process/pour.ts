import { pureAcidGrams } from '../acid/acidDose';
import { alkalinityMolar } from '../acid/expectedPh';
import type { ActOf, End } from './act';
import { liquidWith, withDrained } from './change';
import { entered, vesselNamed } from './enter';
import { joined } from './liquid';
import type { Material } from './material';
import { EVERYWHERE } from './place';
import { iceOnto, intoVessel, ontoPlace } from './receive';
import { emptyLiquid, NO_CONTACT, plainLiquid, type Liquid, type State } from './state';
import { substanceOf } from './substance';
import { fromPlace, fromVessel } from './take';

/** Water from the tap or the kettle. */
const water = (ml: number, celsius: number, { surroundings }: State): Liquid =>
  liquidWith(emptyLiquid(celsius), {
    ml,
    alkalinityMeq: ml * alkalinityMolar(surroundings.alkalinityMgPerL),
  });

/** Tap water. @param ml mL, >= 0 */
export const tapWater = (ml: number, state: State): Liquid => water(ml, state.surroundings.tapC, state);

export function run(state: State, { vessel, ml, celsius, pass }: ActOf<'run'>): State {
  const before = entered(state, vessel, pass);
  return ml === null
    ? before
    : intoVessel(before, vessel, water(ml, celsius ?? state.surroundings.tapC, state));
}

/** Ice that was heaped over goods belongs to the goods under it, and so does what is strewn on it. */
function landing(state: State, end: End): End {
  return 'vessel' in end && vesselNamed(state, end.vessel).role === 'melting ice'
    ? { place: EVERYWHERE }
    : end;
}

export function put(state: State, { material, amount, unit, into, pass }: ActOf<'put'>, id: string): State {
  const end = landing(state, into);
  const before = 'vessel' in end ? entered(state, end.vessel, pass) : state;
  if (amount === null) return before;
  if (material.kind === 'ice')
    return 'place' in end
      ? iceOnto(before, end.place, amount)
      : intoVessel(before, end.vessel, plainLiquid(amount, 0));
  const liquid = liquidOf(before, material, amount, unit, id, pass);
  return 'place' in end ? ontoPlace(before, end.place, liquid) : intoVessel(before, end.vessel, liquid);
}

/** A measured material as liquid: volume for what is poured, none for powder and crystals. Stock is made with tap water. */
function liquidOf(
  state: State,
  material: Exclude<Material, { kind: 'ice' }>,
  amount: number,
  unit: 'mL' | 'g',
  act: string,
  pass: string | null,
): Liquid {
  const room = state.surroundings.roomC;
  const plain = plainLiquid(unit === 'mL' ? amount : 0, room);
  switch (material.kind) {
    case 'wetting agent':
      return plain;
    case 'acid':
      return liquidWith(plain, {
        acids: { [substanceOf(material.acid)]: pureAcidGrams(amount, material.strengthPercent) },
      });
    case 'dye': {
      const grams = unit === 'g' ? amount : (amount * (material.strengthPercent ?? 0)) / 100;
      return liquidWith(unit === 'mL' ? water(amount, room, state) : plain, {
        parcels: [
          {
            dyeId: material.dyeId,
            standardGrams: grams * material.lotStrength,
            act,
            pass,
            since: NO_CONTACT,
            left: false,
          },
        ],
      });
    }
  }
}

/** Liquid from a vessel or a place to another, or down the drain. */
export function move(state: State, { from, to, ml, share, pass }: ActOf<'move'>): State {
  let before = 'vessel' in from ? entered(state, from.vessel, pass) : state;
  const end = to === null ? null : landing(state, to);
  if (end !== null && 'vessel' in end) before = entered(before, end.vessel, pass);
  const much = ml === null ? { share: share ?? 1 } : { ml };
  const taken =
    'vessel' in from ? fromVessel(before, from.vessel, much) : fromPlace(before, from.place, pass, much);
  if (end === null) return withDrained(taken.state, joined(taken.state.drained, taken.liquid));
  return 'place' in end
    ? ontoPlace(taken.state, end.place, taken.liquid)
    : intoVessel(taken.state, end.vessel, taken.liquid);
}
