import type { Act } from './act';
import { isWait } from './isWait';
import type { Material } from './material';

/** What an act measures out: water, or a material, with its amount in mL or g. */
export interface MeasuredOut {
  material: Material | { kind: 'water' };
  amount: number;
  unit: 'mL' | 'g';
}

/** What an act measures out; null for acts that measure nothing, and for amounts nobody measured. */
export function amountOf(act: Act): MeasuredOut | null {
  switch (act.kind) {
    case 'run':
      return act.ml === null ? null : { material: { kind: 'water' }, amount: act.ml, unit: 'mL' };
    case 'put':
      return act.amount === null ? null : { material: act.material, amount: act.amount, unit: act.unit };
    case 'move':
      return act.ml === null || act.holds === null
        ? null
        : { material: act.holds, amount: act.ml, unit: 'mL' };
    default:
      return null;
  }
}

/** Minutes an act takes by itself, with nothing to do; null for acts that are no wait. */
export function minutesOf(act: Act): number | null {
  return isWait(act) ? act.minutes : null;
}
