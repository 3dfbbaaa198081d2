import type { AcidMaterial } from '../materials/acids';
import { figure, type Figure } from '../figure/figure';
import type { CautionName } from './cautionNames';

/** What a measured step puts into the pot. */
export type StepMaterial =
  | { kind: 'water' }
  | { kind: 'acid'; material: AcidMaterial; strengthPercent: number }
  | { kind: 'ice' }
  | {
      kind: 'dye';
      dyeId: string;
      /** The line of the pass it belongs to. */
      lineId: string;
      stockId: string | null;
      strengthPercent: number | null;
      lotStrength: number;
      /** True when it is poured from a working dilution, which was drawn from the jar before. */
      diluted: boolean;
    }
  /** Stock taken out of a jar for a working dilution: it leaves the jar, and is not in the pot yet. */
  | { kind: 'dilution'; dyeId: string; stockId: string; strengthPercent: number };

export type StepKind =
  | 'wet'
  | 'arrange'
  | 'water'
  | 'dilute'
  | 'dye'
  | 'acid'
  | 'ice'
  | 'goods'
  | 'paint'
  | 'wait'
  | 'heat'
  | 'hold'
  | 'set'
  | 'cool'
  | 'rinse'
  | 'dry';

/** One thing to do at the pot, in order. */
export interface Step {
  id: string;
  kind: StepKind;
  /** The pass it belongs to; null for the set and what follows. */
  passId: string | null;
  /** What to do, as a colleague would say it. */
  title: string;
  /** A second sentence, where one is due. */
  detail?: string;
  /** Amount to measure, for water, dye, acid and ice. */
  measure?: {
    amount: Figure;
    unit: 'mL' | 'g';
    material: StepMaterial;
    /** What to measure it with, in words. */
    tool?: string;
  };
  /** How long to wait once begun. */
  wait?: Figure;
  /** Temperature of the bath at the end of this step, °C. */
  toC?: number;
  /** Minutes of the dyer's own hands. An estimate. */
  handsOnMinutes: number;
  /** True while the pot stands on heat. */
  onHeat: boolean;
  cautions: CautionName[];
}

export const PRACTICE = 'common practice, no source';

/** Temperature at which acid “when warm” goes in and wool is no longer stirred, °C (common practice, no source). */
export const WARM_C = 60;

type StepPlan = Pick<Step, 'id' | 'kind' | 'passId' | 'title'> & Partial<Step>;

/** A step with nothing measured, waited for or heated unless it says so. */
export const makeStep = (plan: StepPlan): Step => ({
  handsOnMinutes: 2,
  onHeat: false,
  cautions: [],
  ...plan,
});

/** A wait as it was decided. */
export const decided = (minutes: number): Figure =>
  figure(minutes, 'min', `${minutes} min as decided`, 'exact');

/** A tool in words: `with the 10 mL syringe, 3 fills`. */
export const withTool = (name: string, fills: number): string =>
  `with the ${name}${fills > 1 ? `, ${fills} fills` : ''}`;
