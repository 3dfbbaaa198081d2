import { BLUE, BLUE_1, goodsLine, RED, SHELF } from '../../../test/examples';
import { event, withEvents } from '../../../test/records';
import { OUNCE_G, US_ML } from '../../units/conversions';
import type { Act } from '../../process/act';
import { notebookWords } from '../../words/notebookWords';
import { actualRecipe } from '../actualRecipe';
import { batchSchema } from '../batch';
import { momentOf } from './momentOf';
import { notebookEvents } from './notebookEvents';
import { openBatch } from './openBatch';
import { readNotebook } from './readNotebook';
import { DEFAULT_STUDIO } from '../../shelf/defaultStudio';

const shelf = { dyes: [{ ...BLUE, gramsPerTeaspoon: 3.2 }, RED], stocks: [BLUE_1], studio: DEFAULT_STUDIO };
const read = (text: string) => readNotebook(text, shelf);

/** What an act comes to, in a line. */
const brief = (act: Act): string => {
  switch (act.kind) {
    case 'run':
      return `water ${act.ml?.toFixed(2)}`;
    case 'put': {
      const { material } = act;
      const what =
        material.kind === 'dye'
          ? `${material.dyeId} ${material.strengthPercent ?? 'powder'}`
          : material.kind === 'acid'
            ? material.acid
            : '';
      return `${what} ${act.amount === null ? 'somehow' : act.amount.toFixed(3)} ${act.unit}`;
    }
    case 'hold':
      return `hold ${act.atC} for ${act.minutes}${act.untilClear ? ' clear' : ''}`;
    case 'heat':
      return `heat ${act.toC?.toFixed(1)}`;
    case 'stand':
      return `stand ${act.minutes}`;
    case 'handle':
      return act.what;
    default:
      return act.kind;
  }
};
const acts = (text: string): string[] => read(text).flatMap((piece) => piece.acts.map(brief));

test('a note as it was said: spoons of powder in water, on goods, acid somehow, simmered', () => {
  const note = '1/8 tsp of Vault Blue in 1/2 cup on 4 oz, vinegar, simmered 30 min';
  // 3.2 g a level teaspoon: an eighth is 0.4 g; half a US cup is 118.29 mL.
  expect(acts(note)).toEqual([
    'blue powder 0.400 g',
    `water ${(US_ML.cup / 2).toFixed(2)}`,
    'vinegar somehow mL',
    'hold 88 for 30',
  ]);
  expect(read(note)[0]!.goodsGrams).toBeCloseTo(4 * OUNCE_G, 9);
  expect(read(note).map(({ text }) => text)).toEqual([
    '1/8 tsp of Vault Blue in 1/2 cup on 4 oz',
    'vinegar',
    'simmered 30 min',
  ]);
});

test('in the words of an old notebook: numbers and plain spoons in words, what was used of the cup a piece later', () => {
  const note =
    '1/2 tsp Vault Blue in a cup, six spoons on two ounces, a splash of vinegar, simmered half an hour';
  // 1.6 g in 16 US tablespoons, 6 of them poured: 0.6 g in 88.72 mL.
  expect(acts(note)).toEqual([
    'blue powder 0.600 g',
    `water ${(6 * US_ML.tbsp).toFixed(2)}`,
    'vinegar somehow mL',
    'hold 88 for 30',
  ]);
  const [powder] = read(note);
  expect(powder!.goodsGrams).toBeCloseTo(2 * OUNCE_G, 9);
  expect(powder!.text).toBe('1/2 tsp Vault Blue in a cup, six spoons on two ounces');
  expect(powder!.said).toBe('1/2 tsp Vault Blue in a cup, used six spoons on two ounces');
  expect(read('1/2 tsp in a cup, six spoons on two ounces').map(({ problem }) => problem)).toEqual([
    'Say of which dye, such as “1/2 tsp Vault Blue in 1 cup”.',
  ]);
  expect(acts('simmered half an hour, clear')).toEqual(['hold 88 for 30 clear']);
  // What comes after a whole note is its own.
  expect(acts('1 tsp Vault Blue in 1 cup on 100 g, 20 mL Vault Blue 1 %')).toHaveLength(3);
});

test.each([
  // Half of the cup: half of 3.2 g.
  ['1 tsp Vault Blue in 1 cup, used 1/2 cup on 200 g', ['blue powder 1.600 g', 'water 118.29']],
  [
    '20 mL Vault Blue 1 %, 2 L water, 1/4 cup of vinegar',
    ['blue 1 20.000 mL', 'water 2000.00', 'vinegar 59.147 mL'],
  ],
  ['2 g Vault Blue; 5 g citric acid', ['blue powder 2.000 g', 'citric 5.000 g']],
  // A spoon of crystals that nobody has weighed.
  ['1 tbsp of citric', ['citric 13.500 g']],
  // Half of an eighth at 3.2 g a teaspoon, several dyes, each on a line of its own.
  [
    'half of 1/8 tsp Vault Blue in a cup\n2 x 1/4 tsp Vault Blue\n4+1 tbsp Bell Red 1 %\na splash of vinegar\ntwo quarts of water\nleft overnight',
    [
      'blue powder 0.200 g',
      'water 236.59',
      'blue powder 1.600 g',
      'red 1 73.934 mL',
      'vinegar somehow mL',
      'water 1892.71',
      'stand 720',
    ],
  ],
  [
    'on 100 g of sock yarn, yarn in, heated to 185 F, held 20 min until clear',
    ['place', 'heat 85.0', 'hold 88 for 20 clear'],
  ],
  [
    'held at 82 C for 1 h then left 8 hours, turned, knotted, lifted, poured away, rinsed, hung to dry',
    ['hold 82 for 60', 'stand 480', 'turn', 're-tie', 'lift', 'move', 'rinse', 'dry'],
  ],
])('%s', (text, comes) => expect(acts(text)).toEqual(comes));

test('what cannot be read is kept as it was written, and says why', () => {
  const why = (text: string) => read(text).map(({ problem }) => problem);
  expect(why('simmered')).toEqual([expect.stringMatching(/Say for how long/)]);
  expect(why('heated')).toEqual([expect.stringMatching(/Say how hot/)]);
  expect(why('1/8 tsp of Nightshade in 1 cup on 100 g')).toEqual([
    expect.stringMatching(/no dye called “Nightshade”/),
  ]);
  expect(why('the moon was full')).toEqual([expect.stringMatching(/kept as a note only/)]);
  expect(why('1/8 tsp of Vault Blue in 1/2 cup, used 1 cup on 4 oz')).toEqual([
    expect.stringMatching(/237 mL is more than the 118 mL there was/),
  ]);
  expect(why('1/8 tsp of Vault Blue in a jar on 4 oz')).toEqual([
    expect.stringMatching(/“jar” in “a jar” is no measure/),
  ]);
  expect(read('')).toEqual([]);
});

test('a note becomes a record on its own day: as it was written, then what was done, each a minute or its wait later', () => {
  const at = '2024-03-01T11:00:00.000Z';
  const goods = [goodsLine({ id: 'g1', baseId: 'wool', count: 1, gramsEach: 4 * OUNCE_G })];
  const begun = batchSchema.parse({
    ...{ id: 'b1', name: 'x', startedAt: at, events: [] },
    ...openBatch('x', goods, null, SHELF, { remembered: true }),
  });
  const text = '1/8 tsp of Vault Blue in 1/2 cup on 4 oz, vinegar, simmered 30 min until clear, rinsed';
  const listed = notebookEvents(begun, text, read(text), { outcome: 'as wanted', standing: 'regular' });
  expect(listed.map(({ at: when, event: one }) => [when.slice(11, 16), one.kind])).toEqual([
    ['11:01', 'noted'],
    ['11:02', 'act'],
    ['11:03', 'act'],
    ['11:04', 'act'],
    ['11:05', 'act'],
    ['11:36', 'act'],
    ['11:37', 'closed'],
  ]);
  const batch = withEvents(
    begun,
    listed.map(({ at: when, event: one }) => event({ ...one, at: when })),
  );
  const { dyes, folded, version } = actualRecipe(batch, SHELF.dyes);
  expect(folded.leftOut).toEqual([]);
  // 0.4 g on 113.4 g; nobody weighed it.
  expect(dyes[0]!.dos).toMatchObject({
    value: expect.closeTo(40 / (4 * OUNCE_G), 9) as number,
    sureness: 'estimate',
  });
  expect(version!.recipe.set).toMatchObject({ temperatureC: 88, minutes: 30 });
  // Vinegar that nobody measured is said, and is in no recipe.
  expect(version!.lost.map(({ act }) => act.kind)).toEqual(['put']);
  expect(notebookWords(read(text)[1]!, SHELF.dyes)).toEqual(['white vinegar, nobody knows how much']);
  // What is entered at the pot later counts by that day too.
  expect(momentOf(batch, '2026-11-26T10:00:00.000Z').slice(0, 10)).toBe('2024-03-01');
});
