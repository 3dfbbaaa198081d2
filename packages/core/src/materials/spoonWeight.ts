import { ACIDS, type AcidMaterial } from './acids';

/** What a level teaspoon of something holds. */
export interface SpoonWeight {
  grams: number;
  /** False where the studio has not weighed it, and what is usual stands in. */
  weighed: boolean;
}

/** Grams of dye powder in a level teaspoon that nobody has weighed; dyes run from about 2 to 4 (common practice, no source). */
const USUAL_DYE_G = 2.8;
/** The same of citric acid crystals (common practice, no source). */
const USUAL_CITRIC_G = 4.5;

/** An amount that a form cannot read is no weight, nor what a device kept from a version that had none. */
const weight = (own: number | null, usual: number): SpoonWeight =>
  own !== null && own > 0 ? { grams: own, weighed: true } : { grams: usual, weighed: false };

/** A level teaspoon of a dye's powder: its own, or what is usual until it has been weighed. */
export const dyeSpoon = ({ gramsPerTeaspoon }: { gramsPerTeaspoon: number | null }): SpoonWeight =>
  weight(gramsPerTeaspoon, USUAL_DYE_G);

/** A level teaspoon of the studio's citric acid crystals. */
export const citricSpoon = ({
  citricGramsPerTeaspoon,
}: {
  citricGramsPerTeaspoon: number | null;
}): SpoonWeight => weight(citricGramsPerTeaspoon, USUAL_CITRIC_G);

/** A level teaspoon of an acid's crystals; null for what is poured. */
export const acidSpoon = (
  acid: AcidMaterial,
  studio: { citricGramsPerTeaspoon: number | null },
): SpoonWeight | null => (ACIDS[acid].unit === 'mL' ? null : citricSpoon(studio));
