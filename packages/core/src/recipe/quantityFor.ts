import type { QuantityKindName } from '../units/quantityKinds';

/** Which kind of amount a material is measured in, for the field that takes what was really poured. */
export function quantityFor(material: { kind: string }, unit: 'mL' | 'g'): QuantityKindName {
  if (material.kind === 'ice') return 'iceMass';
  if (unit === 'mL') return material.kind === 'acid' ? 'acidVolume' : 'volume';
  return material.kind === 'acid' ? 'acidMass' : 'dyeMass';
}
