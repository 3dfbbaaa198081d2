import type http from 'node:http';
import type { AddressInfo } from 'node:net';
import request from 'supertest';
import { CURSOR_HEADER, NOW_HEADER, type Arrival } from '@ythrion/core';
import { listen, type Listener } from '../../test/live';
import { eventOf } from '../../test/records';
import { begin, BASE, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
let server: http.Server;
let url: string;
const listeners: Listener[] = [];
const device = (since?: string): Listener => {
  const one = listen(url, since === undefined ? {} : { since });
  listeners.push(one);
  return one;
};
beforeEach(async () => {
  studio = await testStudio();
  server = studio.app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  await request(studio.app).post('/api/batches').send(begin('b1')).expect(201);
});
afterEach(async () => {
  for (const one of listeners.splice(0)) one.cut();
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await studio.remove();
});

const note = async (id: string): Promise<Arrival> => {
  const event = eventOf('b1', { id, kind: 'noted', text: id });
  return (await request(url).post('/api/batches/b1/events').send(event).expect(201)).body as Arrival;
};
const ids = (arrivals: readonly Arrival[]): string[] => arrivals.map(({ event }) => event.id);

test('what one device enters, the others hear at once, with its number in the sequence', async () => {
  const [one, other] = [device(), device()];
  await Promise.all([one.until('now', 1), other.until('now', 1)]);
  const began = Date.now();
  const { seq } = await note('n1');
  const heard = await other.until('arrival', 1);
  expect(Date.now() - began).toBeLessThan(2000);
  expect(heard).toMatchObject([{ seq, event: { id: 'n1', kind: 'noted' } }]);
  await note('n2');
  expect(ids(await one.until('arrival', 2))).toEqual(['n1', 'n2']);
});

test('a stream that is cut 50 times and taken up where it was hears everything once, in order', async () => {
  const heard: Arrival[] = [];
  let cursor = '0';
  let entered = 0;
  for (let cut = 0; cut < 50; cut += 1) {
    const one = listen(url, { since: cursor });
    const sending = (async () => {
      for (let i = 0; i < 3; i += 1) {
        entered += 1;
        await note(`n${entered}`);
      }
    })();
    // Cut before, amid and after what is being entered.
    await (cut % 3 === 0 ? one.until('now', 1) : one.until('arrival', cut % 3));
    one.cut();
    heard.push(...one.heard('arrival'));
    cursor = one.cursor();
    await sending;
  }
  heard.push(...(await device(cursor).until('arrival', entered - heard.length)));
  expect(ids(heard)).toEqual(Array.from({ length: 150 }, (_, i) => `n${i + 1}`));
});

test('what was missed is asked for by its number, page by page', async () => {
  await studio.storage.write(async (transaction) => {
    const { insertEvents } = await import('../batches/events');
    const events = Array.from({ length: 1203 }, (_, i) =>
      eventOf('b1', { id: `m${i}`, kind: 'noted', text: 'x' }),
    );
    await insertEvents(studio.storage, [{ ...begin('b1'), events } as never], [], transaction);
  });
  const found: Arrival[] = [];
  let since = '0';
  for (let page = 0; page < 4; page += 1) {
    const { body } = await request(url).get(`/api/events?since=${since}`).expect(200);
    found.push(...(body.arrivals as Arrival[]));
    since = body.cursor as string;
  }
  expect(ids(found)).toEqual(Array.from({ length: 1203 }, (_, i) => `m${i}`));
  // And the stream gives all of it by itself.
  expect(await device('0').until('arrival', 1203)).toHaveLength(1203);
  await request(url).get('/api/events?since=yesterday').expect(400);
});

test('an answer says how far its events reach, and what the studio’s clock shows', async () => {
  await note('n1');
  const before = Date.now();
  const answer = await request(url).get('/api/running').expect(200);
  expect(answer.get(CURSOR_HEADER)).toMatch(/^\d+:n1$/);
  expect(Math.abs(Date.parse(answer.get(NOW_HEADER) ?? '') - before)).toBeLessThan(1000);
  const one = device(answer.get(CURSOR_HEADER));
  await note('n2');
  expect(ids(await one.until('arrival', 1))).toEqual(['n2']);
});

test('what else was changed is told by its address, a refusal is not', async () => {
  const one = device();
  await one.until('now', 1);
  await request(url)
    .put('/api/bases/wool')
    .send({ ...BASE, putUpGrams: -1 })
    .expect(400);
  await request(url)
    .put('/api/bases/wool')
    .send({ ...BASE, putUpGrams: 50 })
    .expect(200);
  expect(await one.until('changed', 1)).toEqual([{ path: '/api/bases/wool' }]);
});

test('after going back to a copy a device is told to ask anew, though it was away meanwhile', async () => {
  await note('n1');
  const { body: copies } = await request(url).post('/api/copies').send({}).expect(201);
  const there = device();
  await there.until('now', 1);
  await note('n2');
  await there.until('arrival', 1);
  const away = listen(url, { since: '0' });
  await away.until('arrival', 2);
  away.cut();
  await request(url).post(`/api/copies/${copies.copies[0].name}/restore`).send({}).expect(201);
  expect(await there.until('restart', 1)).toHaveLength(1);
  await note('n3');
  // The number that n2 had is n3's now.
  const again = device(away.cursor());
  expect(await again.until('restart', 1)).toHaveLength(1);
  await note('n4');
  expect(ids(await again.until('arrival', 1))).toEqual(['n4']);
});

test('entries that a device counted and that never came are said, those of a whole record are not', async () => {
  const counted = (id: string, count: number) =>
    request(url)
      .post('/api/batches/b1/events')
      .send({ ...eventOf('b1', { id, kind: 'noted', text: id }), device: 'phone', count })
      .expect(201);
  await counted('a', 3);
  await counted('b', 4);
  await counted('c', 7);
  const { body } = await request(url).get('/api/check').expect(200);
  expect(body).toMatchObject({
    faults: [],
    missing: ['Device phone: its entries 5 to 6 never arrived here.'],
  });
  await counted('d', 5);
  const { body: later } = await request(url).get('/api/check').expect(200);
  expect(later.missing).toEqual(['Device phone: its entry 6 never arrived here.']);
});
