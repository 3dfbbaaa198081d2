import { figure, type Figure } from '../figure/figure';
import { riseFigure } from '../heat/planHeat';
import type { Line } from '../method/line';
import type { State } from '../process/state';
import type { Formulation } from '../recipe/recipe';
import { around, piecesAt } from './liquids';
import { potAt } from './ownVessel';

/** What is to be heated in a vessel: its liquid, what the goods hold, the goods themselves, and how warm they are. */
export interface VesselHeat {
  waterMl: number;
  fiberGrams: number;
  celsius: number;
}

/** What stands in a vessel to be heated. */
export function vesselHeat(state: State, vessel: string): VesselHeat {
  const goods = piecesAt(state, vessel);
  const liquid = state.vessels.get(vessel)?.liquid;
  const held = goods.find((piece) => piece.held.ml > 0)?.held;
  return {
    waterMl: around(state, vessel).ml,
    fiberGrams: goods.reduce((sum, piece) => sum + piece.grams, 0),
    celsius: (liquid && liquid.ml > 0 ? liquid : (held ?? liquid))?.celsius ?? state.surroundings.roomC,
  };
}

/** Time that the pot takes to bring a vessel’s contents to a temperature. */
export function riseOf(
  formulation: Pick<Formulation, 'pot' | 'passPots' | 'place'>,
  state: State,
  vessel: string,
  toC: number,
  rampCPerMin: number,
): Figure {
  const { waterMl, fiberGrams, celsius } = vesselHeat(state, vessel);
  const pot = potAt(formulation, vessel);
  return riseFigure({ waterMl, fiberGrams, pot, roomC: formulation.place.roomC }, celsius, toC, rampCPerMin);
}

/** The rises among some acts as one. */
export function risesTogether(lines: readonly Pick<Line, 'act' | 'because'>[]): Figure {
  const rises: Figure[] = [];
  for (const { act, because } of lines) if (act.kind === 'heat' && because) rises.push(because);
  const [first] = rises;
  if (!first) return figure(0, 'min', 'as hot already', 'estimate', 'common practice, no source');
  if (rises.length === 1) return first;
  return figure(
    rises.reduce((sum, { value }) => sum + value, 0),
    first.unit,
    () => rises.map(({ because }) => because).join(', then '),
    first.sureness,
    first.source,
  );
}
