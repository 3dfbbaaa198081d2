import request from 'supertest';
import {
  addPass,
  asItStands,
  baseSchema,
  dropped,
  goodsIn,
  goodsLineSchema,
  leaveOut,
  newGoodsLine,
  dyeSchema,
  stockSchema,
  type Batch,
  type NewEvent,
  type Pass,
} from '@ythrion/core';
import { eventOf, poured } from '../../test/records';
import { begin, FORMULATION, testStudio, type TestStudio } from '../../test/studio';
import { checkStudio } from '../backup/check';
import { putItem } from '../shelf/store';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
  await request(studio.app).post('/api/batches').send(begin('b1')).expect(201);
});
afterEach(() => studio.remove());

const now = async (): Promise<Batch> => {
  const { body } = await request(studio.app).get('/api/batches/b1').expect(200);
  return asItStands(body as Batch, (body as Batch).events);
};
let counted = 0;
/** Enters what a screen would; by the ids it gave. */
async function enter(events: readonly NewEvent[], status = 201): Promise<string[]> {
  const ids: string[] = [];
  for (const event of events) {
    counted += 1;
    const id = `x${counted}`;
    ids.push(id);
    const sent = eventOf('b1', { id, ...event });
    await request(studio.app).post('/api/batches/b1/events').send(sent).expect(status);
  }
  return ids;
}
const row = async (): Promise<Record<string, unknown>> =>
  (await request(studio.app).get('/api/batches')).body.rows[0];
const SILK = baseSchema.parse({
  id: 'silk',
  name: 'Pendant Silk',
  fibers: [{ fiber: 'silk', percent: 100 }],
  putUpGrams: 50,
});
const RED = dyeSchema.parse({ id: 'red', name: 'Bell Red', swatchHex: '#b0202c' });
const RED_1 = stockSchema.parse({ id: 'red-1', dyeId: 'red', strengthPercent: 1, volumeMl: 500 });

test('a step that was left out cannot be done by the card, but what another device did of it is taken', async () => {
  const out = leaveOut(await now(), 'p1.acid.bath');
  const [id] = await enter([out]);
  expect((await now()).card.acts.some((line) => line.id === 'p1.acid.bath')).toBe(false);
  await studio.reopen();
  expect((await now()).card.acts.some((line) => line.id === 'p1.acid.bath')).toBe(false);
  await enter([{ kind: 'struck', event: id ?? '', why: '' }]);
  expect((await now()).card.acts.some((line) => line.id === 'p1.acid.bath')).toBe(true);
});

test('a pass that nobody had planned brings its dye, is poured from its jar, and is told in the Book', async () => {
  await studio.storage.write(async (transaction) => {
    await putItem(studio.storage, 'dyes', RED, transaction);
    await putItem(studio.storage, 'stocks', RED_1, transaction);
  });
  const [first] = FORMULATION.recipe.passes;
  const pass = {
    ...(first as Pass),
    id: 'p9',
    dyes: [
      { id: 'd9', dyeId: 'red', entry: { school: 'depth', percent: 0.5 }, stockId: 'red-1', sectionId: null },
    ],
  } as Pass;
  const shelf = { bases: [], dyes: [RED], stocks: [RED_1] };
  await enter([addPass(await now(), { pass, before: null }, shelf)]);
  const line = (await now()).card.acts.find(({ id }) => id === 'p9.dye.d9');
  if (!line) throw new Error('no such line');
  await enter([{ kind: 'act', planned: 'p9.dye.d9', act: line.act, written: '', note: '' }]);
  // 0.5 % of 200 g is 1 g, 100 mL of the jar’s 500.
  expect((await request(studio.app).get('/api/shelf')).body.stockLeft['red-1']).toBe(400);
  expect(await row()).toMatchObject({ dosPercent: 0.5, dyes: 'Bell Red' });
  const strange = JSON.parse(JSON.stringify({ ...line, id: 'p9.strange' }).replaceAll('"red"', '"nobody"'));
  const unknown = addPass(await now(), { pass: { ...pass, id: 'p10' }, before: null }, shelf);
  if (unknown.kind !== 'altered') throw new Error('no change');
  await enter([{ ...unknown, change: { ...unknown.change, lines: [strange] } }], 400);
});

test('goods that come in change the weight, the bases and the depth in the Book, and leave it when taken back', async () => {
  await studio.storage.write((transaction) => putItem(studio.storage, 'bases', SILK, transaction));
  const water = (await now()).card.acts.find(({ id }) => id === 'p1.run.bath');
  if (!water) throw new Error('no water');
  await enter([{ kind: 'act', planned: 'p1.run.bath', act: water.act, written: '', note: '' }]);
  await request(studio.app)
    .post('/api/batches/b1/events')
    .send(eventOf('b1', poured('y1')))
    .expect(201);
  const laid = (await now()).card.acts.find(({ id }) => id === 'p1.place.goods');
  if (!laid) throw new Error('no goods');
  await enter([{ kind: 'act', planned: 'p1.place.goods', act: laid.act, written: '', note: '' }]);
  const line = goodsLineSchema.parse({ ...newGoodsLine('g2', SILK), count: 4 });
  const [bring, done] = await enter(goodsIn(await now(), 'p1', { line, base: SILK, from: null }));
  // 200 g of wool and 4 × 50 g of silk: 2 g of dye are 0.5 %.
  expect(await row()).toMatchObject({ wogGrams: 400, dosPercent: 0.5 });
  expect((await request(studio.app).get('/api/batches?base=silk')).body.total).toBe(1);
  expect(await checkStudio(studio.storage)).toMatchObject({ faults: [] });
  await enter([
    { kind: 'struck', event: done ?? '', why: '' },
    { kind: 'struck', event: bring ?? '', why: '' },
  ]);
  expect(await row()).toMatchObject({ wogGrams: 200, dosPercent: 1 });
});

test('the batch that goods came from says where they went, until that is taken back', async () => {
  const laid = (await now()).card.acts.find(({ id }) => id === 'p1.place.goods');
  if (!laid) throw new Error('no goods');
  await enter([{ kind: 'act', planned: 'p1.place.goods', act: laid.act, written: '', note: '' }]);
  await request(studio.app).post('/api/batches').send(begin('b0')).expect(201);
  const went = async (): Promise<unknown> =>
    (await request(studio.app).get('/api/batches/b0/went-into').expect(200)).body;
  expect(await went()).toEqual([]);
  const line = goodsLineSchema.parse({ ...newGoodsLine('g2', SILK), count: 4 });
  const ids = await enter(goodsIn(await now(), 'p1', { line, base: SILK, from: 'b0' }));
  const { code, name } = await now();
  expect(await went()).toEqual([{ id: 'b1', code, name, gave: { what: 'goods', names: ['Pendant Silk'] } }]);
  // Nor does a batch go into itself, or goods into one that only has a like name.
  expect((await request(studio.app).get('/api/batches/b1/went-into').expect(200)).body).toEqual([]);
  await enter(ids.toReversed().map((event) => ({ kind: 'struck', event, why: '' })));
  expect(await went()).toEqual([]);
});

test('a change that would do another thing under a known name is refused, and changes nothing', async () => {
  const batch = await now();
  const acid = batch.card.acts.find(({ id }) => id === 'p1.acid.bath');
  const water = batch.card.acts.find(({ id }) => id === 'p1.run.bath');
  const change = leaveOut(batch, 'p1.acid.bath');
  if (change.kind !== 'altered' || !acid || !water) throw new Error('no change');
  await enter(
    [{ ...change, change: { ...change.change, out: [], instead: [{ ...water, id: 'p1.acid.bath' }] } }],
    400,
  );
  await enter([{ ...change, change: { ...change.change, lines: [acid, acid] } }], 400);
  expect((await now()).events).toEqual([]);
});

test('a batch begun by mistake gives its jars back and leaves the pots', async () => {
  await request(studio.app)
    .post('/api/batches/b1/events')
    .send(eventOf('b1', poured('y1')))
    .expect(201);
  const left = async (): Promise<number> =>
    (await request(studio.app).get('/api/shelf')).body.stockLeft['blue-1'];
  expect(await left()).toBe(300);
  await enter(dropped(await now()));
  expect(await left()).toBe(500);
  expect((await request(studio.app).get('/api/running')).body).toEqual([]);
  expect(await row()).toMatchObject({ standing: 'dropped' });
});
