import request from 'supertest';
import { BASE, DYE, JAR, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

const put = (resource: string, body: Record<string, unknown>): request.Test =>
  request(studio.app)
    .put(`/api/${resource}/${String(body.id)}`)
    .send(body);

test('an empty studio has an empty shelf and its own defaults', async () => {
  const empty = await testStudio(false);
  const { body } = await request(empty.app).get('/api/shelf').expect(200);
  expect(body).toEqual({
    studio: {
      name: 'My studio',
      spoons: 'US',
      currency: 'USD',
      water: { alkalinityMgPerL: 100, countFiberUptake: true },
      place: { altitudeM: 0, tapC: 20, roomC: 20 },
      citricGramsPerTeaspoon: null,
      habits: {
        spoons: ['cup', '1/2 cup', '1/4 cup', 'tbsp', 'tsp', '1/2 tsp', '1/4 tsp', '1/8 tsp'],
        own: { pinch: null, dash: null, smidgen: null, splash: null, drop: null },
        shown: { pours: 'mL', water: 'L', mass: 'g', temperature: '°C', length: 'cm' },
        usualAcid: 'vinegar',
        primaries: { cyan: null, magenta: null, yellow: null, black: null },
      },
    },
    bases: [],
    dyes: [],
    stocks: [],
    stockLeft: {},
    countedTo: 0,
    pots: [],
    tools: [],
    patterns: [],
    soughts: [],
  });
  await empty.remove();
});

test('things are added, revised and retired; every revision is kept', async () => {
  await put('dyes', { ...DYE, name: 'Vault Blue, new lot', lotStrength: 1.1 }).expect(200);
  await put('dyes', { ...DYE, name: 'Vault Blue, new lot', lotStrength: 1.1, retired: true }).expect(200);
  const { body } = await request(studio.app).get('/api/shelf');
  expect(body.dyes).toHaveLength(1);
  expect(body.dyes[0]).toMatchObject({ name: 'Vault Blue, new lot', lotStrength: 1.1, retired: true });
  expect(await studio.storage.models.revisions.count({ where: { itemId: DYE.id } })).toBe(3);
});

const HABITS = {
  spoons: ['tbsp', 'tsp', '1/4 tsp'],
  own: { pinch: 0.4, dash: null, smidgen: null, splash: 20, drop: null },
  shown: { pours: 'spoons', water: 'cups', mass: 'oz', temperature: '°F', length: 'in' },
  usualAcid: 'citric',
  primaries: { cyan: 'blue', magenta: null, yellow: null, black: null },
};

test('pots and the studio’s own settings are kept over a restart', async () => {
  await put('pots', { id: 'pot', name: 'Great bell', capacityMl: 10000 }).expect(200);
  await request(studio.app)
    .put('/api/studio')
    .send({
      name: 'The Escapement',
      spoons: 'metric',
      currency: 'EUR',
      water: { alkalinityMgPerL: 40, countFiberUptake: false },
      place: { altitudeM: 1500, tapC: 12, roomC: 22 },
      citricGramsPerTeaspoon: 4.9,
      habits: HABITS,
    })
    .expect(200);
  await studio.reopen();
  const { body } = await request(studio.app).get('/api/shelf');
  expect(body.pots[0]).toMatchObject({ name: 'Great bell', kind: 'pot', capacityMl: 10000 });
  expect(body.studio).toEqual({
    name: 'The Escapement',
    spoons: 'metric',
    currency: 'EUR',
    water: { alkalinityMgPerL: 40, countFiberUptake: false },
    place: { altitudeM: 1500, tapC: 12, roomC: 22 },
    citricGramsPerTeaspoon: 4.9,
    habits: HABITS,
  });
});

test.each<[string, string, Record<string, unknown>, number, string, RegExp]>([
  ['negative mass', 'bases', { ...BASE, id: 'x', putUpGrams: -100 }, 400, 'putUpGrams', /more than zero/],
  ['zero mass', 'bases', { ...BASE, id: 'x', putUpGrams: 0 }, 400, 'putUpGrams', /more than zero/],
  [
    'fibers not summing to 100 %',
    'bases',
    {
      ...BASE,
      id: 'x',
      fibers: [
        { fiber: 'wool', percent: 60 },
        { fiber: 'silk', percent: 30 },
      ],
    },
    400,
    'fibers',
    /these add up to 90 %/,
  ],
  [
    'stock over 10 %',
    'stocks',
    { ...JAR, id: 'x', strengthPercent: 10.5 },
    400,
    'strengthPercent',
    /cannot be over 10 %/,
  ],
  [
    'a swatch over 12 %',
    'dyes',
    { ...DYE, id: 'x', swatchDosPercent: 13 },
    400,
    'swatchDosPercent',
    /cannot be over 12 %/,
  ],
  [
    'an unknown dye in a jar',
    'stocks',
    { ...JAR, id: 'x', dyeId: 'ghost' },
    409,
    'dyeId',
    /no dye with the id/,
  ],
  ['a jar changing its dye', 'stocks', { ...JAR, dyeId: 'red' }, 409, 'dyeId', /dye/],
  [
    'a color that is none',
    'dyes',
    { ...DYE, id: 'x', swatchHex: 'blue' },
    400,
    'swatchHex',
    /six hexadecimal digits/,
  ],
  ['an empty name', 'dyes', { ...DYE, id: 'x', name: '  ' }, 400, 'name', /cannot be empty/],
  ['a field nobody knows', 'dyes', { ...DYE, id: 'x', smell: 'sharp' }, 400, '', /no field “smell”/],
])(
  '%s is refused with the field named, and changes nothing',
  async (_, resource, body, status, field, message) => {
    const before = (await request(studio.app).get('/api/shelf')).body;
    const { body: refusal } = await put(resource, body).expect(status);
    expect(refusal.problems[0].field).toBe(field);
    expect(refusal.message).toMatch(message);
    expect((await request(studio.app).get('/api/shelf')).body).toEqual(before);
  },
);

test('the id in the address and in the body must agree', async () => {
  await request(studio.app).put('/api/dyes/other').send(DYE).expect(400);
});

describe('requests that are none', () => {
  test('malformed JSON', async () => {
    const { body } = await request(studio.app)
      .put('/api/dyes/x')
      .set('Content-Type', 'application/json')
      .send('{"id": ')
      .expect(400);
    expect(body.message).toMatch(/not JSON/);
  });
  test('a 50 MB body, at the document’s address and elsewhere', async () => {
    const huge = JSON.stringify({ note: 'x'.repeat(50 * 1024 * 1024) });
    for (const address of ['/api/document', '/api/colorways']) {
      const { body } = await request(studio.app)
        .post(address)
        .set('Content-Type', 'application/json')
        .send(huge)
        .expect(413);
      expect(body.message).toMatch(/too large: at most \d+ MB/);
    }
  });
  test('an address that is not there', async () => {
    const { body } = await request(studio.app).get('/api/nothing').expect(404);
    expect(body.message).toMatch(/nothing at this address/);
  });
  test('no body at all', async () => void (await request(studio.app).post('/api/batches').expect(400)));
});
