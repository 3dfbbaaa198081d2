import request from 'supertest';
import { written } from '../../../core/test/written';
import type * as Dilutions from '../../../core/src/amounts/dilutionPlan';
import type * as Lines from '../../../core/src/method/line';
import type * as Uses from '../../../core/src/heat/planHeat';
import {
  actualRecipe,
  bathPhNow,
  cardLines,
  departures,
  eventWords,
  lineDone,
  lineWords,
  phAdvice,
  planFormulation,
  recordState,
  summarizeBatch,
  toolSchema,
  type Batch,
  type Dye,
} from '@ythrion/core';
import { olderDocument } from '../../test/olderStudio';
import { eventOf } from '../../test/records';
import { begin, DYE, FORMULATION, testStudio, type TestStudio } from '../../test/studio';
import { upgradeDocument } from './upgradeDocument';

// `plannerIsAnother` is true once the planner is another one: other ratios, other waits, other ids and words of its steps.
// It hangs on globalThis because the mocks below are made before anything of this file is.
jest.mock('../../../core/src/amounts/dilutionPlan', () => {
  const real = jest.requireActual<typeof Dilutions>('../../../core/src/amounts/dilutionPlan');
  return {
    ...real,
    dilutionPlan: (...inputs: Parameters<typeof real.dilutionPlan>) => {
      const plan = real.dilutionPlan(...inputs);
      return (globalThis as { plannerIsAnother?: boolean }).plannerIsAnother && plan
        ? { ...plan, ratio: 2 * plan.ratio, strengthPercent: plan.strengthPercent / 2 }
        : plan;
    },
  };
});
jest.mock('../../../core/src/method/line', () => {
  const real = jest.requireActual<typeof Lines>('../../../core/src/method/line');
  return {
    ...real,
    lineWith: (...[written, more]: Parameters<typeof real.lineWith>) =>
      real.lineWith(
        written,
        (globalThis as { plannerIsAnother?: boolean }).plannerIsAnother && more.id !== undefined
          ? { ...more, id: `other-${more.id}` }
          : more,
      ),
  };
});
jest.mock('../../../core/src/heat/planHeat', () => {
  const real = jest.requireActual<typeof Uses>('../../../core/src/heat/planHeat');
  return {
    ...real,
    riseFigure: (...inputs: Parameters<typeof real.riseFigure>) => {
      const rise = real.riseFigure(...inputs);
      return (globalThis as { plannerIsAnother?: boolean }).plannerIsAnother
        ? { ...rise, value: rise.value * 3, because: rise.because }
        : rise;
    },
  };
});

/** A pour too small to read, so that its card holds a working dilution. */
const PALE = {
  ...FORMULATION,
  tools: [
    toolSchema.parse({ id: 's', name: '10 mL syringe', capacity: 10, graduation: 0.2 }),
    toolSchema.parse({ id: 'c', name: 'cylinder', kind: 'cylinder', capacity: 100, graduation: 1 }),
  ],
  recipe: {
    ...FORMULATION.recipe,
    passes: FORMULATION.recipe.passes.map((pass) => ({
      ...pass,
      dyes: pass.dyes.map((line) => ({ ...line, entry: { school: 'depth' as const, percent: 0.005 } })),
    })),
  },
};

let studio: TestStudio;
beforeEach(async () => {
  (globalThis as { plannerIsAnother?: boolean }).plannerIsAnother = false;
  studio = await testStudio();
});
afterEach(() => studio.remove());

/** Everything any screen says of a batch. */
function allOf(batch: Batch): unknown {
  const dyes: Dye[] = [DYE];
  const reading = { batch, dyes };
  return {
    actual: actualRecipe(batch, dyes),
    state: recordState(batch, batch.events, dyes),
    summary: summarizeBatch(batch, dyes),
    departures: departures(batch, dyes),
    pH: [bathPhNow(batch), phAdvice(batch)],
    words: [
      batch.events.map((event) => eventWords(event, reading)),
      cardLines(batch.card).map((line) => lineWords(line, reading)),
    ],
  };
}

test('another planner changes no record: not its figures, not its words, not its line in the Book', async () => {
  await request(studio.app)
    .post('/api/batches')
    .send(begin('b1', { formulation: PALE }))
    .expect(201);
  const { body: begun } = await request(studio.app).get('/api/batches/b1');
  for (const line of cardLines((begun as Batch).card).slice(0, 5))
    await request(studio.app)
      .post('/api/batches/b1/events')
      .send(eventOf('b1', { id: `done-${line.id.replaceAll('.', '-')}`, ...lineDone(line) }))
      .expect(201);
  const read = async (): Promise<[Batch, unknown]> => [
    (await request(studio.app).get('/api/batches/b1')).body as Batch,
    (await request(studio.app).get('/api/batches')).body,
  ];
  const [before, book] = await read();
  const said = written(allOf(before));
  const planned = planFormulation(PALE);
  // 0.005 % on 200 g is 0.01 g, 1 mL of the 1 % jar, by way of a dilution.
  expect(actualRecipe(before, [DYE]).dyes[0]).toMatchObject({
    grams: { value: expect.closeTo(0.01, 9) as number },
    plannedDos: expect.closeTo(0.005, 9) as number,
  });

  (globalThis as { plannerIsAnother?: boolean }).plannerIsAnother = true;
  // Another object, or passes told before would be kept as they were told.
  const otherwise = planFormulation(structuredClone(PALE));
  expect(otherwise.lines.map(({ id }) => id)).not.toEqual(planned.lines.map(({ id }) => id));
  expect(otherwise.passes[0]!.pours[0]!.dilution!.ratio).toBe(
    2 * planned.passes[0]!.pours[0]!.dilution!.ratio,
  );
  expect(otherwise.totals.onHeat.value).not.toBe(planned.totals.onHeat.value);

  const [after, bookAfter] = await read();
  expect(after).toEqual(before);
  expect(bookAfter).toEqual(book);
  expect(written(allOf(after))).toEqual(said);
  // And the pot goes on: the next line of its card is ticked as the card has it.
  const next = cardLines(after.card)[5]!;
  await request(studio.app)
    .post('/api/batches/b1/events')
    .send(eventOf('b1', { id: 'next', ...lineDone(next) }))
    .expect(201);
});

test('another planner reads an old document as it was meant all the same', async () => {
  const document = await olderDocument();
  const before = upgradeDocument(document);
  (globalThis as { plannerIsAnother?: boolean }).plannerIsAnother = true;
  expect(upgradeDocument(document)).toEqual(before);
});
