import type { Act, ActOf, End, Purpose, VesselRole } from '../../process/act';
import type { PlannedPass } from '../../recipe/planTypes';
import type { Formulation, Pass } from '../../recipe/recipe';
import type { CardAct } from '../card';

/** What the acts of a step are written from. */
export interface Scene {
  formulation: Formulation;
  /** The pass of the step; for the set and the finish the last one. */
  pass: Pass;
  planned: PlannedPass;
  index: number;
  prefix: string;
  /** What the goods are dyed in in this pass. */
  vessel: VesselRole;
  /** True when an earlier pass left its bath in that vessel. */
  afterBath: boolean;
  /** How often something was done so far, for doses that are numbered. */
  counts: Map<string, number>;
  /** Every vessel that an act has named so far, and what it is. Shared by all scenes of a card. */
  vessels: Map<string, VesselRole>;
  /** True for the set and what follows. */
  setting: boolean;
}

/** An act of the card; what it leaves out takes the usual value. */
export type Written = Pick<CardAct, 'id' | 'act'> & Partial<CardAct>;

/** What every act carries: its pass (none for the set and the finish), line and purpose. */
export const of = (
  { pass, setting }: Scene,
  purpose: Purpose | null,
  line: string | null = null,
): Pick<Act, 'pass' | 'line' | 'purpose'> => ({ pass: setting ? null : pass.id, line, purpose });

/** A role within its pass. */
export const idIn = ({ pass, setting }: Scene, role: string): string =>
  setting ? role : `${pass.id}.${role}`;

/** Which time this is, from 1. */
export function nthTime({ counts, pass }: Scene, what: string): number {
  const key = `${pass.id} ${what}`;
  const nth = (counts.get(key) ?? 0) + 1;
  counts.set(key, nth);
  return nth;
}

/** A vessel by its own id; naming it is what brings it onto the card. */
function vesselOf({ vessels }: Scene, role: VesselRole, id: string): string {
  vessels.set(id, role);
  return id;
}

/** A vessel there is one of: the pot, the soak, the steamer. */
export const theOne = (scene: Scene, role: VesselRole): string => vesselOf(scene, role, role);
/** The vessel that goods lie in during this pass. */
export const bathOf = (scene: Scene): string => theOne(scene, scene.vessel);
/** A cup of paint of this pass: of one section, of all of it, or the water that cups are filled up with. */
export const paintCup = (scene: Scene, what: string): string =>
  vesselOf(scene, 'paint cup', `cup.${scene.pass.id}.${what}`);
/** The working dilution of one line of this pass. */
export const dilutionOf = (scene: Scene, line: string): string =>
  vesselOf(scene, 'working dilution', `dilution.${scene.pass.id}.${line}`);
/** The ice heaped over the goods of this pass. */
export const iceOf = (scene: Scene): string => vesselOf(scene, 'melting ice', `ice.${scene.pass.id}`);

/** From the end of the goods up to a share of their length. */
export const along = (to: number): ActOf<'place'>['reach'] => ({
  axis: 'along',
  from: 0,
  to: Math.min(1, to),
});

/** A move of what is in one place to another. */
export const moved = (
  scene: Scene,
  role: string,
  from: End,
  to: End | null,
  much: { ml: number } | { share: number },
): Written => ({
  id: idIn(scene, role),
  act: {
    kind: 'move',
    ...of(scene, 'paint'),
    from,
    to,
    ml: 'ml' in much ? much.ml : null,
    share: 'share' in much ? much.share : null,
    holds: null,
  },
});
