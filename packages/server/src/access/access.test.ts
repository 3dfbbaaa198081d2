import { mkdtemp, rm, stat } from 'node:fs/promises';
import https from 'node:https';
import os from 'node:os';
import path from 'node:path';
import { X509Certificate } from 'node:crypto';
import type { Express } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { ACCESS, API } from '@ythrion/core';
import { listenAt } from '../command/listeners';
import { createApp } from '../http/app';
import { studioRoutes } from '../http/studioRoutes';
import { fromOwnPage, testStudio, type TestStudio } from '../../test/studio';
import { lanAddresses, lanNames, LOOPBACK } from './addresses';
import { authorityOf, derOf, fingerprintOf, machineCertificate } from './authority';
import { Codes } from './codes';
import { Devices } from './devices';
import { isPassphrase, madePassphrase, setPassphrase } from './passphrase';
import { trustPage } from './trustPage';
import { Waits } from './waits';

const WORD = 'brass-loom-seven';
let studio: TestStudio;
let lan: Express;
let now = 0;
beforeEach(async () => {
  studio = await testStudio();
  now = Date.parse('2026-11-26T08:00:00Z');
  await setPassphrase(studio.folder, WORD);
  lan = await overLan();
});
afterEach(() => studio.remove());

/** The studio as the network sees it. */
async function overLan(): Promise<Express> {
  const access = {
    dataFolder: studio.folder,
    devices: await Devices.open(studio.folder),
    codes: new Codes(() => now),
    waits: new Waits(() => now),
    lan: { trustUrl: 'http://192.168.1.20:4782', url: 'https://192.168.1.20:4781' },
  };
  const app = createApp(
    studioRoutes(studio.storage),
    access,
    { hosts: new Set(LOOPBACK), open: false },
    pino({ level: 'silent' }),
  );
  return fromOwnPage(app);
}
const signIn = (passphrase: string) =>
  request(lan).post(ACCESS.signIn).send({ passphrase, person: 'Odile', label: 'phone' });
const cookieOf = (answer: { headers: object }): string =>
  ((answer.headers as Record<string, string[]>)['set-cookie']?.[0] ?? '').split(';')[0] ?? '';

describe('over the network', () => {
  test('nothing is told before signing in, but that there is a studio', async () => {
    for (const path of [
      API.shelf,
      API.running,
      API.batches,
      API.document,
      API.events,
      API.live,
      API.copies,
      ACCESS.devices,
    ])
      await request(lan).get(path).expect(401);
    await request(lan).post(API.batches).send({}).expect(401);
    await request(lan).post(ACCESS.codes).send({ person: 'x' }).expect(401);
    expect((await request(lan).get(ACCESS.self).expect(200)).body).toMatchObject({
      open: false,
      signedIn: false,
      device: null,
    });
  });

  test('the passphrase lets a device in, by a cookie no script can read, until it is sent away', async () => {
    const answer = await signIn(WORD).expect(201);
    const [set = ''] = (answer.headers as unknown as Record<string, string[]>)['set-cookie'] ?? [];
    expect(set).toMatch(/; HttpOnly/);
    expect(set).toMatch(/; Secure/);
    expect(set).toMatch(/; SameSite=Strict/);
    const Cookie = cookieOf(answer);
    await request(lan).get(API.shelf).set({ Cookie }).expect(200);
    expect((await request(lan).get(ACCESS.self).set({ Cookie })).body).toMatchObject({
      signedIn: true,
      device: { person: 'Odile', label: 'phone' },
    });
    // It stays in when the studio is started anew.
    lan = await overLan();
    await request(lan).get(API.shelf).set({ Cookie }).expect(200);
    const id = answer.body.id as string;
    await request(lan).post(`${ACCESS.devices}/${id}/revoke`).set({ Cookie }).send({}).expect(200);
    await request(lan).get(API.shelf).set({ Cookie }).expect(401);
    await request(lan).post(API.batches).set({ Cookie }).send({}).expect(401);
    lan = await overLan();
    await request(lan).get(API.shelf).set({ Cookie }).expect(401);
  });

  test('a cookie that was tampered with is none', async () => {
    const Cookie = cookieOf(await signIn(WORD).expect(201));
    for (const wrong of [
      `${Cookie}x`,
      Cookie.slice(0, -1),
      'ythrion_device=',
      'ythrion_device=.',
      'ythrion_device=a.b',
    ])
      await request(lan).get(API.shelf).set({ Cookie: wrong }).expect(401);
  });

  test('a wrong passphrase 1,000 times: a handful are looked at, the right one has to wait as well', async () => {
    const statuses: Record<number, number> = {};
    for (let i = 0; i < 1000; i += 1) {
      const { status } = await signIn(`wrong-word-${i}`);
      statuses[status] = (statuses[status] ?? 0) + 1;
      // One try a second, for more than a quarter of an hour.
      now += 1000;
    }
    expect(statuses[201]).toBeUndefined();
    expect(statuses[400]).toBeLessThanOrEqual(15);
    expect(statuses[400]! + statuses[429]!).toBe(1000);
    expect((await signIn(WORD).expect(429)).body.message).toMatch(/^Too many wrong tries. Wait \d+ s/);
    now += 15 * 60_000;
    await signIn(WORD).expect(201);
  });

  test('many wrong tries at once do not slip through together', async () => {
    const answers = await Promise.all(Array.from({ length: 40 }, (_, i) => signIn(`wrong-word-${i}`)));
    expect(answers.filter(({ status }) => status === 400).length).toBeLessThanOrEqual(5);
  });

  test('a device that is in lets another in by a code: once, for ten minutes, under a name', async () => {
    const Cookie = cookieOf(await signIn(WORD).expect(201));
    const code = async (): Promise<string> =>
      (await request(lan).post(ACCESS.codes).set({ Cookie }).send({ person: 'Bram' }).expect(201)).body.code;
    const pair = (said: string) => request(lan).post(ACCESS.pair).send({ code: said, label: 'tablet' });
    const first = await code();
    const paired = await pair(first.toUpperCase()).expect(201);
    expect(paired.body).toMatchObject({ person: 'Bram', label: 'tablet' });
    await request(lan)
      .get(API.shelf)
      .set({ Cookie: cookieOf(paired) })
      .expect(200);
    expect((await pair(first).expect(400)).body.problems[0].field).toBe('code');
    const second = await code();
    now += 10 * 60_000 + 1;
    await pair(second).expect(400);
    const { body: devices } = await request(lan).get(ACCESS.devices).set({ Cookie }).expect(200);
    expect(devices.map(({ person }: { person: string }) => person)).toEqual(['Odile', 'Bram']);
    expect(JSON.stringify(devices)).not.toMatch(/hash/i);
  });

  test('signing out sends this device away', async () => {
    const Cookie = cookieOf(await signIn(WORD).expect(201));
    await request(lan).post(ACCESS.signOut).set({ Cookie }).send({}).expect(200);
    await request(lan).get(API.shelf).set({ Cookie }).expect(401);
  });

  test('a live stream ends when its device is sent away', async () => {
    const Cookie = cookieOf(await signIn(WORD).expect(201));
    const [{ id }] = (await request(lan).get(ACCESS.devices).set({ Cookie })).body as [{ id: string }];
    const listener = await listenAt(lan, '127.0.0.1', 0);
    const stream = await fetch(`http://127.0.0.1:${listener.port}${API.live}`, { headers: { Cookie } });
    const reader = stream.body!.getReader();
    await reader.read();
    await request(lan).post(`${ACCESS.devices}/${id}/revoke`).set({ Cookie }).send({}).expect(200);
    while (!(await reader.read()).done);
    await listener.close();
  });
});

describe('what opens the studio', () => {
  test('is kept so that only the owner reads it, the passphrase and tokens only as hashes', async () => {
    const Cookie = cookieOf(await signIn(WORD).expect(201));
    await authorityOf(studio.folder);
    const folder = path.join(studio.folder, 'access');
    const { readdir, readFile } = await import('node:fs/promises');
    for (const name of await readdir(folder)) {
      expect((await stat(path.join(folder, name))).mode & 0o077).toBe(0);
      const text = await readFile(path.join(folder, name), 'utf8');
      expect(text).not.toContain(WORD);
      expect(text).not.toContain(Cookie.split('.')[1]);
    }
  });
  test('a passphrase is long enough, and one made by chance is like no other', async () => {
    await expect(setPassphrase(studio.folder, 'short')).rejects.toMatchObject({ field: 'passphrase' });
    expect(await isPassphrase(studio.folder, ` ${WORD} `)).toBe(true);
    expect(await isPassphrase(studio.folder, WORD.slice(1))).toBe(false);
    expect(madePassphrase()).toMatch(/^([a-z2-9]{4}-){3}[a-z2-9]{4}$/);
    expect(new Set(Array.from({ length: 200 }, madePassphrase)).size).toBe(200);
  });
});

describe('the authority', () => {
  let folder: string;
  beforeEach(async () => (folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-test-'))));
  afterEach(() => rm(folder, { recursive: true, force: true }));

  test('is made once, and a machine’s certificate that it signs is trusted for its own addresses only', async () => {
    const authority = await authorityOf(folder);
    const again = await authorityOf(folder);
    expect(fingerprintOf(again)).toBe(fingerprintOf(authority));
    const machine = await machineCertificate(
      again,
      ['127.0.0.1', '192.168.7.9'],
      ['loom', 'loom.local', 'localhost'],
    );
    const certificate = new X509Certificate(machine.cert);
    expect(certificate.checkIssued(new X509Certificate(derOf(authority)))).toBe(true);
    expect([certificate.checkIP('192.168.7.9'), certificate.checkIP('192.168.7.10')]).toEqual([
      '192.168.7.9',
      undefined,
    ]);
    expect(certificate.checkHost('loom.local')).toBe('loom.local');
    const days = (Date.parse(certificate.validTo) - Date.parse(certificate.validFrom)) / 86_400_000;
    expect(days).toBeLessThan(398);
  });

  test('over HTTPS: who trusts the authority is answered, who does not is not, another name neither', async () => {
    const authority = await authorityOf(folder);
    const machine = await machineCertificate(authority, ['127.0.0.1'], ['localhost']);
    const listener = await listenAt(lan, '127.0.0.1', 0, machine);
    const get = (options: https.RequestOptions): Promise<number | undefined> =>
      new Promise((resolve, reject) =>
        https
          .get({ host: '127.0.0.1', port: listener.port, path: API.health, ...options }, (answer) => {
            answer.resume();
            resolve(answer.statusCode);
          })
          .on('error', reject),
      );
    const ca = authority.certificate.toString('pem');
    expect(await get({ ca })).toBe(200);
    expect(await get({ ca, servername: 'localhost', host: 'localhost', family: 4 })).toBe(200);
    await expect(get({})).rejects.toThrow(/self-signed|unable to (get|verify)/);
    await expect(get({ ca, servername: 'bank.example' })).rejects.toThrow(/altnames|not match/i);
    await listener.close();
  });

  test('a certificate for a name outside a house’s network, though it signs it, is not trusted', async () => {
    const authority = await authorityOf(folder);
    const machine = await machineCertificate(authority, [], ['bank.example']);
    const listener = await listenAt(lan, '127.0.0.1', 0, machine);
    const asked = new Promise((resolve, reject) =>
      https
        .get(
          {
            host: '127.0.0.1',
            port: listener.port,
            path: API.health,
            servername: 'bank.example',
            ca: authority.certificate.toString('pem'),
          },
          resolve,
        )
        .on('error', reject),
    );
    await expect(asked).rejects.toThrow(/permitted subtree/i);
    await listener.close();
  });

  test('is handed out by a page that holds nothing else and says how to trust it', async () => {
    const authority = await authorityOf(folder);
    const app = trustPage(authority, new Set(['127.0.0.1']), (host) => `https://${host}:4781`);
    const page = await request(app).get('/?code=abcd2345').expect(200);
    expect(page.text).toContain(fingerprintOf(authority));
    expect(page.text).toContain('https://127.0.0.1:4781/pair#abcd2345');
    for (const kind of ['iPhone', 'Android', 'Windows']) expect(page.text).toContain(kind);
    expect((await request(app).get('/?code="><script>').expect(200)).text).not.toContain('<script>');
    const given = await request(app).get('/studio-authority.crt').responseType('blob').expect(200);
    expect(new X509Certificate(given.body as Buffer).fingerprint256).toBe(fingerprintOf(authority));
    await request(app).get('/api/shelf').expect(404);
    await request(app).post('/').expect(404);
    await request(app).get('/').set('Host', 'pots.example').expect(403);
  });
});

test('addresses are those of a house’s own network, names those that a phone finds', () => {
  const at = (address: string, family = 'IPv4', internal = false) => ({ address, family, internal }) as never;
  expect(
    lanAddresses({
      lo: [at('127.0.0.1', 'IPv4', true)],
      en: [at('192.168.1.20'), at('fe80::1', 'IPv6'), at('8.8.8.8'), at('172.15.0.1'), at('172.31.0.1')],
      wl: [at('10.0.0.7')],
    }),
  ).toEqual(['192.168.1.20', '172.31.0.1', '10.0.0.7']);
  expect(lanNames('Loom.fritz.box')).toEqual(['loom', 'loom.local']);
  expect(lanNames('no name!')).toEqual([]);
});
