import { readDocument, type Batch } from '@ythrion/core';
import request from 'supertest';
import { FIRST_RECIPE, olderDocument } from '../../test/olderStudio';
import { asOlder, BASE, DYE, JAR, testStudio } from '../../test/studio';
import { upgradeDocument } from './upgradeDocument';

const FIRST_VERSION = {
  format: 'ythrion',
  version: 1,
  bases: [BASE],
  dyes: [asOlder(DYE)],
  stocks: [JAR],
  batches: [
    {
      id: 'old',
      code: '26-001',
      name: 'Old vesper',
      startedAt: '2026-01-02T10:00:00Z',
      formulation: {
        name: 'Old vesper',
        recipe: FIRST_RECIPE,
        bases: [BASE],
        dyes: [asOlder(DYE)],
        stocks: [JAR],
      },
      entries: [
        { id: 'e1', at: '2026-01-02T10:05:00Z', kind: 'begun', stepId: 'wet' },
        { id: 'e2', at: '2026-01-02T10:39:00Z', kind: 'done', stepId: 'wet' },
        {
          id: 'e3',
          at: '2026-01-02T10:40:00Z',
          kind: 'poured',
          stepId: 'dye-d1',
          amount: 220,
          unit: 'mL',
          asWritten: '220',
        },
      ],
    },
  ],
};

test('a document of the first version: its pour says dye, jar, strength and amount, its wait the time it took', () => {
  const { batches } = readDocument(upgradeDocument(FIRST_VERSION));
  const [, soak, pour] = (batches[0] as Batch).events;
  expect(pour).toMatchObject({
    kind: 'act',
    planned: 'p1.dye.d1',
    written: '220',
    at: '2026-01-02T10:40:00Z',
    act: {
      kind: 'put',
      pass: 'p1',
      line: 'd1',
      amount: 220,
      unit: 'mL',
      into: { vessel: 'pot' },
      material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 },
    },
  });
  expect(soak).toMatchObject({ kind: 'act', act: { kind: 'stand', vessel: 'soak', minutes: 34 } });
});

test('a whole studio of version 2 comes in, goes out as version 3, and comes in elsewhere unchanged', async () => {
  const [first, second] = [await testStudio(false), await testStudio(false)];
  const take = (into: typeof first, body: object): request.Test =>
    request(into.app).post('/api/document').send(body);
  const { body: report } = await take(first, await olderDocument()).expect(201);
  expect(report.unchanged).toBe(0);
  expect((await take(first, await olderDocument()).expect(201)).body).toEqual({
    added: 0,
    unchanged: report.added,
  });
  const { body: out } = await request(first.app).get('/api/document').expect(200);
  expect(out.version).toBe(3);
  expect(out.batches).toHaveLength(37);
  await take(second, out).expect(201);
  expect((await request(second.app).get('/api/document')).body).toEqual(out);
  await first.remove();
  await second.remove();
}, 120_000);

test('what was wrong with an old document is said as it was, field and all', () => {
  const wrong = {
    ...FIRST_VERSION,
    batches: [
      {
        ...FIRST_VERSION.batches[0],
        entries: [{ id: 'e', at: '2026-01-02T10:05:00Z', kind: 'done', stepId: 'ghost' }],
      },
    ],
  };
  expect(() => upgradeDocument(wrong)).toThrow(/batches\.0\.entries\.0\.stepId: .*no step “ghost”/);
});

test('what is no old document comes back as it is', () => {
  for (const odd of [null, 5, 'text', [], { version: 3 }, { version: 9 }, { colorways: [] }])
    expect(upgradeDocument(odd)).toBe(odd);
  expect(upgradeDocument({ format: 'ythrion', version: 2, colorways: [] })).toMatchObject({
    version: 3,
    batches: [],
  });
});
