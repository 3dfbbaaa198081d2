import type { Act } from '../src/process/act';
import { gotBy } from '../src/process/received';
import type { Liquid, State } from '../src/process/state';

/** All there is of each thing, wherever it is. */
export function totals(state: State): Record<string, number> {
  const sums: Record<string, number> = { water: state.driedMl, goods: 0, alkalinity: 0 };
  const add = (what: string, much: number): void => void (sums[what] = (sums[what] ?? 0) + much);
  const pour = (liquid: Liquid): void => {
    add('water', liquid.ml);
    add('alkalinity', liquid.alkalinityMeq);
    // What fiber took out of liquids is what it carries: nothing in all.
    add('taken by fiber', liquid.takenMeq);
    for (const [name, grams] of Object.entries(liquid.acids)) add(name, grams);
    for (const { dyeId, standardGrams } of liquid.parcels) add(dyeId, standardGrams);
  };
  for (const { liquid } of state.vessels.values()) pour(liquid);
  for (const [id, piece] of state.pieces) {
    pour(piece.held);
    add('goods', piece.grams);
    add('taken by fiber', -piece.boundMeq);
    add('fiber', piece.holdsMeq);
    add('water', piece.iceGrams);
    for (const { dyeId, standardGrams } of gotBy(state, id)) add(dyeId, standardGrams);
  }
  pour(state.drained);
  return sums;
}

/** What an act brings from outside, told from the act alone. @param alkalinityMgPerL of the tap */
export function comesIn(act: Act, before: State, alkalinityMgPerL: number): Record<string, number> {
  // 50.04 mg of calcium carbonate carry a milliequivalent (ISO 9963-1, from memory).
  const tap = (ml: number) => ({ water: ml, alkalinity: ((ml / 1000) * alkalinityMgPerL) / 50.04 });
  switch (act.kind) {
    case 'bring':
      return act.thing.kind === 'goods' ? { goods: act.thing.grams, fiber: act.thing.holdsMeq } : {};
    case 'run':
      return tap(act.ml ?? 0);
    case 'put': {
      const { material, amount, unit } = act;
      const much = amount ?? 0;
      if (material.kind === 'ice') return { water: much };
      const liquid = unit === 'mL' ? much : 0;
      if (material.kind === 'acid')
        return {
          water: liquid,
          [material.acid === 'vinegar' ? 'acetic' : 'citric']: (much * material.strengthPercent) / 100,
        };
      if (material.kind === 'wetting agent') return { water: liquid };
      const grams = unit === 'g' ? much : (much * (material.strengthPercent ?? 0)) / 100;
      return { ...tap(liquid), [material.dyeId]: grams * material.lotStrength };
    }
    case 'rinse': {
      const rinsed = [...before.pieces.values()].filter(
        ({ line }) => act.goods.length === 0 || act.goods.includes(line),
      );
      return tap(1.2 * rinsed.reduce((sum, { grams }) => sum + grams, 0));
    }
    default:
      return {};
  }
}
