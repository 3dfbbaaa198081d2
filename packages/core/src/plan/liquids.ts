import { MG_CACO3_PER_MEQ, type AcidsInBath } from '../acid/expectedPh';
import { acidsTogether, bottled } from '../process/liquid';
import type { AcidSubstance, Acids, Liquid, Piece, State, Vessel } from '../process/state';
import type { StudioWater } from '../shelf/water';

/** What decides the pH of a liquid, and how much of it there is. */
export interface Bath {
  ml: number;
  alkalinityMeq: number;
  /** Acid that fiber took out of it, less what fiber brings into it, meq. */
  takenMeq: number;
  acids: Acids;
}

export const NO_BATH: Bath = { ml: 0, alkalinityMeq: 0, takenMeq: 0, acids: {} };

/** Two of them together. @param times how often the second one counts; −1 takes it away */
export function together(one: Bath, other: Bath, times = 1): Bath {
  return {
    ml: one.ml + times * other.ml,
    alkalinityMeq: one.alkalinityMeq + times * other.alkalinityMeq,
    takenMeq: one.takenMeq + times * other.takenMeq,
    acids: acidsTogether(one.acids, other.acids, times),
  };
}

/** Vessels whose liquid has not come to the dyeing yet. */
const BESIDE: readonly Vessel['role'][] = ['working dilution', 'soak', 'jar'];

/** What an act brought to the goods and their vessels: the difference of all liquids around it. */
export function brought(before: State, after: State): Bath {
  let sum = NO_BATH;
  const [vessels, were] = [after.vessels.values(), before.vessels.values()];
  // Vessels and pieces keep their place in the order: what came in stands behind what was there.
  if (vessels !== were)
    for (let i = 0; i < vessels.length; i += 1) {
      const [vessel, was] = [vessels[i], were[i]];
      if (vessel && vessel.liquid !== was?.liquid && !BESIDE.includes(vessel.role))
        sum = differing(sum, vessel.liquid, was?.liquid);
    }
  const [pieces, lay] = [after.pieces.values(), before.pieces.values()];
  if (pieces !== lay)
    for (let i = 0; i < pieces.length; i += 1) {
      const [piece, was] = [pieces[i], lay[i]];
      if (piece && piece.held !== was?.held) sum = differing(sum, piece.held, was?.held);
    }
  return sum;
}

const differing = (sum: Bath, now: Liquid, was: Liquid | undefined): Bath =>
  was ? together(together(sum, now), was, -1) : together(sum, now);

/** Pieces that lie in a vessel or above its liquid. */
export const piecesAt = ({ pieces }: State, vessel: string): Piece[] =>
  pieces.values().filter(({ at }) => at.some((there) => there.vessel === vessel));

/** The liquid of a vessel with what the goods above it hold, and what acid their fiber carries. */
export function around(state: State, vessel: string): Bath {
  const there = state.vessels.get(vessel);
  return piecesAt(state, vessel).reduce(
    (sum, { held, boundMeq }) => {
      const more = together(sum, held);
      return { ...more, takenMeq: more.takenMeq - boundMeq };
    },
    there ? together(NO_BATH, there.liquid) : NO_BATH,
  );
}

/** Acid that the fiber of all goods carries, meq; spare goods are not in it yet. */
export const boundMeqOf = ({ pieces }: State): number =>
  pieces.values().reduce((sum, { boundMeq, catchUp }) => (catchUp ? sum : sum + boundMeq), 0);

/** All pure acid in a bath, g. */
export function acidGrams({ acids }: Bath): number {
  let sum = 0;
  for (const name of Object.keys(acids) as AcidSubstance[]) sum += acids[name] ?? 0;
  return sum;
}

/** Its acids as the bottles they may come from. */
export const acidsIn = ({ acids }: Bath): AcidsInBath => bottled(acids);

/** Its liters; never none, so that a bath of nothing has figures. */
export const litersOf = ({ ml }: Bath): number => Math.max(1, ml) / 1000;

/** The water of the studio as it is in this bath: acid from a bottle brings no alkalinity. */
export const waterOf = ({ ml, alkalinityMeq }: Bath, water: StudioWater): StudioWater =>
  ml > 0
    ? {
        alkalinityMgPerL: Math.max(0, (1000 * MG_CACO3_PER_MEQ * alkalinityMeq) / ml),
        countFiberUptake: water.countFiberUptake,
      }
    : water;
