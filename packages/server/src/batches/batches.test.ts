import request from 'supertest';
import { doubtsOf, type Event } from '@ythrion/core';
import { added, eventOf, poured, stock, ticked } from '../../test/records';
import { begin, FORMULATION, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

const start = (id: string, changes = {}): request.Test =>
  request(studio.app).post('/api/batches').send(begin(id, changes));
const enter = (batch: string, event: Record<string, unknown>): request.Test =>
  request(studio.app).post(`/api/batches/${batch}/events`).send(eventOf(batch, event));
const remaining = async (): Promise<number> =>
  (await request(studio.app).get('/api/shelf')).body.stockLeft['blue-1'];

test('a batch begins with a code of its own, runs, is closed, and leaves the running list', async () => {
  const { body } = await start('b1').expect(201);
  expect(body).toMatchObject({ id: 'b1', code: '26-001', events: [] });
  expect((await start('b2')).body.code).toBe('26-002');
  await enter('b1', poured('e1')).expect(201);
  expect(
    (await request(studio.app).get('/api/running')).body.map((batch: { id: string }) => batch.id),
  ).toEqual(['b1', 'b2']);
  await enter('b1', { id: 'e2', kind: 'closed', outcome: 'as wanted', standing: 'regular', note: '' }).expect(
    201,
  );
  expect(
    (await request(studio.app).get('/api/running')).body.map((batch: { id: string }) => batch.id),
  ).toEqual(['b2']);
  const { body: book } = await request(studio.app).get('/api/batches');
  expect(book.total).toBe(2);
  expect(book.rows.find((row: { id: string }) => row.id === 'b1')).toMatchObject({
    outcome: 'as wanted',
    standing: 'regular',
    dosPercent: 1,
  });
});

test('a plan whose card could not be kept is refused before anything is written', async () => {
  const [pass] = FORMULATION.recipe.passes;
  // 50 g/L out of a bottle of 0.0000001 % would be some 10^11 mL.
  const acids = [{ material: 'vinegar', strengthPercent: 1e-7, basis: 'gPerL', value: 50, when: 'start' }];
  const formulation = { ...FORMULATION, recipe: { ...FORMULATION.recipe, passes: [{ ...pass, acids }] } };
  const { body } = await start('b1', { formulation }).expect(400);
  expect(body.problems[0].message).toMatch(/beyond what any vessel holds/);
  expect((await request(studio.app).get('/api/batches')).body.total).toBe(0);
});

test('what was acknowledged is there after a restart', async () => {
  await start('b1');
  for (let i = 0; i < 10; i += 1)
    await enter('b1', { id: `n${i}`, kind: 'noted', text: `turn ${i}` }).expect(201);
  await studio.reopen();
  const { body } = await request(studio.app).get('/api/batches/b1').expect(200);
  expect(body.events.map((event: Event) => event.id)).toEqual(Array.from({ length: 10 }, (_, i) => `n${i}`));
});

test('a request repeated after a lost answer changes nothing', async () => {
  await start('b1').expect(201);
  await start('b1').expect(201);
  const first = eventOf('b1', poured('e1'));
  const post = (body: object) => request(studio.app).post('/api/batches/b1/events').send(body);
  await post(first).expect(201);
  const { body: arrival } = await post(first).expect(201);
  expect(arrival).toEqual({ seq: 1, event: first });
  expect((await request(studio.app).get('/api/batches/b1')).body.events).toHaveLength(1);
  expect(await remaining()).toBe(300);
  await enter('b1', poured('e1', 150)).expect(409);
  await start('b1', { name: 'Another' }).expect(409);
});

test('a record is dyed again by its acts, once however often it is asked', async () => {
  await start('b1').expect(201);
  await enter('b1', poured('e1', 220)).expect(201);
  const line = FORMULATION.recipe.goods[0]!;
  const to = {
    goods: [{ line: line.id, baseId: line.baseId, count: 2 * line.count, gramsEach: line.gramsEach }],
  };
  const asked = { id: 'b2', name: 'Again', startedAt: '2026-11-26T08:00:00.000Z', to };
  const post = (body: object) => request(studio.app).post('/api/batches/b1/again').send(body);
  const { body: made } = await post(asked).expect(201);
  expect(made).toMatchObject({ id: 'b2', code: '26-002', againOf: 'b1', name: 'Again', events: [] });
  const pour = made.card.acts.find(({ id }: { id: string }) => id === 'p1.dye.d1');
  // 220 mL really went in, on half the goods.
  expect(pour.act.amount).toBeCloseTo(440, 9);
  expect((await post(asked).expect(201)).body).toEqual(made);
  expect((await request(studio.app).get('/api/batches')).body.total).toBe(2);
  await post({ ...asked, startedAt: '2026-11-27T08:00:00.000Z' }).expect(409);
  await post({ ...asked, id: 'b3', to: { goods: [{ ...to.goods[0], baseId: 'nothing' }] } }).expect(400);
  await request(studio.app)
    .post('/api/batches/nobody/again')
    .send({ ...asked, id: 'b4' })
    .expect(404);
  // What it made is a batch like any other: read again, and added to.
  await enter('b2', { ...poured('e2', 440), planned: 'p1.dye.d1' }).expect(201);
  expect((await request(studio.app).get('/api/batches/b2').expect(200)).body.events).toHaveLength(1);
});

test('a batch is begun without a plan, named later, and takes over what another left', async () => {
  const line = FORMULATION.recipe.goods[0]!;
  const asked = { id: 'o1', startedAt: '2026-11-26T08:00:00.000Z', goods: [line] };
  const post = (body: object) => request(studio.app).post('/api/batches/open').send(body);
  const { body: made } = await post(asked).expect(201);
  expect(made).toMatchObject({ id: 'o1', code: '26-001', name: 'Not named yet', events: [] });
  expect((await post(asked).expect(201)).body).toEqual(made);
  await post({ ...asked, startedAt: '2026-11-27T08:00:00.000Z' }).expect(409);
  await post({ ...asked, id: 'o2', goods: [] }).expect(400);
  await post({ ...asked, id: 'o2', potId: 'nothing' }).expect(400);
  await enter('o1', { id: 'n1', kind: 'named', name: 'Rust on Tuesday' }).expect(201);
  const nameNow = async () => (await request(studio.app).get('/api/batches/o1')).body.name as string;
  expect(await nameNow()).toBe('Rust on Tuesday');
  expect((await request(studio.app).get('/api/batches?q=rust')).body.total).toBe(1);
  await enter('o1', { id: 'n2', kind: 'struck', event: 'n1', why: '' }).expect(201);
  expect(await nameNow()).toBe('Not named yet');
  const water = {
    kind: 'run',
    pass: 'p1',
    line: null,
    purpose: 'unplanned',
    vessel: 'pot',
    ml: 4000,
    celsius: 20,
  };
  await enter('o1', { id: 'w1', kind: 'act', planned: null, act: water, written: '', note: '' }).expect(201);
  const leaves = {
    ...{ kind: 'move', pass: null, line: null, purpose: null, from: { vessel: 'pot' } },
    ...{ to: null, ml: null, share: 1, holds: null },
  };
  const event = eventOf('o1', { id: 'l1', kind: 'act', planned: null, act: leaves, written: '', note: '' });
  const next = { ...asked, id: 'o3', liquidFrom: { batch: 'o1', event } };
  const { body: other } = await post(next).expect(201);
  expect(other.card.acts.find(({ id }: { id: string }) => id === 'bring.liquid').act.thing).toMatchObject({
    ml: 4000,
    from: { batch: 'o1', event: 'l1' },
  });
  expect((await request(studio.app).get('/api/batches/o1')).body.events.at(-1).id).toBe('l1');
  // There is nothing in it any more.
  const { body: refusal } = await post({
    ...next,
    ...{ id: 'o4', liquidFrom: { batch: 'o1', event: { ...event, id: 'l2' } } },
  }).expect(400);
  expect(refusal.problems[0].field).toBe('liquidFrom.batch');
});

test('events sent at once all land, one after the other', async () => {
  await start('b1');
  await Promise.all(
    Array.from({ length: 25 }, (_, i) => enter('b1', { id: `n${i}`, kind: 'noted', text: 'x' }).expect(201)),
  );
  expect((await request(studio.app).get('/api/batches/b1')).body.events).toHaveLength(25);
});

test('a jar holds less after a pour and as much again after it is taken back', async () => {
  await start('b1');
  await enter('b1', poured('e1', 220));
  expect(await remaining()).toBe(280);
  await enter('b1', added('a1', stock(12.5))).expect(201);
  expect(await remaining()).toBe(267.5);
  await enter('b1', { id: 's1', kind: 'struck', event: 'e1', why: '' }).expect(201);
  expect(await remaining()).toBe(487.5);
});

const dye = (dyeId: string, stockId: string | null, strengthPercent: number | null) =>
  ({ kind: 'dye', dyeId, stockId, strengthPercent, lotStrength: 1 }) as const;

test.each<[string, Record<string, unknown>, string, RegExp]>([
  ['an unknown line', { ...ticked('x', 'rinse'), planned: 'ghost' }, 'planned', /no act “ghost”/],
  ['nothing poured', poured('x', 0), 'act.amount', /more than zero/],
  ['a negative pour', poured('x', -3), 'act.amount', /more than zero/],
  ['10 million liters', poured('x', 1e10), 'act.amount', /cannot have been measured here/],
  [
    'an unknown dye',
    added('x', { material: dye('ghost', null, null), amount: 1, unit: 'g' }),
    'act.material.dyeId',
    /no dye/,
  ],
  [
    'a jar that does not exist',
    added('x', stock(5, 'ghost')),
    'act.material.stockId',
    /no jar with the id “ghost”/,
  ],
  ['an unknown kind', { id: 'x', kind: 'guessed' }, 'kind', /must name its kind/],
  [
    'an event of another record',
    { ...poured('x'), of: { kind: 'batch', id: 'b2' } },
    'of.id',
    /another record/,
  ],
  ['an event of no batch', { ...poured('x'), of: { kind: 'vessel', id: 'b1' } }, 'of.id', /another record/],
])('%s is refused with the field named', async (_, event, field, said) => {
  await start('b1');
  const { body } = await enter('b1', event).expect(400);
  expect(body.problems[0]).toMatchObject({ field, message: expect.stringMatching(said) as string });
  expect((await request(studio.app).get('/api/batches/b1')).body.events).toEqual([]);
});

test('dye of one kind from a jar of another is refused, and nothing leaves that jar', async () => {
  await request(studio.app)
    .put('/api/dyes/red')
    .send({ id: 'red', name: 'Bell Red', swatchHex: '#b0202c' })
    .expect(200);
  await request(studio.app)
    .put('/api/stocks/red-1')
    .send({ id: 'red-1', dyeId: 'red', strengthPercent: 1, volumeMl: 500 })
    .expect(200);
  await start('b1');
  const { body } = await enter('b1', added('x', stock(5, 'red-1'))).expect(400);
  expect(body.message).toMatch(/That jar does not hold Vault Blue/);
  expect((await request(studio.app).get('/api/shelf')).body.stockLeft['red-1']).toBe(500);
});

test('a jar that gave more than it held says by how much', async () => {
  await start('b1');
  await enter('b1', poured('e1', 512)).expect(201);
  expect(await remaining()).toBe(-12);
});

test('a line entered twice, a pour after closing and an entry taken back twice are kept, and the jar follows', async () => {
  await start('b1');
  await enter('b1', poured('e1')).expect(201);
  await enter('b1', { ...poured('e2', 150), device: 'phone' }).expect(201);
  expect(await remaining()).toBe(150);
  await enter('b1', { id: 's1', kind: 'struck', event: 'e1', why: '' }).expect(201);
  await enter('b1', { id: 's2', kind: 'struck', event: 'e1', why: '', device: 'phone' }).expect(201);
  expect(await remaining()).toBe(350);
  const verdict = { kind: 'closed', outcome: 'usable', standing: 'trial', note: '' };
  await enter('b1', { id: 'c1', ...verdict }).expect(201);
  await enter('b1', added('e3', stock(25))).expect(201);
  expect(await remaining()).toBe(325);
  const { body: batch } = await request(studio.app).get('/api/batches/b1');
  expect(doubtsOf(batch)).toMatchObject([{ why: 'late', events: [{ id: 'e3' }] }]);
  expect((await request(studio.app).get('/api/check')).body.faults).toEqual([]);
});

test('of two verdicts the later one counts, though it arrived first', async () => {
  await start('b1');
  const verdict = (id: string, outcome: string, at: string) => ({
    ...{ id, kind: 'closed', outcome, standing: 'trial', note: '', at },
  });
  await enter('b1', verdict('c1', 'usable', '2026-03-01T16:00:00Z')).expect(201);
  await enter('b1', verdict('c2', 'not right', '2026-03-01T15:00:00.000+00:00')).expect(201);
  const { body: book } = await request(studio.app).get('/api/batches');
  expect(book.rows[0]).toMatchObject({ outcome: 'usable', closedAt: '2026-03-01T16:00:00Z' });
  expect((await request(studio.app).get('/api/check')).body.faults).toEqual([]);
});

test('the line in the Book follows every pour, slip and verdict, as if told anew from the whole record', async () => {
  await start('b1');
  const row = async (): Promise<Record<string, unknown>> =>
    (await request(studio.app).get('/api/batches')).body.rows[0];
  expect(await row()).toMatchObject({ dosPercent: 1, dyes: 'Vault Blue' });
  await enter('b1', poured('e1', 150)).expect(201);
  expect(await row()).toMatchObject({ dosPercent: 0.75 });
  await enter('b1', added('e2', stock(25))).expect(201);
  const { hex } = await row();
  expect(await row()).toMatchObject({ dosPercent: 0.875 });
  await enter('b1', { id: 's1', kind: 'struck', event: 'e2', why: '' }).expect(201);
  expect(await row()).toMatchObject({ dosPercent: 0.75 });
  expect((await row()).hex).not.toBe(hex);
  await enter('b1', { id: 's2', kind: 'struck', event: 'e1', why: '' }).expect(201);
  // Nothing has gone in any more: what the card asks for stands there again.
  expect(await row()).toMatchObject({ dosPercent: 1 });
  const close = (id: string, outcome: string) => ({
    id,
    kind: 'closed',
    outcome,
    standing: 'trial',
    note: '',
  });
  await enter('b1', close('c1', 'usable')).expect(201);
  await enter('b1', close('c2', 'not right')).expect(201);
  expect(await row()).toMatchObject({ outcome: 'not right' });
  await enter('b1', { id: 's3', kind: 'struck', event: 'c2', why: '' }).expect(201);
  expect(await row()).toMatchObject({ outcome: 'usable' });
  await enter('b1', { id: 's4', kind: 'struck', event: 'c1', why: '' }).expect(201);
  expect(await row()).toMatchObject({ outcome: null, closedAt: null });
});

test('what an event writes hangs neither on the length of the record nor on the size of the Book', async () => {
  await start('b1');
  const written = async (work: () => Promise<unknown>): Promise<string[]> => {
    const said: string[] = [];
    // Sequelize keeps its options to itself; its log is the only place that shows each statement.
    const { options } = studio.storage.sequelize as unknown as {
      options: { logging: false | ((sql: string) => void) };
    };
    options.logging = (sql) => void said.push(sql);
    await work();
    options.logging = false;
    return said.map((sql) => sql.replace(/^Executing \([^)]*\): /, ''));
  };
  const short = await written(() => enter('b1', added('first', stock(1))).expect(201));
  for (let i = 0; i < 60; i += 1) await enter('b1', added(`more-${i}`, stock(1))).expect(201);
  const long = await written(() => enter('b1', added('last', stock(1))).expect(201));
  expect(long).toHaveLength(short.length);
  // Every statement finds its rows by an index, none by walking a table.
  for (const sql of long.filter((text) => /^(SELECT|UPDATE|DELETE)/.test(text))) {
    const [plan] = await studio.storage.sequelize.query(`EXPLAIN QUERY PLAN ${sql}`);
    expect(JSON.stringify(plan)).not.toMatch(/SCAN (events|batches|jar_draws|batch_dyes|batch_plans)/);
  }
  expect(long.filter((text) => text.startsWith('UPDATE')).join()).not.toMatch(/`id`\s*=.*SET|SET `id`/);
});

test('an unknown batch is said to be unknown', async () => {
  const { body } = await enter('ghost', poured('x')).expect(404);
  expect(body.message).toMatch(/no batch with the id “ghost”/);
});

test('a batch whose recipe names what it does not bring is refused', async () => {
  const { body } = await start('b1', { formulation: { ...FORMULATION, dyes: [] } }).expect(400);
  expect(body.problems[0].field).toBe('recipe.passes.0.dyes.0.dyeId');
  expect((await request(studio.app).get('/api/batches')).body.total).toBe(0);
});

test('the book is searched by every word, newest first, page by page', async () => {
  await start('old', { name: 'Angelus gray', startedAt: '2026-01-01T08:00:00Z' });
  await start('new', { name: 'Angelus blue', startedAt: '2026-02-01T08:00:00Z' });
  await start('third', { name: 'Curfew', startedAt: '2026-02-02T08:00:00Z' });
  const names = async (query: string): Promise<string[]> =>
    (await request(studio.app).get(`/api/batches?${query}`)).body.rows.map(
      (row: { name: string }) => row.name,
    );
  expect(await names('q=angelus')).toEqual(['Angelus blue', 'Angelus gray']);
  expect(await names('q=vault+ANGELUS+gray')).toEqual(['Angelus gray']);
  expect(await names('q=100%25')).toEqual([]);
  const note = 'Too Green at the tips';
  await enter('old', { id: 'v1', kind: 'closed', outcome: 'usable', standing: 'trial', note }).expect(201);
  expect(await names('q=too+green')).toEqual(['Angelus gray']);
  expect(await names('q=angelus+tips')).toEqual(['Angelus gray']);
  expect(await names('limit=1&offset=1')).toEqual(['Angelus blue']);
  await request(studio.app).get('/api/batches?limit=0').expect(400);
});

test('anything is found by name or code', async () => {
  await start('b1', { name: 'Angelus' });
  const found = async (q: string): Promise<unknown> =>
    (await request(studio.app).get('/api/find').query({ q })).body;
  expect(await found('vault')).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ kind: 'dye', id: 'blue' }),
      expect.objectContaining({ kind: 'stock', id: 'blue-1' }),
    ]),
  );
  expect(await found('26-001')).toEqual([{ kind: 'batch', id: 'b1', name: 'Angelus', code: '26-001' }]);
  expect(await found('')).toEqual([]);
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
