import request, { type Test } from 'supertest';
import { pino } from 'pino';
import { ACCESS, API, OWN_HEADER, SHELF_RESOURCES } from '@ythrion/core';
import { begin, DYE, testApp, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
let app: Awaited<ReturnType<typeof testApp>>;
beforeAll(async () => {
  studio = await testStudio();
  await request(studio.app).post('/api/batches').send(begin('b1')).expect(201);
  app = await testApp(studio.storage, studio.folder, pino({ level: 'silent' }));
});
afterAll(() => studio.remove());

const READS = [
  ...[API.shelf, API.colorways, API.batches, API.running, API.find, API.document, API.copies],
  ...[API.colors, API.expected],
  ...[API.check, API.health, API.events, API.live, ACCESS.self, ACCESS.devices],
  ...['/api/batches/b1', '/api/colorways/x', '/', '/pots', '/api/nothing'],
];
const WRITES: ['post' | 'put', string][] = [
  ['put', API.studio],
  ...SHELF_RESOURCES.map((resource): ['put', string] => ['put', `/api/${resource}/x`]),
  ...[API.colorways, API.batches, API.document, API.copies, '/api/batches/open'].map(
    (path): ['post', string] => ['post', path],
  ),
  ...['/api/batches/b1/events', '/api/batches/b1/again', '/api/copies/x/restore'].map(
    (path): ['post', string] => ['post', path],
  ),
  ...[`${API.scale}/tare`, `${API.scale}/hand`].map((path): ['post', string] => ['post', path]),
  ...[ACCESS.signIn, ACCESS.pair, ACCESS.signOut, ACCESS.codes, `${ACCESS.devices}/x/revoke`].map(
    (path): ['post', string] => ['post', path],
  ),
];
const FOREIGN: [string, Record<string, string>][] = [
  ['a name that was made to mean this address', { Host: 'pots.example' }],
  ['that name with our port', { Host: 'pots.example:4780' }],
  ['a name that begins like ours', { Host: 'localhost.pots.example' }],
  ['no name at all', { Host: '' }],
  ['a page of another site', { Origin: 'https://pots.example' }],
  ['a page without a site', { Origin: 'null' }],
  ['a page of another port here', { Origin: 'http://127.0.0.1:1' }],
  ['an image or script of another site', { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'no-cors' }],
  ['a neighbor of this site', { 'Sec-Fetch-Site': 'same-site', 'Sec-Fetch-Mode': 'cors' }],
  [
    'a frame in another site',
    { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'navigate', 'Sec-Fetch-Dest': 'iframe' },
  ],
];
const refusedAs = async (asked: Test, headers: Record<string, string>): Promise<void> => {
  const answer = await asked.set(headers);
  expect([answer.status, typeof answer.body.message]).toEqual([403, 'string']);
};

describe.each(FOREIGN)('%s is let in nowhere', (_, headers) => {
  test.each(READS)('GET %s', (path) => refusedAs(request(app).get(path), headers));
  test.each(WRITES)('%s %s', (method, path) =>
    refusedAs(request(app)[method](path).set(OWN_HEADER, '1').send({}), headers),
  );
});

describe('a change that another page could send', () => {
  test.each(WRITES)('%s %s without our header', (method, path) =>
    refusedAs(request(app)[method](path).send({}), {}),
  );
  test.each(WRITES)('%s %s as a form', (method, path) =>
    refusedAs(request(app)[method](path).set(OWN_HEADER, '1').type('form').send('a=1'), {}),
  );
});

test('our own pages are let in, and so is an address that is just opened from elsewhere', async () => {
  const own = { 'Sec-Fetch-Site': 'same-origin', 'Sec-Fetch-Mode': 'cors', [OWN_HEADER]: '1' };
  await request(app).get(API.shelf).set(own).expect(200);
  await request(app).put('/api/dyes/blue').set(own).send(DYE).expect(200);
  await request(app).get(API.shelf).set({ Host: 'localhost:4780' }).expect(200);
  await request(app).get(API.shelf).set({ Host: '[::1]:4780' }).expect(200);
  const opened = {
    'Sec-Fetch-Site': 'cross-site',
    'Sec-Fetch-Mode': 'navigate',
    'Sec-Fetch-Dest': 'document',
  };
  // There are no screens in this test, but nobody was turned away.
  await request(app).get('/pots').set(opened).expect(404);
  await request(app).get(API.shelf).set(opened).expect(403);
});
