import { waterIn, waterSaid } from './waterSaid';

const spoons = { spoons: 'US' as const };

test.each([
  ['9 L', 'ratio', { basis: 'volume', value: 9000 }],
  ['38 cups', 'ratio', { basis: 'volume', value: 8990.353 }],
  ['1:30', 'volume', { basis: 'ratio', value: 30 }],
  ['15 mL/g', 'volume', { basis: 'ratio', value: 15 }],
] as const)('“%s” for a bath that goes by %s', (text, basis, water) =>
  expect(waterSaid(text, { basis }, spoons)).toEqual({
    ...water,
    value: expect.closeTo(water.value, 2) as number,
  }),
);
test('a bare number is no other bath', () => expect(waterSaid('9', { basis: 'ratio' }, spoons)).toBeNull());

test('cups are those of the studio', () =>
  expect(waterSaid('4 cups', { basis: 'ratio' }, { spoons: 'metric' })).toEqual({
    basis: 'volume',
    value: 1000,
  }));

test('a bath is said by the other of the two to three figures', () => {
  const planned = { liquorRatio: { value: 26.4321 }, bath: { value: 8990.35 } };
  expect(waterIn('ratio', planned)).toEqual({ basis: 'ratio', value: 26.4 });
  expect(waterIn('volume', planned)).toEqual({ basis: 'volume', value: 8990 });
});
