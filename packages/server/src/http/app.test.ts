import { mkdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import fc from 'fast-check';
import { pino } from 'pino';
import request from 'supertest';
import { begin, DYE, testApp, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
  await request(studio.app).post('/api/batches').send(begin('b1')).expect(201);
});
afterAll(() => studio.remove());

const whole = async (): Promise<unknown> => (await request(studio.app).get('/api/document')).body;

describe('whatever is sent', () => {
  const addresses = fc.constantFrom<['put' | 'post', string]>(
    ['put', '/api/dyes/x'],
    ['put', '/api/bases/x'],
    ['put', '/api/stocks/x'],
    ['put', '/api/pots/x'],
    ['put', '/api/soughts/x'],
    ['post', '/api/cups/c1/events'],
    ['put', '/api/studio'],
    ['post', '/api/colorways'],
    ['post', '/api/batches'],
    ['post', '/api/batches/b1/events'],
    ['post', '/api/document'],
  );
  test('random JSON is refused with a sentence, never a failure, and changes nothing', async () => {
    const before = await whole();
    await fc.assert(
      fc.asyncProperty(addresses, fc.jsonValue({ maxDepth: 3 }), async ([method, address], body) => {
        if (address === '/api/studio') fc.pre(JSON.stringify(body) !== '{}');
        const agent = request(studio.app);
        const asked = method === 'put' ? agent.put(address) : agent.post(address);
        const answer = await asked.set('Content-Type', 'application/json').send(JSON.stringify(body));
        expect([address, answer.status >= 400 && answer.status < 500]).toEqual([address, true]);
        expect(answer.body.message.length).toBeGreaterThan(5);
      }),
      { numRuns: 150 },
    );
    expect(await whole()).toEqual(before);
  });

  test('an address with a NUL is refused, wherever it leads', async () => {
    for (const address of [
      '/api/colorways/%00',
      '/api/batches/%00',
      '/api/find?q=%00',
      '/%00',
      '/assets/%00',
    ]) {
      const { status, body } = await request(studio.app).get(address);
      expect([address, status, body.message]).toEqual([
        address,
        400,
        'This address holds a character that no name has.',
      ]);
    }
  });

  test('a text with a hidden character is refused, the field named; tabs and new lines are none', async () => {
    const put = (changes: object) =>
      request(studio.app)
        .put('/api/dyes/hidden')
        .send({ ...DYE, id: 'hidden', ...changes });
    for (const hidden of ['Vault\u0000Blue', 'Vault\u202eeulB', 'Vault\u2066Blue', 'Vault\u0007']) {
      const { status, body } = await put({ name: hidden });
      expect([status, body.problems[0].field]).toEqual([400, 'name']);
      expect(body.message).toMatch(/^name: This text holds a hidden character/);
    }
    await put({ note: 'first\n\tsecond — ünïcode ✓' }).expect(200);
  });

  test('whoever only asks what the stream is gets an end', async () => {
    const { status, headers } = await request(studio.app).head('/api/live').timeout(3000);
    expect([status, headers['content-type']]).toEqual([200, expect.stringMatching(/^text\/event-stream/)]);
  });

  test('what is missing or of the wrong kind is said in words, with its field', async () => {
    const { body } = await request(studio.app).post('/api/batches').send({ id: 'b9', name: 'x' }).expect(400);
    const said = Object.fromEntries(
      body.problems.map(({ field, message }: { field: string; message: string }) => [field, message]),
    );
    expect(said).toMatchObject({ formulation: 'This is missing.' });
    const other = await request(studio.app)
      .post('/api/batches')
      .send({ ...begin('b9'), formulation: 7 });
    expect(other.body.message).toBe('formulation: This must be a set of fields.');
    const list = await request(studio.app).post('/api/batches').send([]);
    expect(list.body.message).toBe('This must be a set of fields.');
    expect(JSON.stringify([body, other.body, list.body])).not.toMatch(/Invalid|received|expected/);
  });

  test('a good dye with one field spoiled names that field', async () => {
    const spoiled: [string, unknown][] = [
      ['name', ''],
      ['name', 7],
      ['swatchHex', '#12'],
      ['swatchDosPercent', 0],
      ['swatchDosPercent', 12.5],
      ['swatchDosPercent', '1'],
      ['lotStrength', 0],
      ['lotStrength', 6],
      ['gramsPerTeaspoon', -1],
      ['jarPriceCents', 1.5],
      ['jarPriceCents', -1],
      ['jarGrams', 0],
      ['dyeClass', 'direct'],
      ['retired', 'no'],
    ];
    for (const [field, value] of spoiled) {
      const { status, body } = await request(studio.app)
        .put('/api/dyes/blue')
        .send({ ...DYE, [field]: value });
      expect([field, value, status, body.problems[0]?.field]).toEqual([field, value, 400, field]);
    }
  });

  test('words that look like commands are only words', async () => {
    const name = `Robert'); DROP TABLE dyes;--`;
    await request(studio.app)
      .put('/api/dyes/odd')
      .send({ ...DYE, id: 'odd', name })
      .expect(200);
    expect((await request(studio.app).get('/api/find').query({ q: "'); DROP" })).body).toEqual([
      { kind: 'dye', id: 'odd', name, code: '' },
    ]);
    expect((await request(studio.app).get('/api/batches').query({ q: `%' OR '1'='1` })).body.total).toBe(0);
  });
});

describe('the site', () => {
  test('is served beside the API, with long caching for what carries its hash, and hardened headers', async () => {
    const site = path.join(studio.folder, 'site');
    await mkdir(path.join(site, 'assets'), { recursive: true });
    await writeFile(path.join(site, 'index.html'), '<title>Ythrion</title>');
    await writeFile(path.join(site, 'assets/a-123.js'), 'export {}');
    const app = await testApp(studio.storage, studio.folder, pino({ level: 'silent' }), site);
    const page = await request(app).get('/colorways/anything').expect(200);
    expect(page.text).toContain('Ythrion');
    expect(page.headers['content-security-policy']).toContain("default-src 'self'");
    expect(page.headers['x-powered-by']).toBeUndefined();
    expect((await request(app).get('/assets/a-123.js').expect(200)).headers['cache-control']).toContain(
      'immutable',
    );
    await request(app).get('/api/nothing').expect(404).expect('Content-Type', /json/);
    await request(app).get('/api/health').expect(200, { ok: true });
  });
});
