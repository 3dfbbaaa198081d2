import request from 'supertest';
import type { Batch, Load, Order, ShelfResponse } from '@ythrion/core';
import { eventOf } from '../../test/records';
import { begin, FORMULATION, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

const load = (nth: number, count: number): Load => ({
  order: 'friday',
  name: 'Friday',
  pieces: 7,
  count,
  load: nth,
});
const post = (id: string, loadOf: unknown) =>
  request(studio.app)
    .post('/api/batches')
    .send({ ...begin(id), loadOf });
const open = async (): Promise<Order[]> =>
  (await request(studio.app).get('/api/orders').expect(200)).body as Order[];

test('loads are batches that know their order; what is left of it is told until nothing is', async () => {
  await post('b1', load(1, 3)).expect(201);
  await post('b2', load(2, 3)).expect(201);
  await post('alone', null).expect(201);
  const { body } = await request(studio.app).get('/api/batches/b2').expect(200);
  expect((body as Batch).loadOf).toEqual(load(2, 3));
  expect(await open()).toMatchObject([
    {
      id: 'friday',
      name: 'Friday',
      pieces: 7,
      left: 1,
      loads: [
        { batch: 'b1', load: 1 },
        { batch: 'b2', load: 2 },
      ],
    },
  ]);
  await post('b3', load(3, 1)).expect(201);
  expect(await open()).toEqual([]);
  const all = (await request(studio.app).get('/api/orders/friday').expect(200)).body as Order;
  expect([all.left, all.loads.map(({ code }) => code)]).toEqual([
    0,
    [expect.stringMatching(/^26-/), expect.any(String), expect.any(String)],
  ]);
  await request(studio.app).get('/api/orders/saturday').expect(404);
});

test('an order on several bases knows what is left of each', async () => {
  const lines = [
    { baseId: 'one', pieces: 4 },
    { baseId: 'other', pieces: 3 },
  ];
  await post('b1', { ...load(1, 3), bases: { here: 'one', lines } }).expect(201);
  await post('b2', { ...load(2, 3), bases: { here: 'other', lines } }).expect(201);
  expect(await open()).toMatchObject([
    {
      left: 1,
      lines: [
        { baseId: 'one', pieces: 4, left: 1 },
        { baseId: 'other', pieces: 3, left: 0 },
      ],
    },
  ]);
});

test('a load that was dropped is to be dyed again', async () => {
  await post('b1', load(1, 7)).expect(201);
  expect(await open()).toEqual([]);
  await request(studio.app)
    .post('/api/batches/b1/events')
    .send(eventOf('b1', { id: 'd', kind: 'closed', outcome: 'not right', standing: 'dropped', note: '' }))
    .expect(201);
  expect((await open()).map(({ left }) => left)).toEqual([7]);
});

test.each([
  [{ ...load(1, 8) }, /cannot have more pieces than its order/],
  [{ ...load(1, 0) }, /at least 1/],
  [{ ...load(1.5, 1) }, /whole number/],
  [
    { ...load(1, 3), bases: { here: 'a', lines: [{ baseId: 'a', pieces: 6 }] } },
    /must come to those of the order/,
  ],
  [
    { ...load(1, 3), bases: { here: 'a', lines: [3, 4].map((pieces) => ({ baseId: 'a', pieces })) } },
    /only once/,
  ],
  [
    { ...load(1, 3), bases: { here: 'b', lines: [{ baseId: 'a', pieces: 7 }] } },
    /on one of the bases of its order/,
  ],
  [
    {
      ...load(1, 4),
      bases: {
        here: 'a',
        lines: [
          { baseId: 'a', pieces: 3 },
          { baseId: 'b', pieces: 4 },
        ],
      },
    },
    /no more pieces than were asked of it/,
  ],
])('a load that cannot be is refused, and no batch begins: %j', async (loadOf, said) => {
  const { body } = await post('b1', loadOf).expect(400);
  expect(JSON.stringify(body)).toMatch(said);
  await request(studio.app).get('/api/batches/b1').expect(404);
});

test('the order goes out and in with the studio', async () => {
  await post('b1', load(1, 3)).expect(201);
  const { body } = await request(studio.app).get('/api/document').expect(200);
  const other = await testStudio(false);
  await request(other.app)
    .post('/api/document')
    .send(body as object)
    .expect((response) => expect(response.status).toBeLessThan(300));
  expect((await request(other.app).get('/api/orders').expect(200)).body).toMatchObject([
    { id: 'friday', left: 4 },
  ]);
  await other.remove();
});

test('patterns from before a way had more to decide are read with what was usual', async () => {
  const old = {
    kind: 'low immersion',
    pan: { shape: 'round', diameterCm: 30 },
    wallCm: 10,
    depthCm: 4,
    turns: 1,
  };
  const pass = { ...FORMULATION.recipe.passes[0], method: old };
  await studio.storage.sequelize.query(
    `INSERT INTO patterns (id, name, pass, note, retired) VALUES ('p', 'Old pan', ?, '', 0)`,
    { replacements: [JSON.stringify(pass)] },
  );
  const shelf = (await request(studio.app).get('/api/shelf').expect(200)).body as ShelfResponse;
  expect(shelf.patterns[0]?.pass.method).toMatchObject({
    ...old,
    sections: [],
    backPercent: 0,
    liquidMl: null,
  });
});
