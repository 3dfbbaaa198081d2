import { brotliDecompressSync, gunzipSync, inflateSync } from 'node:zlib';
import { once } from 'node:events';
import { request as ask, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { API, beginCup, OWN_HEADER, seededStream, SHELF_RESOURCES } from '@ythrion/core';
import { wholeDocument } from '../../test/wholeDocument';
import { eventOf, ticked } from '../../test/records';
import { BASE, begin, DYE, JAR, RECIPE, testApp, testStudio, type TestStudio } from '../../test/studio';

/** Requests that are made; the command `npm run hostile` makes ten thousand. */
const MANY = Number(process.env.YTHRION_HOSTILE ?? 700);
/** Nobody waits longer for an answer, ms, on a machine that does other things besides. */
const PATIENCE_MS = 8000;

let studio: TestStudio;
let server: Server;
let port: number;
beforeAll(async () => {
  studio = await testStudio();
  const app = await testApp(studio.storage, studio.folder, pino({ level: 'silent' }));
  server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  ({ port } = server.address() as AddressInfo);
  await answer('POST', '/api/batches', { body: JSON.stringify(begin('b1')) });
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await studio.remove();
});

/** The same numbers every time; YTHRION_SEED for others. */
const random = seededStream(process.env.YTHRION_SEED ?? 'hostile');
const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
const chance = (share: number): boolean => random() < share;

interface Sent {
  headers?: Record<string, string>;
  body?: string | Buffer | undefined;
}
interface Answered {
  status: number;
  text: string;
  tookMs: number;
}

/** Sends what no browser would, and gives what comes back. @throws when nothing does, or not in time */
function answer(method: string, path: string, { headers = {}, body }: Sent = {}): Promise<Answered> {
  const from = performance.now();
  return new Promise((resolve, reject) => {
    const sent = ask(
      {
        host: '127.0.0.1',
        port,
        method,
        path,
        agent: false,
        headers: {
          Host: `127.0.0.1:${port}`,
          [OWN_HEADER]: '1',
          'Content-Type': 'application/json',
          ...(body !== undefined && { 'Content-Length': String(Buffer.byteLength(body)) }),
          ...headers,
        },
      },
      (got) => {
        // A stream never ends by itself: that it began is answer enough.
        if (got.headers['content-type']?.includes('event-stream')) {
          got.destroy();
          return resolve({ status: got.statusCode ?? 0, text: '', tookMs: performance.now() - from });
        }
        const chunks: Buffer[] = [];
        got.on('data', (chunk: Buffer) => chunks.push(chunk));
        got.on('end', () =>
          resolve({
            status: got.statusCode ?? 0,
            text: unpacked(Buffer.concat(chunks), got.headers['content-encoding']),
            tookMs: performance.now() - from,
          }),
        );
        got.on('error', reject);
      },
    );
    sent.setTimeout(PATIENCE_MS, () => sent.destroy(new Error(`no answer: ${method} ${path.slice(0, 200)}`)));
    sent.on('error', reject);
    sent.end(body);
  });
}

/** What was said, however it was packed for whoever asked for that. */
const unpacked = (bytes: Buffer, packed = ''): string =>
  (packed === 'gzip'
    ? gunzipSync(bytes)
    : packed === 'br'
      ? brotliDecompressSync(bytes)
      : packed === 'deflate'
        ? inflateSync(bytes)
        : bytes
  ).toString();

const IDS = [
  'b1',
  'blue',
  'wool',
  'blue-1',
  'nobody',
  '..',
  '%2e%2e',
  '%2F',
  'a b',
  'ü',
  '💧',
  '%',
  '%zz',
  '%00',
  'x'.repeat(5000),
  "'; DROP TABLE batches; --",
  '__proto__',
  'constructor',
  '-1',
  '1e999',
  '',
];
const ADDRESSES = [
  ...Object.values(API),
  ...SHELF_RESOURCES.map((resource) => `/api/${resource}/:id`),
  `${API.batches}/:id`,
  `${API.batches}/:id/events`,
  `${API.batches}/:id/again`,
  `${API.batches}/:id/went-into`,
  `${API.cups}/:id`,
  `${API.cups}/:id/events`,
  `${API.soughts}/:id/attempts`,
  API.orders,
  `${API.orders}/:id`,
  `${API.batches}/open`,
  `${API.colorways}/:id`,
  `${API.copies}/:id`,
  `${API.copies}/:id/restore`,
  `${API.scale}/hand`,
  `${API.scale}/tare`,
  '/api/access',
  '/api/access/sign-in',
  '/api/access/pair',
  '/api/access/codes',
  '/api/access/devices/:id/revoke',
  '/api/nothing',
  '/',
];
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'TRACE', 'PROPFIND'];
const VALUES: unknown[] = [
  null,
  true,
  false,
  0,
  -1,
  1e308,
  -1e-308,
  2 ** 53,
  '',
  ' ',
  'x',
  'x'.repeat(20_000),
  '\u0000',
  'a\u202eb',
  '\ud800',
  '2026-02-30',
  '9999999-01-01T00:00:00Z',
  [],
  {},
  [[]],
  [null],
  { length: 1e9 },
  { __proto__: null, toString: 'x' },
  Array.from({ length: 3000 }, () => 0),
  Object.fromEntries(Array.from({ length: 3000 }, (_, i) => [`k${i}`, i])),
];
const deep = (levels: number, open: string, close: string): string =>
  open.repeat(levels) + close.repeat(levels);

const SOUND: unknown[] = [
  begin('b2'),
  begin('b1', { startedAt: '2026-03-02T10:00:00Z' }),
  eventOf('b1', ticked('t1', 'p1.dye.d1', 100)),
  { id: 'vesper', name: 'Vesper', version: 1, recipe: RECIPE },
  BASE,
  DYE,
  JAR,
  { format: 'ythrion', version: 3, bases: [BASE], dyes: [DYE] },
  { format: 'ythrion', version: 2, batches: [] },
  { ...eventOf('c1', { id: 'k1', ...beginCup('A cup', 250) }), of: { kind: 'vessel', id: 'c1' } },
  {
    ...eventOf('c1', { id: 'k2', kind: 'poured', share: 0.5, batch: null, into: '', entries: [] }),
    of: { kind: 'vessel', id: 'c1' },
  },
  { id: 'rust', name: 'Rust', words: 'like old iron', hex: '#7a3b1e', foundAs: null, retired: false },
  { passphrase: 'x', name: 'y' },
  { grams: 12 },
];
/** A sound body with a few things in it put wrong. */
function spoiled(): string {
  const body = structuredClone(one(SOUND));
  for (let times = 1 + Math.floor(random() * 3); times > 0; times -= 1) {
    let at = body as Record<string, unknown>;
    for (;;) {
      const names = Object.keys(at);
      const name = one(names);
      if (name === undefined) break;
      const inner = at[name];
      if (typeof inner === 'object' && inner !== null && chance(0.8)) {
        at = inner as Record<string, unknown>;
        continue;
      }
      const way = random();
      if (way < 0.15) Reflect.deleteProperty(at, name);
      else if (way < 0.3) at[`${name}x`] = structuredClone(one(VALUES));
      else at[name] = structuredClone(one(VALUES));
      break;
    }
  }
  return JSON.stringify(body);
}
const BODIES: (() => string | Buffer | undefined)[] = [
  spoiled,
  spoiled,
  spoiled,
  () => JSON.stringify(one(VALUES)),
  () => deep(one([10, 1000, 100_000]), '[', ']'),
  () => deep(one([10, 1000, 50_000]), '{"a":', '}'),
  () => '{"id":',
  () => '\uFEFF{}',
  () => Buffer.from([0xff, 0xfe, 0x00, 0x7b, 0x80]),
  () => `[${Array.from({ length: 60_000 }, () => '{}').join()}]`,
  () => 'x'.repeat(1_500_000),
  () => undefined,
];
const HEADERS: (() => Record<string, string>)[] = [
  () => ({}),
  () => ({}),
  () => ({}),
  () => ({
    Host: one(['evil.example', '127.0.0.1.evil.example', '', '[::1', 'localhost:99999', 'a'.repeat(300)]),
  }),
  () => ({ Origin: one(['https://evil.example', 'null', 'file://', `http://127.0.0.1:${port}0`]) }),
  () => ({ 'Sec-Fetch-Site': one(['cross-site', 'same-site', 'none', 'x']) }),
  () => ({
    'Content-Type': one([
      'text/plain',
      'application/zip',
      'application/json; charset=utf-16',
      'application/json; charset=nowhere',
      'multipart/form-data; boundary=x',
      'x',
    ]),
  }),
  () => ({ 'Content-Encoding': one(['gzip', 'br', 'deflate', 'identity', 'nowhere']) }),
  () => ({ Accept: 'x'.repeat(2000), Cookie: one(['a=b', '='.repeat(500), 'session=%00']) }),
  () => ({
    'Accept-Encoding': one(['gzip;q=0', '*', 'x;q=', '']),
    Range: one(['bytes=0-', 'bytes=9-1', 'x']),
  }),
  () => ({ 'X-Forwarded-For': 'evil', 'X-HTTP-Method-Override': 'DELETE' }),
];
const QUERIES: (() => string)[] = [
  () => '',
  () => '',
  () =>
    `?q=${encodeURIComponent(String(one(['x '.repeat(2000), '"*', 'NEAR(a b)', "';--", '\u0000', '%'])))}`,
  () => `?q=a&q=b&q[]=c&q[x]=d`,
  () =>
    `?limit=${one(['-1', '1e9', 'x', 'NaN', '', '0x10', '200&limit=3'])}&offset=${one(['-5', '99999999999999999999', '1.5'])}`,
  () =>
    `?since=${one(['x', '-1', '1e30', '', '0', '%00'])}&listen=${one(['scale', 'x'.repeat(3000), 'ph:b1', '../..'])}`,
  () => `?${'a=1&'.repeat(2000)}`,
  () =>
    `?from=${one(['yesterday', '2026-99-99T00:00:00Z', '-271822-01-01T00:00:00Z'])}&order=${one(['hex', 'name;'])}&massTo=${one(['1e400', 'x'])}`,
];
/** As an address may not be written in a request at all by this client. */
const sendable = (address: string): string =>
  address.replaceAll(/[^\u0021-\u007e]/gu, (sign) => encodeURIComponent(/\p{Cs}/u.test(sign) ? '?' : sign));

test(`${MANY} hostile requests over all routes: an answer each, never an error of ours, and nothing changes unasked`, async () => {
  let before = JSON.stringify(await wholeDocument(studio.storage));
  const statuses = new Map<number, number>();
  for (let i = 0; i < MANY; i += 1) {
    const method = chance(0.8) ? one(['GET', 'POST', 'PUT']) : one(METHODS);
    const path = sendable(one(ADDRESSES).replace(':id', () => one(IDS)) + one(QUERIES)());
    const body = method === 'GET' || method === 'HEAD' || method === 'TRACE' ? undefined : one(BODIES)();
    const headers = one(HEADERS)();
    const what = `${i}: ${method} ${path.slice(0, 120)} ${JSON.stringify(headers).slice(0, 120)} ${String(body).slice(0, 200)}`;
    const got = await answer(method, path, { headers, body }).catch((error: Error) => {
      // What is far too large may be cut off before it has all come.
      if (/EPIPE|ECONNRESET/.test(error.message)) return null;
      throw new Error(`${what}: ${error.message}`);
    });
    if (got === null) continue;
    statuses.set(got.status, (statuses.get(got.status) ?? 0) + 1);
    if (got.status >= 500 || got.status === 0 || got.tookMs > PATIENCE_MS)
      throw new Error(`${what}: ${got.status} after ${Math.round(got.tookMs)} ms, ${got.text.slice(0, 200)}`);
    if (got.status >= 400 && path.startsWith('/api') && method !== 'HEAD') {
      const { message } = JSON.parse(got.text) as { message: string };
      if (message === '' || /Invalid input|\[object|: undefined/.test(message))
        throw new Error(`${what}: no word of ours: ${got.text.slice(0, 200)}`);
    }
    const changing = got.status < 300 && method !== 'GET' && method !== 'HEAD';
    if (changing || i % 25 === 24 || i === MANY - 1) {
      const after = JSON.stringify(await wholeDocument(studio.storage));
      if (!changing && after !== before) throw new Error(`Something was changed by one of 25 up to ${what}`);
      before = after;
    }
  }
  // It did get at rooms, doors and walls.
  for (const status of [200, 400, 403, 404]) expect(statuses.get(status) ?? 0).toBeGreaterThan(MANY / 100);
}, 3_600_000);
