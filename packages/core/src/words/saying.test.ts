import { figure, measuredOut, type Figure, type Measure } from '../figure/figure';
import { METRIC, USUAL_HABITS, type Shown } from '../shelf/habits';
import { offWords, ownMeasure, type Measures } from './saying';

const measures = (shown: Partial<Shown> = {}): Measures => ({
  spoons: { system: 'US', spoons: USUAL_HABITS.spoons },
  own: {},
  shown: { ...METRIC, ...shown },
});
const of = (value: number, unit: Figure['unit'], measure?: Measure): Figure =>
  measuredOut(figure(value, unit, 'by hand'), measure ?? null);
const pour = (said: string | null, gramsPerTeaspoon?: number): Measure => ({
  as: 'pour',
  said,
  gramsPerTeaspoon,
});

test('what was said by the spoon comes first, as it was said', () => {
  expect(ownMeasure(of(103.507, 'mL', pour('7 tbsp')), measures())).toEqual({
    words: '7 tbsp',
    offPercent: 0,
    first: true,
  });
});

test('a part of what was said by the spoon is in the studio’s spoons', () =>
  // A third of 7 tbsp is 34.5 mL, 2 tbsp + 1 tsp.
  expect(ownMeasure(of(34.5, 'mL', pour('7 tbsp')), measures())).toMatchObject({
    words: '2 tbsp + 1 tsp',
    first: true,
  }));

test('what was said in metric stays so, whatever the studio reads in; the spoons stand beside it', () =>
  expect(ownMeasure(of(180, 'mL', pour('180 mL')), measures({ pours: 'spoons' }))).toMatchObject({
    words: '12 tbsp + 1/2 tsp',
    first: false,
  }));

test('what nobody said is read as the studio reads', () => {
  expect(ownMeasure(of(180, 'mL', pour(null)), measures())?.first).toBe(false);
  expect(ownMeasure(of(180, 'mL', pour(null)), measures({ pours: 'spoons' }))?.first).toBe(true);
  expect(ownMeasure(of(8690, 'mL', { as: 'water', said: null }), measures({ pours: 'spoons' }))?.first).toBe(
    false,
  );
  expect(ownMeasure(of(8690, 'mL', { as: 'water', said: null }), measures({ water: 'cups' }))).toMatchObject({
    words: '36 3/4 cups',
    first: true,
  });
});

test('a powder goes by what its own spoon weighs', () => {
  // 2 tbsp of citric at 4.5 g a teaspoon are 27 g (common practice, no source).
  expect(ownMeasure(of(27, 'g', pour('2 tbsp', 4.5)), measures())?.words).toBe('2 tbsp');
  expect(ownMeasure(of(13.5, 'g', pour('2 tbsp', 4.5)), measures())?.words).toBe('1 tbsp');
  expect(ownMeasure(of(13.5, 'g', pour(null)), measures({ pours: 'spoons' }))).toBeNull();
});

test('goods in ounces, heat in Fahrenheit', () => {
  // 4 oz are 113.398 g (NIST Handbook 44); 200 °F are 93.3 °C.
  const goods = (said: string | null): Measure => ({ as: 'goods', said });
  expect(ownMeasure(of(113.398_092_5, 'g', goods('4 oz')), measures())?.words).toBe('4 oz');
  expect(ownMeasure(of(340.194, 'g', goods('4 oz')), measures())?.words).toBe('12 oz');
  expect(ownMeasure(of(100, 'g', goods('100 g')), measures({ mass: 'oz' }))).toBeNull();
  expect(ownMeasure(of(100, 'g', goods(null)), measures({ mass: 'oz' }))?.words).toBe('3.53 oz');
  expect(ownMeasure(of(93.333, '°C'), measures({ temperature: '°F' }))?.words).toBe('200 °F');
  expect(ownMeasure(of(65.6, '°C', { as: 'heat', said: '150F' }), measures())?.words).toBe('150 °F');
  expect(ownMeasure(of(93.333, '°C'), measures())).toBeNull();
  expect(ownMeasure(of(5.08, 'cm'), measures({ length: 'in' }))?.words).toBe('2 in');
  expect(ownMeasure(of(5.08, 'cm'), measures())).toBeNull();
});

test('spoons that are far off are no help beside a metric amount; in a kitchen of spoons they are said, with how far', () => {
  expect(ownMeasure(of(0.75, 'mL', pour(null)), measures())).toBeNull();
  const said = ownMeasure(of(0.75, 'mL', pour(null)), measures({ pours: 'spoons' }));
  expect(said?.words).toBe('1/8 tsp');
  expect(offWords(said!.offPercent)).toBe('18 % under');
});

test.each<[number, string]>([
  [0, ''],
  [0.4, ''],
  [1.31, '1.3 % over'],
  [-2.04, '2 % under'],
])('%d % off is “%s”', (off, words) => expect(offWords(off)).toBe(words));

test('a measure is not part of what is written down', () =>
  expect(JSON.parse(JSON.stringify(of(1, 'mL', pour('1 mL'))))).toEqual({
    value: 1,
    unit: 'mL',
    sureness: 'exact',
    because: 'by hand',
  }));

test('what is near to what was said, but not it, is never read as that', () => {
  // A jar read to 105 mL with the cylinder is no 7 tbsp: those are 103.5 mL.
  expect(ownMeasure(of(105, 'mL', pour('7 tbsp')), measures())).toMatchObject({
    words: '7 tbsp + 1/4 tsp',
    first: true,
  });
  expect(ownMeasure(of(114, 'g', { as: 'goods', said: '4 oz' }), measures())?.words).toBe('4.02 oz');
});
