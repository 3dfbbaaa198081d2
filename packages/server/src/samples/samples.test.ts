import request from 'supertest';
import { inventedBase, inventedDyeing, type Sample } from '@ythrion/core';
import { testStudio, type TestStudio } from '../../test/studio';
import { colorsOfStudio } from './colors';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

const WOOL = inventedBase({ top: 0.88, drop: 0.3, over: 60 });
const BLUE = { bands: [{ nm: 610, width: 40, strength: 9 }], everywhere: 0.05, power: 1, saturation: 0.05 };
const sample = (id: string, dosPercent: number | null): Sample => ({
  id,
  baseId: 'wool',
  dyes: dosPercent === null ? [] : [{ dyeId: 'blue', dosPercent }],
  color: {
    kind: 'reflectance',
    reflectance: [...(dosPercent === null ? WOOL : inventedDyeing(BLUE, WOOL, 0, dosPercent))],
  },
  invented: false,
  note: '',
  retired: false,
});
const put = (body: Sample) => request(studio.app).put(`/api/samples/${body.id}`).send(body);
const colors = async () => (await request(studio.app).get('/api/colors').expect(200)).body;

describe('samples of dyes', () => {
  test('a studio that measured nothing has no colors; with a ladder it has', async () => {
    expect(await colors()).toBeNull();
    await put(sample('s0', null)).expect(200);
    expect(await colors()).toBeNull();
    for (const dos of [0.1, 0.5, 2]) await put(sample(`s${dos * 10}`, dos)).expect(200);
    const found = await colors();
    expect(found.dyes.blue).toMatchObject({ samples: 3, invented: 0 });
    expect(found.bases.wool).toMatchObject({ measured: true });
    // Nearly all of its absorption lies where it was given.
    expect(found.dyes.blue.k.indexOf(Math.max(...found.dyes.blue.k))).toBe((610 - 400) / 10);
  });
  test('samples outlive the program, are told in the document, and come back from it', async () => {
    await put(sample('s1', 0.5)).expect(200);
    await studio.reopen();
    const { text } = await request(studio.app).get('/api/document').expect(200);
    const document = JSON.parse(text) as { samples: Sample[] };
    expect(document.samples).toEqual([sample('s1', 0.5)]);
    const other = await testStudio();
    try {
      await request(other.app).post('/api/document').send(document).expect(201);
      const { body } = await request(other.app).get('/api/colors');
      expect(body.dyes.blue.samples).toBe(1);
    } finally {
      await other.remove();
    }
  });
  test('the same sample once more is left as it is; with another color it is refused', async () => {
    await put(sample('s1', 0.5)).expect(200);
    const { text } = await request(studio.app).get('/api/document');
    const document = JSON.parse(text) as { samples: Sample[] };
    expect((await request(studio.app).post('/api/document').send(document).expect(201)).body.added).toBe(0);
    document.samples = [sample('s1', 0.6)];
    const { body } = await request(studio.app).post('/api/document').send(document).expect(400);
    expect(body.message).toMatch(/“s1” is on the shelf already/);
  });
  test.each([
    ['of a base that is not there', { baseId: 'no' }, 'baseId', /no base with the id “no”/],
    [
      'of a dye that is not there',
      { dyes: [{ dyeId: 'no', dosPercent: 1 }] },
      'dyes.0.dyeId',
      /no dye with the id “no”/,
    ],
    [
      'of one dye twice',
      {
        dyes: [
          { dyeId: 'blue', dosPercent: 1 },
          { dyeId: 'blue', dosPercent: 2 },
        ],
      },
      'dyes',
      /named twice/,
    ],
    ['without depth', { dyes: [{ dyeId: 'blue', dosPercent: 0 }] }, 'dyes.0.dosPercent', /more than zero/],
    [
      'with too few bands',
      { color: { kind: 'reflectance', reflectance: WOOL.slice(1) } },
      'color.reflectance',
      /31 values, from 400 to 700 nm/,
    ],
    [
      'in percent',
      { color: { kind: 'reflectance', reflectance: WOOL.map((r) => 100 * r) } },
      'color.reflectance.0',
      /divided by 100/,
    ],
    ['lighter than white', { color: { kind: 'lab', lab: [101, 0, 0] } }, 'color.lab.0', /0 to 100/],
    ['outside a screen', { color: { kind: 'srgb', srgb: [0, 256, 0] } }, 'color.srgb.1', /0 to 255/],
  ])('a sample %s is refused, and nothing is kept', async (_, wrong, field, message) => {
    const { body } = await request(studio.app)
      .put('/api/samples/s1')
      .send({ ...sample('s1', 1), ...wrong })
      .expect(400);
    expect(body.problems[0]).toMatchObject({ field, message: expect.stringMatching(message) as string });
    const { text } = await request(studio.app).get('/api/document');
    expect((JSON.parse(text) as { samples: Sample[] }).samples).toEqual([]);
  });
  test('a document with a sample of an unknown base is refused whole, naming it', async () => {
    const document = {
      format: 'ythrion',
      version: 3,
      samples: [{ ...sample('s1', 1), baseId: 'nowhere' }],
    };
    const { body } = await request(studio.app).post('/api/document').send(document).expect(400);
    expect(body.problems[0]).toMatchObject({ field: 'samples.0.baseId' });
  });
});

describe('the color that a recipe is expected to come out as', () => {
  const ask = (recipe: unknown) =>
    request(studio.app)
      .get('/api/colors/expected')
      .query({ recipe: typeof recipe === 'string' ? recipe : JSON.stringify(recipe) });
  const recipe = { baseId: 'wool', dyes: [{ dyeId: 'blue', dosPercent: 0.5, pass: 0 }] };
  test('is told with how sure it is, once its dyes were measured', async () => {
    expect((await ask(recipe).expect(200)).body).toBeNull();
    await put(sample('s0', null)).expect(200);
    for (const dos of [0.1, 0.5, 2]) await put(sample(`s${dos * 10}`, dos)).expect(200);
    const { body } = await ask(recipe).expect(200);
    expect(body.samples).toBe(3);
    expect(body.spreadDE00).toBeGreaterThan(0.3);
    expect(body.spreadDE00).toBeLessThan(4);
    expect(body.lab[2]).toBeLessThan(-10);
  });
  test.each([
    ['no JSON', '{', /no JSON/],
    ['no dye', { ...recipe, dyes: [] }, /at least one dye/],
    [
      'a depth of nothing',
      { ...recipe, dyes: [{ dyeId: 'blue', dosPercent: 0, pass: 0 }] },
      /more than zero/,
    ],
    ['half a pass', { ...recipe, dyes: [{ dyeId: 'blue', dosPercent: 1, pass: 0.5 }] }, /whole number/],
  ])('a question with %s is refused', async (_, wrong, message) => {
    const { body } = await ask(wrong).expect(400);
    expect(body.message).toMatch(message);
  });
});

describe('finding colors', () => {
  test('they are found once, and anew only when something they hang on was changed', async () => {
    let found = 0;
    const tell = colorsOfStudio(studio.storage, () => {
      found += 1;
      return Promise.resolve(null);
    });
    await tell();
    await Promise.all([tell(), tell()]);
    expect(found).toBe(1);
    await put(sample('s1', 1)).expect(200);
    await tell();
    expect(found).toBe(2);
    const { body } = await request(studio.app).get('/api/shelf');
    const blue = body.dyes.find(({ id }: { id: string }) => id === 'blue');
    await request(studio.app)
      .put('/api/dyes/blue')
      .send({ ...blue, note: 'shake it' })
      .expect(200);
    await tell();
    expect(found).toBe(2);
    await request(studio.app)
      .put('/api/dyes/blue')
      .send({ ...blue, swatchHex: '#335599' })
      .expect(200);
    await tell();
    expect(found).toBe(3);
  });
  test('what went wrong once is tried again', async () => {
    let fails = true;
    const tell = colorsOfStudio(studio.storage, () =>
      fails ? Promise.reject(new Error('cut short')) : Promise.resolve(null),
    );
    await expect(tell()).rejects.toThrow('cut short');
    fails = false;
    await expect(tell()).resolves.toBeNull();
  });
});
