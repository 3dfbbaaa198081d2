import { pureAcidGrams } from '../acid/acidDose';
import { alkalinityMolar } from '../acid/expectedPh';
import type { ActOf, End } from './act';
import { liquidWith } from './change';
import type { Draft } from './draft';
import { entered } from './enter';
import { joined } from './liquid';
import type { Material } from './material';
import { EVERYWHERE } from './everywhere';
import { iceOnto, intoVessel, ontoPlace } from './receive';
import { emptyLiquid, NO_CONTACT, plainLiquid, type Liquid, type There } from './state';
import { substanceOf } from './substance';
import { takeFromPlace, takeFromVessel } from './take';

/** Water from the tap or the kettle. */
const water = (ml: number, celsius: number, { surroundings }: There): Liquid =>
  liquidWith(emptyLiquid(celsius), {
    ml,
    alkalinityMeq: ml * alkalinityMolar(surroundings.alkalinityMgPerL),
  });

/** Tap water. @param ml mL, >= 0 */
export const tapWater = (ml: number, there: There): Liquid => water(ml, there.surroundings.tapC, there);

export function run(draft: Draft, { vessel, ml, celsius, pass }: ActOf<'run'>): void {
  entered(draft, vessel, pass);
  if (ml !== null) intoVessel(draft, vessel, water(ml, celsius ?? draft.surroundings.tapC, draft));
}

/** Ice that was heaped over goods belongs to the goods under it, and so does what is strewn on it. */
const landing = (draft: Draft, end: End): End =>
  'vessel' in end && draft.vessel(end.vessel).role === 'melting ice' ? { place: EVERYWHERE } : end;

function pourInto(draft: Draft, end: End, liquid: Liquid): void {
  if ('place' in end) ontoPlace(draft, end.place, liquid);
  else intoVessel(draft, end.vessel, liquid);
}

export function put(draft: Draft, { material, amount, unit, into, pass }: ActOf<'put'>, id: string): void {
  const end = landing(draft, into);
  if ('vessel' in end) entered(draft, end.vessel, pass);
  if (amount === null) return;
  if (material.kind !== 'ice') pourInto(draft, end, liquidOf(draft, material, amount, unit, id, pass));
  else if ('place' in end) iceOnto(draft, end.place, amount);
  else intoVessel(draft, end.vessel, plainLiquid(amount, 0));
}

/** A measured material as liquid: volume for what is poured, none for powder and crystals. Stock is made with tap water. */
function liquidOf(
  there: There,
  material: Exclude<Material, { kind: 'ice' }>,
  amount: number,
  unit: 'mL' | 'g',
  act: string,
  pass: string | null,
): Liquid {
  const room = there.surroundings.roomC;
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
      return liquidWith(unit === 'mL' ? water(amount, room, there) : plain, {
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
export function move(draft: Draft, { from, to, ml, share, pass }: ActOf<'move'>): void {
  if ('vessel' in from) entered(draft, from.vessel, pass);
  const end = to === null ? null : landing(draft, to);
  if (end !== null && 'vessel' in end) entered(draft, end.vessel, pass);
  const much = ml === null ? { share: share ?? 1 } : { ml };
  const taken =
    'vessel' in from
      ? takeFromVessel(draft, from.vessel, much)
      : takeFromPlace(draft, from.place, pass, much);
  if (end === null) draft.drained = joined(draft.drained, taken);
  else pourInto(draft, end, taken);
}
