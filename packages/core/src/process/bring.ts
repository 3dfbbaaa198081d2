import type { ActOf } from './act';
import type { Draft } from './draft';
import { CannotBe } from './impossible';
import { joined } from './liquid';
import { emptyLiquid, emptyVessel, type Acids, type Liquid } from './state';
import { substanceOf } from './substance';

/** Goods, a vessel, or the liquid of another batch come in. */
export function bring(draft: Draft, { thing, line, pass }: ActOf<'bring'>, id: string): void {
  const { roomC } = draft.surroundings;
  switch (thing.kind) {
    case 'goods': {
      const piece = line ?? id;
      if (draft.pieces.has(piece)) throw new CannotBe({ code: 'brought twice', thing: piece });
      draft.pieces.set(piece, {
        line: piece,
        name: thing.name,
        count: thing.count,
        grams: thing.grams,
        dyeableShare: thing.dyeableShare,
        holdsMeq: thing.holdsMeq,
        boundMeq: 0,
        catchUp: thing.catchUp,
        from: thing.from,
        at: [],
        lies: null,
        held: emptyLiquid(roomC),
        iceGrams: 0,
      });
      return;
    }
    case 'vessel': {
      if (draft.vessels.has(thing.vessel)) throw new CannotBe({ code: 'brought twice', thing: thing.vessel });
      draft.vessels.set(thing.vessel, emptyVessel(thing.role, thing.name, thing.capacityMl, roomC));
      return;
    }
    case 'liquid': {
      const vessel = draft.vessel(thing.vessel);
      const liquid: Liquid = {
        ml: thing.ml,
        celsius: thing.celsius ?? roomC,
        alkalinityMeq: thing.alkalinityMeq,
        takenMeq: thing.takenMeq,
        acids: thing.acids.reduce<Acids>((sum, { acid, pureGrams }) => {
          const substance = substanceOf(acid);
          return { ...sum, [substance]: (sum[substance] ?? 0) + pureGrams };
        }, {}),
        parcels: thing.dyes.map(({ dyeId, standardGrams, act }) => ({
          dyeId,
          standardGrams,
          act,
          pass,
          since: vessel.exposure,
          left: true,
        })),
      };
      draft.setLiquid(thing.vessel, joined(vessel.liquid, liquid));
      return;
    }
  }
}
