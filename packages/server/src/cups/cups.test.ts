import request from 'supertest';
import {
  addToCup,
  beginCup,
  cupNow,
  keepCup,
  pourCup,
  strikeOut,
  towelTest,
  type Batch,
  type CupRecord,
  type NewEvent,
} from '@ythrion/core';
import { eventOf } from '../../test/records';
import { begin, DYE, testStudio, type TestStudio } from '../../test/studio';
import { wholeDocument } from '../../test/wholeDocument';
import { checkStudio } from '../backup/check';
import { importDocument } from '../document/importDocument';

let studio: TestStudio;
beforeEach(async () => (studio = await testStudio()));
afterEach(() => studio.remove());

const RED = { ...DYE, id: 'red', name: 'Bell Red', swatchHex: '#b0202c' };
const TBSP = 14.786764;
const US = { system: 'US', spoons: ['tbsp', 'tsp'] } as const;
let counted = 0;
async function enter(record: 'batches' | 'cups', id: string, event: NewEvent, status = 201): Promise<string> {
  counted += 1;
  const sent = {
    ...eventOf(id, { id: `c${counted}`, ...event }),
    of: { kind: record === 'cups' ? 'vessel' : 'batch', id },
  };
  await request(studio.app).post(`/api/${record}/${id}/events`).send(sent).expect(status);
  return `c${counted}`;
}
const cups = async (): Promise<CupRecord[]> => (await request(studio.app).get('/api/cups').expect(200)).body;
const cup = async () => cupNow((await cups()).find(({ id }) => id === 'cup1')!);
const spoon = async (dyeId: string, stockId: string | null, amount = TBSP): Promise<NewEvent> =>
  addToCup(await cup(), {
    material: {
      kind: 'dye',
      dyeId,
      stockId,
      strengthPercent: stockId === null ? null : 1,
      lotStrength: 1,
    },
    unit: stockId === null ? 'g' : 'mL',
    amount,
    written: stockId === null ? '' : '1 tbsp',
  });
const left = async (id: string): Promise<number> =>
  (await request(studio.app).get('/api/shelf')).body.stockLeft[id];
const KEPT = { name: 'Weathercock', dyeId: 'mix', stockId: 'mix-1', today: '2026-11-27' };

test('a cup is begun by its first entry, draws from the jars, and gives back what is taken back', async () => {
  await enter('cups', 'cup1', towelTest('red'), 400);
  await enter('cups', 'cup1', beginCup('Weathercock 1', 250));
  const id = await enter('cups', 'cup1', await spoon('blue', 'blue-1'));
  await enter('cups', 'cup1', await spoon('blue', 'blue-1'));
  expect(await left('blue-1')).toBeCloseTo(500 - 2 * TBSP, 3);
  await enter('cups', 'cup1', strikeOut({ id }));
  expect(await left('blue-1')).toBeCloseTo(500 - TBSP, 3);
  await enter('cups', 'cup1', strikeOut({ id }));
  expect(await left('blue-1')).toBeCloseTo(500 - TBSP, 3);
  expect((await cup()).additions).toHaveLength(1);
  await enter('cups', 'cup1', await spoon('gone', null, 1), 400);
  expect(await checkStudio(studio.storage)).toMatchObject({ faults: [] });
});

test('the same entry sent twice is there once; another under its id is refused', async () => {
  const one = {
    ...eventOf('cup1', { id: 'same', ...beginCup('A', null) }),
    of: { kind: 'vessel', id: 'cup1' },
  };
  const post = (body: object) => request(studio.app).post('/api/cups/cup1/events').send(body);
  const first = await post(one).expect(201);
  expect((await post(one).expect(201)).body.seq).toBe(first.body.seq);
  await post({ ...one, ...beginCup('B', null) }).expect(409);
  await request(studio.app)
    .post('/api/cups/cup2/events')
    .send({ ...one, id: 'other' })
    .expect(400);
});

test('poured into a pot, its jars give it once, and the pot says what went in', async () => {
  await request(studio.app).post('/api/batches').send(begin('b1')).expect(201);
  const { body } = await request(studio.app).get('/api/batches/b1');
  await enter('cups', 'cup1', beginCup('Weathercock 1', 250));
  await enter('cups', 'cup1', await spoon('blue', 'blue-1'));
  const pour = pourCup(await cup(), 0.5, { batch: body as Batch, pass: 'p1', place: null }, US);
  await enter('cups', 'cup1', pour.cup);
  for (const event of pour.batch) await enter('batches', 'b1', event);
  expect(await left('blue-1')).toBeCloseTo(500 - TBSP, 3);
  // Half a tablespoon of 1 % on 200 g.
  const [row] = (await request(studio.app).get('/api/batches')).body.rows;
  expect(row.dosPercent).toBeCloseTo(TBSP / 2 / 200, 6);
  expect(await checkStudio(studio.storage)).toMatchObject({ faults: [] });
  // Nor does a cup take what belongs to a batch, or a batch what belongs to a cup.
  await enter('batches', 'b1', pour.cup, 400);
  await enter(
    'cups',
    'cup1',
    { kind: 'closed', outcome: 'as planned' as never, standing: 'trial' as never, note: '' },
    400,
  );
});

test('a cup that is empty by now is not poured again by another device', async () => {
  await enter('cups', 'cup1', beginCup('A', null));
  await enter('cups', 'cup1', await spoon('blue', 'blue-1'));
  await enter('cups', 'cup1', { kind: 'poured', share: 1, batch: null, into: '', entries: [] });
  await enter('cups', 'cup1', { kind: 'poured', share: 1, batch: null, into: '', entries: [] }, 400);
});

test('what is kept of a cup stands on the shelf by the same entry, and leaves it when that is taken back', async () => {
  await request(studio.app).put('/api/dyes/red').send(RED).expect(200);
  await enter('cups', 'cup1', beginCup('Weathercock 1', 250));
  await enter('cups', 'cup1', await spoon('blue', 'blue-1'));
  await enter('cups', 'cup1', await spoon('red', null, 0.05));
  const id = await enter('cups', 'cup1', keepCup(await cup(), 1, KEPT, [DYE, RED]));
  const shelf = (await request(studio.app).get('/api/shelf')).body;
  const jar = shelf.stocks.find((one: { id: string }) => one.id === 'mix-1');
  // 0.148 g of blue and 0.05 g of red in a tablespoon.
  expect(jar.strengthPercent).toBeCloseTo((100 * (TBSP / 100 + 0.05)) / TBSP, 3);
  expect(shelf.dyes.find((one: { id: string }) => one.id === 'mix').madeOf).toHaveLength(2);
  expect(await left('mix-1')).toBeCloseTo(TBSP, 3);
  await enter('cups', 'cup1', strikeOut({ id }));
  const after = (await request(studio.app).get('/api/shelf')).body;
  expect(after.stocks.find((one: { id: string }) => one.id === 'mix-1').retired).toBe(true);
  expect((await cup()).parts).toHaveLength(2);
});

test('cups go out and in with the studio, and are no other cup afterwards', async () => {
  await enter('cups', 'cup1', beginCup('Weathercock 1', 250));
  await enter('cups', 'cup1', await spoon('blue', 'blue-1'));
  const whole = await wholeDocument(studio.storage);
  expect(whole.cups).toHaveLength(1);
  const other = await testStudio(false);
  try {
    await importDocument(other.storage, whole);
    expect(await wholeDocument(other.storage)).toEqual(whole);
    expect(await checkStudio(other.storage)).toMatchObject({ faults: [] });
    expect((await request(other.app).get('/api/shelf')).body.stockLeft['blue-1']).toBeCloseTo(500 - TBSP, 3);
    expect(await importDocument(other.storage, whole)).toMatchObject({ added: 0 });
    const changed = { ...whole, cups: whole.cups.map((one) => ({ ...one, events: one.events.slice(0, 1) })) };
    await expect(importDocument(other.storage, changed)).rejects.toThrow();
  } finally {
    await other.remove();
  }
});
