import { USUAL_HABITS } from './habits';
import type { Studio } from './studio';
import { DEFAULT_PLACE, DEFAULT_WATER } from './water';

/** A studio that has said nothing about itself yet. */
export const DEFAULT_STUDIO: Studio = {
  name: 'My studio',
  spoons: 'US',
  currency: 'USD',
  water: DEFAULT_WATER,
  place: DEFAULT_PLACE,
  citricGramsPerTeaspoon: null,
  habits: USUAL_HABITS,
};
