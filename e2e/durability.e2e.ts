import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { randomInt } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { MIGRATIONS } from '../packages/server/src/storage/migrations';
import { openRaw } from '../packages/server/src/storage/rawFile';
import { cutShort, startApplication, OWN } from './application';
import {
  expectCopiesWhole,
  expectSound,
  FILE_ROUNDS,
  fourClients,
  JAR,
  LOGGING_ROUNDS,
  recorded,
  sometimeWithin,
  timed,
  timeFor,
} from './powerCut';

const OLDER = path.resolve(import.meta.dirname, '../packages/server/test/older');

test('kill -9 while four clients log: every acknowledged event is there once, jars agree', async ({
  request,
}) => {
  test.setTimeout(timeFor(LOGGING_ROUNDS));
  const application = await startApplication('demo');
  try {
    const before = await recorded(application, request);
    const jarBefore = await left();
    const acknowledged: string[] = [];
    for (let round = 0; round < LOGGING_ROUNDS; round += 1) {
      const clients = fourClients(application, request);
      await expect
        .poll(() => clients.acknowledged.length, { timeout: 30_000, intervals: [5] })
        .toBeGreaterThanOrEqual(8);
      await sometimeWithin(40);
      await application.kill();
      await clients.done;
      await application.restart();
      acknowledged.push(...clients.acknowledged);
      await expectSound(application, request);
    }
    const kept = await recorded(application, request);
    expect(new Set(kept).size).toBe(kept.length);
    expect([...before, ...acknowledged].filter((id) => !kept.includes(id))).toEqual([]);
    // What was on its way when the server fell may be there too, but no more than one a client and round.
    expect(kept.length).toBeLessThanOrEqual(before.length + acknowledged.length + 4 * LOGGING_ROUNDS);
    expect(jarBefore - (await left())).toBeCloseTo(kept.length - before.length, 6);
    console.log(`   ${LOGGING_ROUNDS} rounds, ${acknowledged.length} events acknowledged`);
  } finally {
    await application.remove();
  }
  async function left(): Promise<number> {
    const shelf = (await (await request.get(`${application.url}/api/shelf`)).json()) as {
      stockLeft: Record<string, number>;
    };
    return shelf.stockLeft[JAR] ?? 0;
  }
});

test('kill -9 while a copy is made and clients log: nothing lost, every copy whole', async ({ request }) => {
  test.setTimeout(timeFor(FILE_ROUNDS));
  const application = await startApplication('demo');
  try {
    const acknowledged: string[] = [];
    for (let round = 0; round < FILE_ROUNDS; round += 1) {
      const clients = fourClients(application, request);
      const copying = (async () => {
        while (
          (
            await request.post(`${application.url}/api/copies`, { data: {}, headers: OWN }).catch(() => null)
          )?.ok()
        );
      })();
      await sometimeWithin(400);
      await application.kill();
      await Promise.all([clients.done, copying]);
      await application.restart();
      acknowledged.push(...clients.acknowledged);
      const kept = await recorded(application, request);
      expect(acknowledged.filter((id) => !kept.includes(id))).toEqual([]);
      await expectSound(application, request);
      await expectCopiesWhole(application);
    }
  } finally {
    await application.remove();
  }
});

test('kill -9 while going back to a copy: what stood there, or the copy, never anything else', async ({
  request,
}) => {
  test.setTimeout(timeFor(FILE_ROUNDS));
  const application = await startApplication('demo');
  const outcomes = { old: 0, copy: 0 };
  try {
    for (let round = 0; round < FILE_ROUNDS; round += 1) {
      const inCopy = await recorded(application, request);
      const made = await request.post(`${application.url}/api/copies`, { data: {}, headers: OWN });
      const [copy] = ((await made.json()) as { copies: { name: string }[] }).copies;
      const clients = fourClients(application, request);
      await expect.poll(() => clients.acknowledged.length, { timeout: 30_000 }).toBeGreaterThanOrEqual(4);
      await application.kill();
      await clients.done;
      await application.restart();
      const stood = await recorded(application, request);
      const going = request
        .post(`${application.url}/api/copies/${copy?.name}/restore`, { data: {}, headers: OWN })
        .catch(() => null);
      await sometimeWithin(250);
      await application.kill();
      await going;
      // And once more from the command line, cut short as well.
      if (round % 2 === 1) await cutShort(['restore', copy?.name ?? ''], application.folder, randomInt(600));
      await application.restart();
      const kept = await recorded(application, request);
      const wentBack = kept.length === inCopy.length;
      expect(kept).toEqual(wentBack ? inCopy : stood);
      outcomes[wentBack ? 'copy' : 'old'] += 1;
      await expectSound(application, request);
      await expectCopiesWhole(application);
    }
    console.log(`   ${FILE_ROUNDS} rounds: ${JSON.stringify(outcomes)}`);
  } finally {
    await application.remove();
  }
});

test('kill -9 while an older file is brought up to date: the old one whole, or the new one', async ({
  request,
}) => {
  test.setTimeout(timeFor(FILE_ROUNDS));
  const older = gunzipSync(await readFile(path.join(OLDER, 'studio-0.1.0.sqlite.gz')));
  const outcomes = { old: 0, new: 0 };
  const olderFolder = async (): Promise<string> => {
    const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-e2e-'));
    await writeFile(path.join(folder, 'studio.sqlite'), older);
    return folder;
  };
  const whole = await timed(async () => (await startApplication('serve', await olderFolder())).remove());
  for (let round = 0; round < FILE_ROUNDS; round += 1) {
    const folder = await olderFolder();
    await cutShort(['serve'], folder, randomInt(Math.ceil(1.2 * whole)));
    const file = await openRaw(path.join(folder, 'studio.sqlite'), 'write');
    const migrations = (await file.all('SELECT name FROM migrations')).length;
    expect([3, MIGRATIONS.length]).toContain(migrations);
    expect(await file.all('PRAGMA integrity_check')).toEqual([{ integrity_check: 'ok' }]);
    const table = migrations === 3 ? 'batch_entries' : 'events';
    expect(await file.all(`SELECT COUNT(*) AS n FROM ${table}`)).toEqual([{ n: 1038 }]);
    await file.close();
    outcomes[migrations === 3 ? 'old' : 'new'] += 1;
    const application = await startApplication('serve', folder);
    try {
      const found = (await (await request.get(`${application.url}/api/check`)).json()) as object;
      expect(found).toEqual({ faults: [], missing: [], batches: 37, events: 1038 });
      await expectCopiesWhole(application);
    } finally {
      await application.remove();
    }
  }
  console.log(`   ${FILE_ROUNDS} rounds: ${JSON.stringify(outcomes)}`);
});

test('kill -9 while a document is taken in: all of it or nothing', async ({ request }) => {
  test.setTimeout(timeFor(FILE_ROUNDS));
  const document = JSON.parse(
    gunzipSync(await readFile(path.join(OLDER, 'studio-2.json.gz'))).toString(),
  ) as object;
  const outcomes = { none: 0, all: 0 };
  const unhurried = await startApplication('serve');
  const whole = await timed(() =>
    request.post(`${unhurried.url}/api/document`, { data: document, headers: OWN, timeout: 60_000 }),
  );
  await unhurried.remove();
  for (let round = 0; round < FILE_ROUNDS; round += 1) {
    const application = await startApplication('serve');
    try {
      const taking = request
        .post(`${application.url}/api/document`, { data: document, headers: OWN, timeout: 60_000 })
        .catch(() => null);
      await sometimeWithin(1.2 * whole);
      await application.kill();
      await taking;
      await application.restart();
      const total = (
        (await (await request.get(`${application.url}/api/batches`)).json()) as { total: number }
      ).total;
      expect([0, 37]).toContain(total);
      outcomes[total === 0 ? 'none' : 'all'] += 1;
      const again = await request.post(`${application.url}/api/document`, {
        data: document,
        headers: OWN,
        timeout: 60_000,
      });
      expect(again.status()).toBe(201);
      await expectSound(application, request);
    } finally {
      await application.remove();
    }
  }
  console.log(`   ${FILE_ROUNDS} rounds: ${JSON.stringify(outcomes)}`);
});
