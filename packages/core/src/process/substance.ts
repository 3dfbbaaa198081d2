import { ACIDS, type AcidMaterial } from '../materials/acids';
import type { AcidSubstance } from './state';

/** What an acid is once it is in water; acetic for a name nobody knows, as an older record may hold. */
export const substanceOf = (acid: string): AcidSubstance =>
  acid in ACIDS ? ACIDS[acid as AcidMaterial].substance : 'acetic';
