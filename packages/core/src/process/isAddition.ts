import type { Act } from './act';

/** Whether an act puts something in: water, a material, or liquid that is known to hold one. */
export const isAddition = (act: Act): boolean =>
  act.kind === 'run' || act.kind === 'put' || (act.kind === 'move' && act.holds !== null);
