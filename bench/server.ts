import { stat } from 'node:fs/promises';
import { studioFile } from '../packages/server/src/storage/dataFolder';
import type { Measure } from './bench';
import { sixClients } from './clients';
import { withStudio, type Studio } from './studio';

/** The server under a small and a large Book, a short and a long record, and while a copy of a large studio is made. */
export async function serverTimes(root: string): Promise<Measure[]> {
  const small = await withStudio(root, 50, 50, async (studio) => ({
    short: await eventTime(studio, 'b15-angelus', 0),
    long: await eventTime(studio, 'b15-angelus', 500),
  }));
  const large = await withStudio(root, 50_000, 6000, async (studio) => ({
    event: await eventTime(studio, 'b15-angelus', 0),
    page: await median(() => fetch(`${studio.url}/api/batches?limit=40`)),
    search: await median(() => fetch(`${studio.url}/api/batches?limit=40&q=curfew+ratchet`)),
    slow: await sixClients(studio.url, (batch) => log(studio, batch)),
    start: studio.startMs,
    bytes: (await stat(studioFile(studio.folder))).size,
    copy: await waitsDuringCopy(studio),
  }));
  const megabytes = Math.round(large.bytes / 1_048_576);
  return [
    { what: 'first page of the Book, 50,000 batches', measured: large.page, allowed: 50, unit: 'ms' },
    { what: 'search of the Book, 50,000 batches', measured: large.search, allowed: 50, unit: 'ms' },
    ...Object.entries(large.slow).map(([kind, measured]) => ({
      what: `six clients, five questions a second each, 50,000 batches: ${kind}, p95`,
      measured,
      allowed: 50,
      unit: 'ms',
    })),
    { what: `start of the server on ${megabytes} MB`, measured: large.start, allowed: 2000, unit: 'ms' },
    { what: 'an event, Book of 50, record of 5', measured: small.short, allowed: 50, unit: 'ms' },
    {
      what: 'an event in a record of 500, times one in a record of 5',
      measured: small.long / small.short,
      allowed: 1.5,
      unit: '×',
    },
    {
      what: 'an event in a Book of 50,000, times one in a Book of 50',
      measured: large.event / small.short,
      allowed: 1.5,
      unit: '×',
    },
    {
      what: `longest wait of two devices that log while ${megabytes} MB are copied (${large.copy.events} events, copy ${Math.round(large.copy.took)} ms)`,
      measured: large.copy.longest,
      allowed: 50,
      unit: 'ms',
    },
    { what: 'the same without a copy', measured: large.copy.without, allowed: 50, unit: 'ms' },
  ];
}

let made = 0;
/** One milliliter of blue into a pot that is wet. */
async function log({ url }: Studio, batch: string): Promise<number> {
  made += 1;
  const now = new Date().toISOString();
  const event = {
    version: 1,
    id: `bench-${made}`,
    of: { kind: 'batch', id: batch },
    at: now,
    clockAt: now,
    device: 'bench',
    count: made,
    person: null,
    kind: 'act',
    planned: null,
    written: '',
    note: '',
    act: {
      kind: 'put',
      pass: 'p1',
      line: null,
      purpose: 'unplanned',
      material: {
        kind: 'dye',
        dyeId: 'vault-blue',
        stockId: 'vault-blue-1',
        strengthPercent: 1,
        lotStrength: 1,
      },
      amount: 1,
      unit: 'mL',
      into: { vessel: 'pot' },
    },
  };
  const from = performance.now();
  const answer = await fetch(`${url}/api/batches/${batch}/events`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Ythrion': '1' },
    body: JSON.stringify(event),
  });
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`An event was refused: ${answer.status}`);
  return performance.now() - from;
}

/** Median time of an event, once the record holds so many more. */
async function eventTime(studio: Studio, batch: string, more: number): Promise<number> {
  for (let i = 0; i < more; i += 1) await log(studio, batch);
  const times: number[] = [];
  for (let i = 0; i < 41; i += 1) times.push(await log(studio, batch));
  return middle(times);
}

/** Two devices log, one entry after the other with a tenth of a second between, while a copy is made. */
async function waitsDuringCopy(
  studio: Studio,
): Promise<{ longest: number; without: number; events: number; took: number }> {
  let going = true;
  const waits: number[] = [];
  const device = async (batch: string): Promise<void> => {
    while (going) {
      waits.push(await log(studio, batch));
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const devices = Promise.all([device('b14-green-bronze'), device('b15-angelus')]);
  await new Promise((resolve) => setTimeout(resolve, 3000));
  const without = Math.max(...waits.splice(0));
  const from = performance.now();
  for (let i = 0; i < 3; i += 1)
    await (
      await fetch(`${studio.url}/api/copies`, { method: 'POST', headers: { 'X-Ythrion': '1' } })
    ).arrayBuffer();
  const took = (performance.now() - from) / 3;
  going = false;
  await devices;
  return { longest: Math.max(...waits), without, events: waits.length, took };
}

const middle = (times: readonly number[]): number =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

async function median(ask: () => Promise<Response>): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 21; i += 1) {
    const from = performance.now();
    await (await ask()).arrayBuffer();
    times.push(performance.now() - from);
  }
  return middle(times);
}
