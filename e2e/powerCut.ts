import { randomInt } from 'node:crypto';
import { readdir } from 'node:fs/promises';
import path from 'node:path';
import { expect, type APIRequestContext } from '@playwright/test';
import { openRaw } from '../packages/server/src/storage/rawFile';
import { OWN, type Application } from './application';

const ROUNDS = Number(process.env.YTHRION_ROUNDS ?? 0);
/** Rounds of four clients logging; few in the tests, many with `npm run faults`. */
export const LOGGING_ROUNDS = ROUNDS || 3;
/** Rounds of each kind of work on the whole file. */
export const FILE_ROUNDS = Math.ceil(ROUNDS / 2) || 2;
/** Time for so many rounds. */
export const timeFor = (rounds: number): number => 60_000 + rounds * 20_000;

export const BATCH = 'b15-angelus';
export const JAR = 'vault-blue-1';

let made = 0;
/** One milliliter of blue that nobody planned, as a device sends it. */
export function tick(): { id: string } & Record<string, unknown> {
  made += 1;
  const now = new Date().toISOString();
  return {
    version: 1,
    id: `tick-${made}`,
    of: { kind: 'batch', id: BATCH },
    at: now,
    clockAt: now,
    device: 'test-device',
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
      material: { kind: 'dye', dyeId: 'vault-blue', stockId: JAR, strengthPercent: 1, lotStrength: 1 },
      amount: 1,
      unit: 'mL',
      into: { vessel: 'pot' },
    },
  };
}

/** Four clients that log until the server is gone. @returns the ids it acknowledged, and when all have given up */
export function fourClients(
  application: Application,
  request: APIRequestContext,
): { acknowledged: string[]; done: Promise<unknown> } {
  const acknowledged: string[] = [];
  const done = Promise.all(
    [0, 1, 2, 3].map(async () => {
      for (;;) {
        const event = tick();
        const answer = await request
          .post(`${application.url}/api/batches/${BATCH}/events`, { data: event, headers: OWN })
          .catch(() => null);
        if (!answer?.ok()) return;
        acknowledged.push(event.id);
      }
    }),
  );
  return { acknowledged, done };
}

/** Any moment within so many milliseconds. */
export const sometimeWithin = (ms: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, randomInt(Math.ceil(ms))));

/** How long something takes when nobody cuts it short, ms: cuts are spread over this machine’s own time for it. */
export async function timed(work: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}

/** Ids of everything in the record of the batch that is logged to. */
export async function recorded(application: Application, request: APIRequestContext): Promise<string[]> {
  const answer = await request.get(`${application.url}/api/batches/${BATCH}`);
  return ((await answer.json()) as { events: { id: string }[] }).events.map(({ id }) => id);
}

/** The application's own look over everything: file, references, jar ledger, every record. */
export async function expectSound(application: Application, request: APIRequestContext): Promise<void> {
  const answer = (await (await request.get(`${application.url}/api/check`)).json()) as { faults: string[] };
  expect(answer.faults).toEqual([]);
}

/** Every copy that has a name is whole, by SQLite's own check; nothing unfinished lies about. @returns how many */
export async function expectCopiesWhole(application: Application): Promise<number> {
  const folder = path.join(application.folder, 'backups');
  const names = await readdir(folder).catch(() => []);
  expect(names.filter((name) => name.startsWith('unfinished'))).toEqual([]);
  for (const name of names) {
    const copy = await openRaw(path.join(folder, name), 'read');
    expect(await copy.all('PRAGMA integrity_check')).toEqual([{ integrity_check: 'ok' }]);
    await copy.close();
  }
  return names.length;
}
