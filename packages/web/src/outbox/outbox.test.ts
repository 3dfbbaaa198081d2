/** @jest-environment node */
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import type { Arrival, Batch, Event } from '@ythrion/core';
import { faultyServer, type Fault } from '../../test/faultyServer';
import { Refused } from '../api/client';
import { openDatabase, type DeviceDatabase } from './database';
import { Outbox } from './outbox';
import { Sender } from './sender';
import { withHeard } from './withHeard';

const AT = '2026-03-01T10:00:00.000Z';
const note = (text: string) => ({ event: { kind: 'noted', text } as const, at: AT });
const textOf = (event: Event): string => (event.kind === 'noted' ? event.text : '');
const texts = (events: readonly Event[]): string[] => events.map(textOf);

let databases = 0;
const opened: DeviceDatabase[] = [];
async function device(name = `device-${(databases += 1)}`): Promise<{ outbox: Outbox; name: string }> {
  const outbox = new Outbox();
  const database = await openDatabase(name);
  opened.push(database);
  await outbox.open(database);
  return { outbox, name };
}
afterEach(() => opened.splice(0).forEach((database) => database.close()));

/** Posts as the application does, only that it gives up after 150 ms. */
const poster =
  (url: string) =>
  async (event: Event): Promise<Arrival> => {
    const response = await fetch(url, {
      method: 'POST',
      body: JSON.stringify(event),
      signal: AbortSignal.timeout(150),
    });
    const answer = (await response.json()) as Arrival;
    if (!response.ok) throw new Refused(response.status, answer as never);
    return answer;
  };
const until = async (so: () => boolean): Promise<void> => {
  while (!so()) await new Promise((resolve) => setTimeout(resolve, 5));
};

describe('what was entered', () => {
  test('is there after the tab was closed, with its place in the count, though nothing was sent', async () => {
    const { outbox, name } = await device();
    await outbox.enter('b1', [note('one'), note('two')]);
    const { outbox: later } = await device(name);
    expect(texts(later.unsent().map(({ event }) => event))).toEqual(['one', 'two']);
    const [third] = await later.enter('b1', [note('three')]);
    expect(third?.count).toBe(3);
    expect(third?.device).toBe(outbox.unsent()[0]?.event.device);
  });
  test('is counted once over two tabs of one device', async () => {
    const { outbox, name } = await device();
    const { outbox: other } = await device(name);
    await Promise.all(
      Array.from({ length: 20 }, (_, i) => (i % 2 ? outbox : other).enter('b1', [note(`n${i}`)])),
    );
    await outbox.readAgain();
    expect(outbox.unsent().map(({ event }) => event.count)).toEqual(
      Array.from({ length: 20 }, (_, i) => i + 1),
    );
  });
  test('works where the browser keeps nothing, and says so', async () => {
    const outbox = new Outbox();
    await outbox.open(null);
    await outbox.enter('b1', [note('one')]);
    expect(outbox.forgets).toBe(true);
    expect(outbox.unsent()).toHaveLength(1);
  });
  test('a database that fails amid it takes nothing along: the page holds the entry, says so, and it is sent', async () => {
    const { outbox } = await device();
    await outbox.enter('b1', [note('one')]);
    opened.at(-1)?.close();
    await outbox.enter('b1', [note('two')]);
    expect(outbox.forgets).toBe(true);
    expect(outbox.unsent().map(({ event }) => [textOf(event), event.count])).toEqual([
      ['one', 1],
      ['two', 2],
    ]);
    const server = await faultyServer([]);
    new Sender(outbox, poster(server.url), () => 1).wake();
    await until(() => outbox.unsent().length === 0);
    expect(texts(server.events)).toEqual(['one', 'two']);
    await server.close();
  });
  test('what goes along within another request takes no place in the count', async () => {
    const { outbox } = await device();
    const aside = outbox.aside('b1', { kind: 'noted', text: 'x' }, AT);
    const [next] = await outbox.enter('b1', [note('one')]);
    expect([aside.count, next?.count]).toEqual([1, 1]);
    expect(outbox.unsent()).toHaveLength(1);
  });
});

describe('against a server that fails', () => {
  const faults = fc.constantFrom<Fault>(
    'none',
    'says 500',
    'hangs',
    'drops before',
    'drops after',
    'answers late',
  );
  test('every entry arrives once, in order, whatever befalls the requests', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(faults, { maxLength: 8 }),
        fc.integer({ min: 1, max: 5 }),
        async (list, count) => {
          const server = await faultyServer(list);
          const { outbox } = await device();
          const sender = new Sender(outbox, poster(server.url), () => 1);
          const wanted = Array.from({ length: count }, (_, i) => `n${i}`);
          for (const text of wanted) {
            await outbox.enter('b1', [note(text)]);
            sender.wake();
          }
          await until(() => outbox.unsent().length === 0);
          expect(texts(server.events)).toEqual(wanted);
          expect(outbox.ofBatch('b1').every(({ state, seq }) => state === 'known' && seq !== null)).toBe(
            true,
          );
          await server.close();
        },
      ),
      { seed: 20_261_126, numRuns: 25 },
    );
  }, 120_000);
  test('what it will never take stays here with the reason, and the next is sent', async () => {
    const server = await faultyServer([]);
    const { outbox, name } = await device();
    const sender = new Sender(outbox, poster(server.url), () => 1);
    await outbox.enter('b1', [note('nonsense'), note('sense')]);
    sender.wake();
    await until(() => outbox.unsent().length === 0);
    expect(texts(server.events)).toEqual(['sense']);
    const { outbox: later } = await device(name);
    expect(later.refused()).toMatchObject([{ why: 'This is nonsense.' }]);
    expect(texts(later.ofBatch('b1').map(({ event }) => event))).toEqual(['sense']);
    await later.forget(later.refused().map(({ id }) => id));
    expect(later.refused()).toEqual([]);
    await server.close();
  });
  test('woken, it tries at once instead of waiting on', async () => {
    const server = await faultyServer(['says 500']);
    const { outbox } = await device();
    const sender = new Sender(outbox, poster(server.url), () => 3_600_000);
    await outbox.enter('b1', [note('one')]);
    sender.wake();
    await until(() => server.asked === 1);
    await new Promise((resolve) => setTimeout(resolve, 30));
    sender.wake();
    await until(() => outbox.unsent().length === 0);
    expect(server.asked).toBe(2);
    await server.close();
  });
});

describe('what is heard', () => {
  const batch = { id: 'b1', name: 'Vesper', events: [] } as unknown as Batch;
  const arrival = (id: string, seq: number): Arrival => ({
    seq,
    event: { id, of: { kind: 'batch', id: 'b1' }, kind: 'noted', text: id, count: seq } as Event,
  });
  test('joins its batch once, in the order of arrival, what is on its way at the end', async () => {
    const { outbox } = await device();
    await outbox.enter('b1', [note('mine')]);
    await outbox.heard([arrival('b', 7), arrival('a', 5)]);
    const told = { ...batch, events: [arrival('a', 5).event] };
    const now = withHeard(told, outbox.ofBatch('b1'));
    expect(texts(now.events)).toEqual(['a', 'b', 'mine']);
    // The same object again: what is computed from it is computed once.
    expect(withHeard(told, outbox.ofBatch('b1'))).toBe(now);
    await outbox.heard([
      { ...arrival('x', 1), event: { ...arrival('x', 1).event, of: { kind: 'batch', id: 'b2' } } },
    ]);
    expect(withHeard(told, outbox.ofBatch('b1'))).toBe(now);
  });
  test('its own entry back from the stream counts as sent', async () => {
    const { outbox } = await device();
    const [event] = await outbox.enter('b1', [note('one')]);
    await outbox.heard([{ seq: 3, event: event! }]);
    expect(outbox.unsent()).toEqual([]);
  });
  test('a name that was given is the name', async () => {
    const { outbox } = await device();
    await outbox.enter('b1', [{ event: { kind: 'named', name: 'Rust' }, at: AT }]);
    expect(withHeard(batch, outbox.ofBatch('b1')).name).toBe('Rust');
  });
  test('after going back to a copy what was known is let go of, what was not sent is kept', async () => {
    const { outbox } = await device();
    await outbox.heard([arrival('a', 5)]);
    await outbox.enter('b1', [note('mine')]);
    await outbox.forgetKnown();
    expect(texts(outbox.ofBatch('b1').map(({ event }) => event))).toEqual(['mine']);
  });
});
