import { DEFAULT_STUDIO } from '../shelf/defaultStudio';
import { parseQuantity } from '../units/parseQuantity';
import { quantityFor } from './quantityFor';
import { readingOf } from './readingOf';

const WEIGHED = { ...DEFAULT_STUDIO, citricGramsPerTeaspoon: 5 };
const DYES = [
  { id: 'blue', gramsPerTeaspoon: 3.2 },
  { id: 'red', gramsPerTeaspoon: null },
];
const powder = (dyeId: string) => ({ kind: 'dye' as const, dyeId, strengthPercent: null });
const citric = { kind: 'acid' as const, acid: 'citric' as const };

const read = (
  text: string,
  material: Parameters<typeof quantityFor>[0] & Parameters<typeof readingOf>[0],
  studio = DEFAULT_STUDIO,
) => parseQuantity(text, quantityFor(material, 'g'), readingOf(material, { studio, dyes: DYES }));

test('a level teaspoon of citric crystals is about 4.5 g until it was weighed (common practice, no source)', () => {
  expect(read('2 tbsp', citric)).toMatchObject({
    value: 27,
    remark: 'A tsp is taken as 4.5 g, not weighed.',
  });
  expect(read('2 tbsp', citric, WEIGHED)).toEqual({ ok: true, value: 30 });
});

test('a powder goes by its own spoon, or by what is usual until that was weighed', () => {
  expect(read('1/2 tsp', powder('blue'))).toEqual({ ok: true, value: 1.6 });
  expect(read('1/2 tsp', powder('red'))).toMatchObject({
    value: 1.4,
    remark: 'A tsp is taken as 2.8 g, not weighed.',
  });
  // A dye that is on no shelf any more.
  expect(read('1/2 tsp', powder('gone'))).toMatchObject({ value: 1.4 });
});

test('what is poured has no spoon of its own: it goes by volume', () => {
  const OWN = WEIGHED.habits.own;
  const powders = { studio: { ...WEIGHED, spoons: 'AU' as const }, dyes: DYES };
  expect(readingOf({ kind: 'acid', acid: 'vinegar' }, powders)).toEqual({ spoons: 'AU', own: OWN });
  expect(readingOf({ kind: 'acid', acid: 'citric solution' }, powders)).toEqual({ spoons: 'AU', own: OWN });
  expect(readingOf({ kind: 'dye', dyeId: 'blue', strengthPercent: 1 }, powders)).toEqual({
    spoons: 'AU',
    own: OWN,
  });
  expect(readingOf({ kind: 'water' }, powders)).toEqual({ spoons: 'AU', own: OWN });
});

test('a pinch of powder is the studio’s own once it was measured, plan, card and notes alike', () => {
  const habits = { ...DEFAULT_STUDIO.habits, own: { ...DEFAULT_STUDIO.habits.own, pinch: 0.493 } };
  // A tenth of a US teaspoon of 3.2 g.
  expect(read('a pinch', powder('blue'), { ...DEFAULT_STUDIO, habits })).toMatchObject({
    ok: true,
    value: expect.closeTo(0.32, 3) as number,
  });
  // The guess is a sixteenth.
  expect(read('a pinch', powder('blue'))).toMatchObject({
    value: 0.2,
    remark: 'A pinch is taken as 1/16 tsp.',
  });
});
