import { ACIDS, type AcidMaterial } from '../acid/acidDose';
import type { AcidSubstance } from './state';

/** What an acid is once it is in water; acetic for a name nobody knows, as an older record may hold. */
export const substanceOf = (acid: string): AcidSubstance =>
  acid in ACIDS ? (ACIDS[acid as AcidMaterial].acid === 'citric acid' ? 'citric' : 'acetic') : 'acetic';
