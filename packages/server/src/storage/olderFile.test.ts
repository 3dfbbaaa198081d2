import request from 'supertest';
import { BASE, begin, DYE, JAR, RECIPE, testStudio, type TestStudio } from '../../test/studio';

/** A recipe as the first version of the data file kept it. */
const OLD_RECIPE = {
  goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
  wettingMinutes: 30,
  passes: [
    {
      id: 'p1',
      method: 'immersion',
      dyes: [{ id: 'd1', dyeId: 'blue', dosPercent: 1, stockId: 'blue-1' }],
      water: { basis: 'ratio', value: 30 },
      acid: { material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' },
    },
  ],
  set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
};

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

/** Puts an old record into the file as an older version wrote it. */
async function anOldFile(): Promise<void> {
  const { sequelize } = studio.storage;
  await sequelize.query(
    `INSERT INTO colorway_versions (id, version, code, name, note, recipe, as_written, retired, saved_at)
     VALUES ('old', 1, '', 'Old vesper', '', ?, '{}', 0, '2026-01-01T10:00:00Z')`,
    { replacements: [JSON.stringify(OLD_RECIPE)] },
  );
  const { madeOf: _, ...dye } = DYE;
  const { lot: __, weighedGrams: ___, ...jar } = JAR;
  await sequelize.query(
    `INSERT INTO batches (id, code, name, colorway_id, colorway_version, again_of, started_at, formulation, closed_at, wog_grams,
       dos_percent, bases, dyes, undyed_hex, hex, outcome, standing, search)
     VALUES ('old-batch', '26-001', 'Old vesper', 'old', 1, NULL, '2026-01-02T10:00:00Z', ?, NULL, 200, 1, '', '', '#efe9dc', '#22449a',
       NULL, NULL, 'old vesper')`,
    {
      replacements: [
        JSON.stringify({
          name: 'Old vesper',
          recipe: OLD_RECIPE,
          bases: [BASE],
          dyes: [dye],
          stocks: [jar],
          pot: null,
        }),
      ],
    },
  );
}

test('a colorway and a batch that an older version wrote are read in today’s shape, and untouched in the file', async () => {
  await anOldFile();
  const { body: versions } = await request(studio.app).get('/api/colorways/old').expect(200);
  expect(versions[0].recipe.passes[0]).toMatchObject({
    method: { kind: 'immersion' },
    dyes: [{ entry: { school: 'depth', percent: 1 }, sectionId: null }],
    acids: [{ value: 1 }],
    heat: null,
  });
  const { body: batch } = await request(studio.app).get('/api/batches/old-batch').expect(200);
  expect(batch.formulation.recipe.passes[0].dyes[0].entry).toEqual({ school: 'depth', percent: 1 });
  expect(batch.formulation.tools).toEqual([]);
  const [rows] = await studio.storage.sequelize.query(
    `SELECT recipe FROM colorway_versions WHERE id = 'old'`,
  );
  expect(JSON.parse((rows[0] as { recipe: string }).recipe)).toEqual(OLD_RECIPE);
});

test('an old batch is ticked on by the ids its record knows', async () => {
  await anOldFile();
  const tick = (stepId: string, amount: number) =>
    request(studio.app)
      .post('/api/batches/old-batch/entries')
      .send({ id: `e-${stepId}`, at: '2026-01-02T10:05:00Z', kind: 'poured', stepId, amount, unit: 'mL' });
  await tick('water', 5680).expect(201);
  await tick('dye-d1', 200).expect(201);
  await tick('acid', 120).expect(201);
  const { body: shelf } = await request(studio.app).get('/api/shelf');
  expect(shelf.stockLeft['blue-1']).toBeCloseTo(300, 9);
});

test('what an old file holds goes out as a document that comes in elsewhere', async () => {
  await anOldFile();
  const { body: document } = await request(studio.app).get('/api/document').expect(200);
  expect(document.version).toBe(2);
  const other = await testStudio(false);
  await request(other.app).post('/api/document').send(document).expect(201);
  const { body } = await request(other.app).get('/api/batches/old-batch').expect(200);
  expect(body.name).toBe('Old vesper');
  await other.remove();
});

describe('tools, patterns and premixes on the shelf', () => {
  const TOOL = { id: 't1', name: '10 mL syringe', kind: 'syringe', capacity: 10, graduation: 0.2 };
  test('a tool is kept, revised and retired', async () => {
    await request(studio.app).put('/api/tools/t1').send(TOOL).expect(200);
    await request(studio.app)
      .put('/api/tools/t1')
      .send({ ...TOOL, retired: true })
      .expect(200);
    await studio.reopen();
    const { body } = await request(studio.app).get('/api/shelf');
    expect(body.tools).toEqual([{ ...TOOL, note: '', retired: true }]);
  });
  test('a graduation larger than the tool is refused', async () => {
    const { body } = await request(studio.app)
      .put('/api/tools/t1')
      .send({ ...TOOL, graduation: 12 })
      .expect(400);
    expect(body.problems[0]).toMatchObject({
      field: 'graduation',
      message: expect.stringMatching(/cannot be larger than what the tool holds/) as string,
    });
  });
  test('a pattern keeps its pass', async () => {
    const pattern = { id: 'x', name: 'Plain', pass: RECIPE.passes[0] };
    await request(studio.app).put('/api/patterns/x').send(pattern).expect(200);
    const { body } = await request(studio.app).get('/api/shelf');
    expect(body.patterns[0]).toMatchObject({ name: 'Plain', pass: { method: { kind: 'immersion' } } });
  });
  test('a premix that would hold itself is refused, and nothing is kept', async () => {
    const mix = (id: string, of: string) => ({
      id,
      name: id,
      swatchHex: '#335577',
      madeOf: [{ dyeId: of, parts: 1 }],
    });
    await request(studio.app).put('/api/dyes/one').send(mix('one', 'blue')).expect(200);
    await request(studio.app).put('/api/dyes/two').send(mix('two', 'one')).expect(200);
    const { body } = await request(studio.app).put('/api/dyes/one').send(mix('one', 'two')).expect(400);
    expect(body.message).toMatch(/holds itself: one → two → one/);
    const { body: shelf } = await request(studio.app).get('/api/shelf');
    expect(shelf.dyes.find((dye: { id: string }) => dye.id === 'one').madeOf).toEqual([
      { dyeId: 'blue', parts: 1 },
    ]);
  });
});

test('a batch that cannot be dyed like that is not begun, and says why', async () => {
  const first = begin('b1');
  const sealed = {
    ...first,
    formulation: {
      ...first.formulation,
      recipe: {
        ...first.formulation.recipe,
        set: { ...first.formulation.recipe.set, method: 'microwave', temperatureC: 95, wrap: 'sealed' },
      },
    },
  };
  const { body } = await request(studio.app).post('/api/batches').send(sealed).expect(400);
  expect(body.message).toMatch(/Never seal a bag for the microwave/);
  await request(studio.app).get('/api/batches/b1').expect(404);
});
