import { ACIDS, type AcidMaterial } from '../materials/acids';
import type { AcidDose } from './recipe';

/** The acid a newcomer starts from: vinegar at 1 g acetic acid per liter of bath (common practice, no source). */
export const QUICK_ACIDS: Record<'vinegar' | 'citric', AcidDose> = {
  vinegar: { id: 'acid1', material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' },
  citric: { id: 'acid1', material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1, when: 'start' },
};

/** A dose of an acid as a first pass takes it: so much pure acid by the liter as is usual (common practice, no source). */
export const usualDose = (material: AcidMaterial): AcidDose => ({
  ...QUICK_ACIDS.vinegar,
  material,
  strengthPercent: ACIDS[material].usualStrength,
  value: ACIDS[material].usualGPerL,
});
