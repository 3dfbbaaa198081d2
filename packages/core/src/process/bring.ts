import type { ActOf } from './act';
import { withLiquid, withPieces, withVessels } from './change';
import { vesselNamed } from './enter';
import { CannotBe } from './impossible';
import { joined } from './liquid';
import { emptyLiquid, emptyVessel, type Acids, type Liquid, type State } from './state';
import { substanceOf } from './substance';

/** Goods, a vessel, or the liquid of another batch come in. */
export function bring(state: State, { thing, line, pass }: ActOf<'bring'>, id: string): State {
  const { roomC } = state.surroundings;
  switch (thing.kind) {
    case 'goods': {
      const piece = line ?? id;
      if (state.pieces.has(piece)) throw new CannotBe({ code: 'brought twice', thing: piece });
      return withPieces(state, [
        [
          piece,
          {
            line: piece,
            name: thing.name,
            count: thing.count,
            grams: thing.grams,
            dyeableShare: thing.dyeableShare,
            catchUp: thing.catchUp,
            from: thing.from,
            at: [],
            lies: null,
            held: emptyLiquid(roomC),
            iceGrams: 0,
          },
        ],
      ]);
    }
    case 'vessel': {
      if (state.vessels.has(thing.vessel)) throw new CannotBe({ code: 'brought twice', thing: thing.vessel });
      return withVessels(state, [
        [thing.vessel, emptyVessel(thing.role, thing.name, thing.capacityMl, roomC)],
      ]);
    }
    case 'liquid': {
      const vessel = vesselNamed(state, thing.vessel);
      const liquid: Liquid = {
        ml: thing.ml,
        celsius: thing.celsius ?? roomC,
        alkalinityMeq: 0,
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
      return withLiquid(state, thing.vessel, joined(vessel.liquid, liquid));
    }
  }
}
