import fc from 'fast-check';
import { celsiusToFahrenheit, fahrenheitToCelsius, spoonMl } from './conversions';
import { toCents, toMoney } from './money';
import { leadingNumber, spellFractions } from './readNumber';

const valueOf = (text: string): number | undefined => {
  const read = leadingNumber(text);
  return typeof read === 'object' ? read.value : undefined;
};

describe('a number at the start of a text', () => {
  test.each([
    ['7.5 mL', 7.5, ' mL'],
    ['0,5%', 0.5, '%'],
    [',25', 0.25, ''],
    ['3', 3, ''],
    ['1/8 tsp', 0.125, ' tsp'],
    ['1 1/2 cup', 1.5, ' cup'],
    ['2 / 3', 2 / 3, ''],
    ['10 tbsp 1 tsp', 10, ' tbsp 1 tsp'],
    ['0,500 g', 0.5, ' g'],
    ['1000', 1000, ''],
  ])('%s', (text, value, rest) => {
    const read = leadingNumber(text);
    expect(read).toEqual({ value: expect.closeTo(value, 12), rest });
  });

  test.each(['1,000', '12,500', '999,999'])('%s could be read two ways', (text) =>
    expect(leadingNumber(text)).toBe('ambiguous'),
  );
  test.each(['', 'abc', '.', '/2', '-1', '1/0'])('“%s” is no number', (text) => {
    if (text === '1/0') expect(valueOf(text)).not.toBe(Infinity);
    else expect(leadingNumber(text)).toBeUndefined();
  });

  test('any fraction a spoon could be marked with reads as itself', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 1, max: 16 }),
        fc.integer({ min: 1, max: 16 }),
        (whole, over, under) => {
          expect(valueOf(`${whole} ${over}/${under}`)).toBeCloseTo(whole + over / under, 12);
        },
      ),
    );
  });
});

test.each([
  ['1½', '1 1/2'],
  ['¼', '1/4'],
  ['2⅔', '2 2/3'],
  ['1⁄8', '1/8'],
])('%s is spelled out', (glyphs, spelled) => expect(spellFractions(glyphs).trim()).toBe(spelled));

test('temperatures go there and back', () => {
  fc.assert(
    fc.property(fc.double({ min: -40, max: 300, noNaN: true }), (c) =>
      expect(fahrenheitToCelsius(celsiusToFahrenheit(c))).toBeCloseTo(c, 9),
    ),
  );
  expect(celsiusToFahrenheit(93)).toBeCloseTo(199.4, 9);
});

test('three teaspoons are a tablespoon, but for the Australian, where it is four', () => {
  expect(spoonMl('tbsp', 'US') / spoonMl('tsp', 'US')).toBeCloseTo(3, 9);
  expect(spoonMl('tbsp', 'metric') / spoonMl('tsp', 'metric')).toBe(3);
  expect(spoonMl('tbsp', 'AU') / spoonMl('tsp', 'AU')).toBe(4);
});

test('money is whole cents', () => {
  expect(toCents(14.5)).toBe(1450);
  expect(toCents(0.1 + 0.2)).toBe(30);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1e7 }), (cents) => expect(toCents(toMoney(cents))).toBe(cents)),
  );
});
