import request from 'supertest';
import { RECIPE, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

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
