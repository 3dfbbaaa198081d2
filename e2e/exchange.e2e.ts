import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import type { Batch, StudioDocument } from '@ythrion/core';
import { OWN, startApplication, type Application } from './application';

let application: Application;
let empty: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
  empty = await startApplication('serve');
});
test.afterEach(async () => {
  await application.remove();
  await empty.remove();
});

const documentOf = async (page: Page, { url }: Application): Promise<StudioDocument> =>
  (await (await page.request.get(`${url}/api/document`)).json()) as StudioDocument;
const totalOf = async (page: Page, { url }: Application): Promise<number> =>
  ((await (await page.request.get(`${url}/api/batches?limit=1`)).json()) as { total: number }).total;

test('what is taken out of one studio and into another is the same there', async ({ page }) => {
  await page.goto(`${application.url}/shelf/studio`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('region', { name: 'All of it as one file' })
      .getByRole('link', { name: 'Take out' })
      .click(),
  ]);
  expect(download.suggestedFilename()).toBe('studio.ythrion.zip');
  const bytes = await readFile(await download.path());

  await page.goto(`${empty.url}/shelf/studio`);
  const studio = { name: 'studio.zip', mimeType: 'application/zip', buffer: bytes };
  await page.getByLabel('File to take in').setInputFiles(studio);
  await expect(page.getByText(/Taken in: \d+ new, 0 already here/)).toBeVisible();
  await page.getByLabel('File to take in').setInputFiles({ ...studio, buffer: bytes.subarray(0, 5000) });
  await expect(
    page.getByText(/Nothing was taken in\. This file is neither JSON nor a whole zip/),
  ).toBeVisible();
  expect(await documentOf(page, empty)).toEqual(await documentOf(page, application));
});

test('a long taking in is counted; stopped, or when the power fails, nothing came in, and what was logged meanwhile did', async ({
  page,
}) => {
  const whole = await documentOf(page, application);
  const text = JSON.stringify({
    ...whole,
    batches: Array.from({ length: 100 }, (_, i) => apart(whole.batches, i)).flat(),
  });
  await page.goto(`${application.url}/shelf/studio`);
  const long = { name: 'long.json', mimeType: 'application/json', buffer: Buffer.from(text) };
  await page.getByLabel('File to take in').setInputFiles(long);
  const panel = page.getByRole('region', { name: 'All of it as one file' });
  await expect(panel.getByRole('status')).toContainText(/: [1-9]\d* batches read so far/, {
    timeout: 60_000,
  });
  const now = new Date().toISOString();
  const noted = page.request.post(`${application.url}/api/batches/b15-angelus/events`, {
    headers: OWN,
    data: {
      version: 1,
      id: 'meanwhile',
      of: { kind: 'batch', id: 'b15-angelus' },
      at: now,
      clockAt: now,
      device: 'phone',
      count: 1,
      person: null,
      kind: 'noted',
      text: 'still blue',
    },
  });
  // Pages are read all the while.
  expect(await totalOf(page, application)).toBe(whole.batches.length);
  await panel.getByRole('button', { name: 'Stop taking in' }).click();
  await expect(page.getByText('Stopped: nothing was taken in.')).toBeVisible();
  expect((await noted).status()).toBe(201);
  await expect(panel.getByRole('button', { name: 'Take in …' })).toBeEnabled();
  expect(await totalOf(page, application)).toBe(whole.batches.length);

  // The power fails in the middle of another try.
  await page.getByLabel('File to take in').setInputFiles(long);
  await expect(panel.getByRole('status')).toContainText(/: [1-9]\d* batches read so far/, {
    timeout: 60_000,
  });
  await application.kill();
  await application.restart();
  expect(await totalOf(page, application)).toBe(whole.batches.length);
});

/** The same batches once more, under other names. */
const apart = (batches: readonly Batch[], i: number): Batch[] =>
  batches.map((batch) => ({
    ...batch,
    id: `${batch.id}-${i}`,
    code: '',
    againOf: null,
    events: batch.events.map((event) => ({
      ...event,
      id: `${event.id}-${i}`,
      of: { kind: 'batch', id: `${batch.id}-${i}` },
      ...(event.kind === 'struck' && { event: `${event.event}-${i}` }),
    })) as Batch['events'],
  }));
