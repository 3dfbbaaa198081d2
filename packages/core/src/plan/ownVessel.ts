import type { VesselRole } from '../process/act';
import { DYED_IN } from '../process/terms';
import type { Formulation } from '../recipe/recipe';
import type { Pot } from '../shelf/pot';
import { potRole } from './brought';

/** A vessel that single passes have for themselves, as acts name it. */
export const ownVessel = ({ id }: Pick<Pot, 'id'>): string => `own.${id}`;

/** What such a vessel is to a way: what it is on the shelf where goods can be dyed in that. */
export function roleIn(own: Pot, needs: VesselRole): VesselRole {
  const role = potRole(own);
  return DYED_IN.includes(role) ? role : needs;
}

/** Such a vessel by the name that acts have for it; null for that of the batch, and any other. */
export const ownPotAt = ({ passPots }: Pick<Formulation, 'passPots'>, vessel: string): Pot | null =>
  passPots.find((one) => ownVessel(one) === vessel) ?? null;

/** The vessel on the shelf that stands on the ring: one that a pass has for itself, or that of the batch. */
export const potAt = (formulation: Pick<Formulation, 'pot' | 'passPots'>, vessel: string): Pot | null =>
  ownPotAt(formulation, vessel) ?? formulation.pot;
