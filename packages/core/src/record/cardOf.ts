import { keepsBath } from '../method';
import type { Line } from '../method/line';
import type { Card, CardAct } from './card';
import { CARD_VERSION } from './cardVersion';
import type { Formulation } from '../recipe/recipe';
import type { Plan } from '../plan/planTypes';

/** The card of a batch that begins: the acts of its plan, and what each of its passes was planned as. */
export function cardOf({ recipe }: Formulation, plan: Plan): Card {
  return {
    version: CARD_VERSION,
    remembered: false,
    acts: plan.lines.map(lineOnCard),
    passes: plan.passes.map((planned, i) => {
      const pass = recipe.passes[i];
      return {
        id: planned.id,
        kind: planned.kind,
        goodsGrams: planned.goods.value,
        bathMl: planned.bath.value,
        keepsBath: pass ? keepsBath(pass) : false,
        takesOverMl: planned.takenOver?.value ?? 0,
        acidsBefore: planned.acidsBefore.map(({ material, pureGrams }) => ({ material, pureGrams })),
        phWindow: [planned.phWindow[0], planned.phWindow[1]],
      };
    }),
  };
}

/** A line of a plan as the card keeps it. */
export function lineOnCard(line: Line): CardAct {
  const { id, act, quiet, tool, madeUp, askedGrams, estimated, dose, cautions } = line;
  return { id, act, quiet, tool, madeUp, askedGrams, estimated, dose, cautions };
}
