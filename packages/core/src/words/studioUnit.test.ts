import { METRIC } from '../shelf/habits';
import { parseQuantity } from '../units/parseQuantity';
import type { QuantityKindName } from '../units/quantityKinds';
import { studioUnit, withUnit } from './studioUnit';

const AMERICAN = { ...METRIC, temperature: '°F', length: 'in', mass: 'oz' } as const;

// 200 °F is 93.3 °C; 12 in is 30.48 cm; 4 oz is 113.4 g (NIST Handbook 44, Appendix C).
test.each<[QuantityKindName, number, string, string, number]>([
  ['temperature', 85, '185 °F', '200', 93.3333],
  ['temperature', 88, '190.4 °F', '190.4', 88],
  ['roomTemperature', 20, '68 °F', '70', 21.1111],
  ['length', 30.48, '12 in', '12', 30.48],
  ['fiberMass', 113.398, '4 oz', '4', 113.398],
  ['fiberMass', 100, '3.53 oz', '3 1/2', 99.2233],
])('a %s of %p is said as %s, and a bare %s is in that unit', (kind, value, said, bare, meant) => {
  const unit = studioUnit(kind, AMERICAN);
  expect(unit?.say(value)).toBe(said);
  expect(withUnit(said, unit)).toBe(said);
  const read = parseQuantity(withUnit(bare, unit), kind);
  expect(read.ok && read.value).toBeCloseTo(meant, 3);
});

test('a field without a unit of the studio keeps its own, and what says its unit is not given another', () => {
  expect(studioUnit('temperature', METRIC)).toBeNull();
  expect(studioUnit('altitude', AMERICAN)).toBeNull();
  expect(studioUnit('dyeMass', AMERICAN)).toBeNull();
  expect(withUnit('85 C', studioUnit('temperature', AMERICAN))).toBe('85 C');
  expect(withUnit('half', studioUnit('length', AMERICAN))).toBe('half');
  expect(withUnit('4', null)).toBe('4');
  expect(withUnit('½', studioUnit('fiberMass', AMERICAN))).toBe('½ oz');
});
