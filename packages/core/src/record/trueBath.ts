import { liquidMl, type PotAddition } from './additions';
import { besideMeasured } from './besideMeasured';
import type { Card, CardPass } from './card';

/** The bath of a pass as it was really made, mL. @param untickedMl planned water that nobody ticked */
export const trueBathMl = (
  card: Card,
  planned: CardPass,
  additions: readonly PotAddition[],
  untickedMl: number,
): number =>
  planned.keepsBath ? planned.bathMl : liquidMl(additions) + untickedMl + besideMeasured(card, planned);
