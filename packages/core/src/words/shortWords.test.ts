import { depth, SHELF, SYRINGE_AND_CYLINDER } from '../../test/examples';
import { begunBatch, lineOn, tick, withEvents } from '../../test/records';
import { formulate } from '../recipe/materials';
import { METHODS } from '../method';
import { recipeSchema } from '../recipe/recipe';
import { leftWords } from '../shelf/jarWords';
import { copyWords, sizeWords } from './copyWords';
import { departures } from './departures';
import { depthWords } from './depthWords';
import { kindWord } from './kindWord';
import { lineWords } from './lineWords';

describe('what a jar holds', () => {
  test.each([
    [280, '280 mL left'],
    [0, '0 mL left'],
    [-1e-12, '0 mL left'],
    [-12, 'empty: 12 mL more poured than it held'],
  ])('%d mL', (left, said) => expect(leftWords(left)).toBe(said));
});

test('a depth nobody dyes is not shown as if it were one', () => {
  expect(depthWords(1.25)).toBe('1.25 %');
  expect(depthWords(100)).toBe('100 %');
  expect(depthWords(101)).toBe('over 100 %');
  expect(depthWords(50_000_000)).toBe('over 100 %');
});

test('a copy says when and why, and how large it is', () => {
  expect(copyWords({ at: '2026-05-04T12:00:00Z', why: 'daily' })).toMatch(
    /^4 May 2026 \d\d:00, the daily one$/,
  );
  expect(sizeWords(1000)).toBe('1 kB');
  expect(sizeWords(1_572_864)).toBe('1.5 MB');
});

const batchOf = (kind: keyof typeof METHODS, percent: number, tools = SYRINGE_AND_CYLINDER) =>
  begunBatch(
    formulate(
      kind,
      recipeSchema.parse({
        goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
        wettingMinutes: 30,
        passes: [
          {
            id: 'p1',
            method: METHODS[kind].usual,
            dyes: [depth('d1', 'blue', percent, METHODS[kind].dry ? null : 'blue-1')],
            water: { basis: 'ratio', value: 30 },
            acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 }],
          },
        ],
        set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 60 },
      }),
      { ...SHELF, tools },
    ),
  );
const said = (batch: ReturnType<typeof batchOf>, id: string) =>
  lineWords(lineOn(batch, id), { batch, dyes: SHELF.dyes });

describe('the arithmetic behind a line of the card', () => {
  test('stock: grams asked for over strength, and what it is read to', () => {
    // 0.247 g is 24.7 mL of 1 %, one fill of the cylinder marked every mL, to 2 %.
    expect(said(batchOf('immersion', 0.1235), 'p1.dye.d1').measure?.amount.because).toBe(
      '100 × 0.247 g ÷ 1 % w/v = 24.7 mL, read to 25 mL',
    );
    expect(said(batchOf('immersion', 1), 'p1.dye.d1').measure?.amount.because).toBe(
      '100 × 2 g ÷ 1 % w/v = 200 mL',
    );
  });
  test('vinegar: its pure acid', () => {
    // 1 g/L in 6 L is 6 g of acid, 120 mL at 5 %.
    expect(said(batchOf('immersion', 1), 'p1.acid.bath').measure?.amount).toMatchObject({
      value: 120,
      because: '120 mL × 5 % ÷ 100 = 6 g of acetic acid',
    });
  });
  test('a working dilution: what it is taken from, made up to, and labeled', () => {
    const dilution = said(batchOf('immersion', 0.005), 'p1.put.dilution.d1');
    expect(dilution).toMatchObject({
      title: 'Take Vault Blue 1 % and make it up to 50 mL',
      detail: '1 part in 5: the pour alone is too small to read. Label it 0.2 %.',
    });
    expect(dilution.measure).toMatchObject({
      tool: expect.stringMatching(/^with the .*, made up in the 100 mL cylinder$/) as string,
      amount: { value: 10, because: '50 mL ÷ 5, to be made up to 50 mL' },
    });
  });
  test('powder cut with citric says how much of the crystals to stir in', () => {
    // 1 % on 200 g is 2 g, at 10 g of citric a gram.
    expect(said(batchOf('sprinkle', 1), 'p1.dye.d1').detail).toMatch(
      /^Stir 20 g of those citric crystals into it/,
    );
  });
  test('a rise is a guess and a soak a decision', () => {
    const batch = batchOf('immersion', 1);
    expect(said(batch, 'heat').wait).toMatchObject({ sureness: 'estimate' });
    expect(said(batch, 'p1.stand.soak').wait).toMatchObject({ value: 30, sureness: 'exact' });
  });
});

test('a pour half a percent off is as planned, one of six in a thousand is not', () => {
  const batch = batchOf('immersion', 1);
  const others = ['p1.run.bath', 'p1.acid.bath'].map((id) => tick(batch, id));
  const told = (amount: number): string[] =>
    departures(withEvents(batch, [...others, tick(batch, 'p1.dye.d1', { amount })]), SHELF.dyes);
  expect(told(201)).toEqual([]);
  expect(told(201.2)).toEqual(['Pour Vault Blue 1 %: 201 mL instead of 200 mL.']);
});

test('the hob names what is next in a word', () => {
  const batch = batchOf('immersion', 0.005);
  const words = [
    'p1.stand.soak',
    'p1.run.bath',
    'p1.put.dilution.d1',
    'p1.dye.d1',
    'p1.acid.bath',
    'p1.place.goods',
    'hold.set',
    'rinse',
  ];
  expect(words.map((id) => kindWord(lineOn(batch, id)))).toEqual([
    'wet',
    'water',
    'dilute',
    'dye',
    'acid',
    'goods',
    'set',
    'rinse',
  ]);
});
