import type { AcidMaterial } from '../materials/acids';
import type { SpoonSystem } from '../units/conversions';
import type { BY_EYE } from '../units/measures';
import { USUAL_SPOONS, type Spoon, type SpoonSet } from '../units/inSpoons';

/** In which measures a studio reads what it has not said in one of its own. All is stored in SI. */
export interface Shown {
  /** What is poured and spooned. */
  pours: 'mL' | 'spoons';
  /** Baths and what is run. */
  water: 'L' | 'cups';
  mass: 'g' | 'oz';
  temperature: '°C' | '°F';
  length: 'cm' | 'in';
}

export const SHOWN_CHOICES = {
  pours: ['mL', 'spoons'],
  water: ['L', 'cups'],
  mass: ['g', 'oz'],
  temperature: ['°C', '°F'],
  length: ['cm', 'in'],
} as const satisfies { [K in keyof Shown]: readonly [Shown[K], ...Shown[K][]] };

/** The dyes that stand for the inks of a print value; null where none does. */
export type Primaries = Record<'cyan' | 'magenta' | 'yellow' | 'black', string | null>;

/** What a studio measures with, how it reads amounts, and what it takes as a rule. */
export interface Habits {
  spoons: Spoon[];
  /** What its own pinch, splash and the like hold, mL; null until it was measured. */
  own: Record<(typeof BY_EYE)[number], number | null>;
  shown: Shown;
  usualAcid: AcidMaterial;
  primaries: Primaries;
}

export const METRIC: Shown = { pours: 'mL', water: 'L', mass: 'g', temperature: '°C', length: 'cm' };

/** A studio that has said nothing of its habits. */
export const USUAL_HABITS: Habits = {
  spoons: [...USUAL_SPOONS],
  own: { pinch: null, dash: null, smidgen: null, splash: null, drop: null },
  shown: METRIC,
  usualAcid: 'vinegar',
  primaries: { cyan: null, magenta: null, yellow: null, black: null },
};

/** The spoons of a studio, with what they hold. */
export const spoonSetOf = ({ spoons, habits }: { spoons: SpoonSystem; habits: Habits }): SpoonSet => ({
  system: spoons,
  spoons: habits.spoons,
});
