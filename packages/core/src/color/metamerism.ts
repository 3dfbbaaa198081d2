import type { IlluminantName } from './cie/tables';
import { ciede2000 } from './difference/ciede2000';
import { labOf } from './lab';
import type { Spectrum } from './spectrum';

/**
 * How far two reflectances that match by day part under another light: ΔE00 there, less nothing: each is seen beside the
 * white of that light. Source: CIE 15, special metamerism index for a change in illuminant, in CIEDE2000.
 */
export const metamerism = (
  one: Spectrum | Float64Array,
  other: Spectrum | Float64Array,
  illuminant: IlluminantName,
): number =>
  ciede2000(labOf(one, { illuminant, observer: '10°' }), labOf(other, { illuminant, observer: '10°' }));
