import type { CautionName } from '../materials/cautionNames';
import type { Act } from '../process/act';
import type { Material } from '../process/material';

/** Water from here on scalds, °C (common practice, no source). */
const SCALDS_C = 60;

/**
 * What to mind with a dye.
 * @param unit how it is measured: g of powder, mL of stock
 * @param dry whether powder goes on as it is; else it is dissolved in hot water first
 */
export const dyeCautions = (unit: 'mL' | 'g', dry: boolean): CautionName[] =>
  unit === 'mL' ? [] : dry ? ['powder'] : ['powder', 'scald'];

/** What to mind with something that is put in. @param dry whether it goes onto the goods, and into no liquid */
export const putCautions = (
  { kind }: { kind: Material['kind'] | 'water' },
  unit: 'mL' | 'g',
  dry: boolean,
): CautionName[] => (kind === 'acid' ? ['acid'] : kind === 'dye' ? dyeCautions(unit, dry) : []);

/** What to mind with an act by itself, whoever decided on it: for what no way of dyeing planned. */
export function actCautions(act: Act): CautionName[] {
  switch (act.kind) {
    case 'put':
      return putCautions(act.material, act.unit, 'place' in act.into);
    case 'heat':
      return (act.toC ?? SCALDS_C) >= SCALDS_C ? ['scald', 'unattended'] : [];
    case 'hold':
      return (act.atC ?? 0) >= SCALDS_C ? ['scald', 'unattended'] : [];
    case 'move':
      return act.to === null ? ['disposal'] : [];
    default:
      return [];
  }
}
