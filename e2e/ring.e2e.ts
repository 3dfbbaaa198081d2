import { expect, test, type Page } from '@playwright/test';
import { cardLines, minutesOf, plannedDone, type Batch } from '@ythrion/core';
import { OWN, startApplication, type Application } from './application';
import { keysOf } from './keys';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

/** Sounds that the page has begun to make. */
const listenTo = (page: Page) =>
  page.addInitScript(() => {
    const counted = window as unknown as { sounds: number };
    counted.sounds = 0;
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (at?: number): void {
      counted.sounds += 1;
      start.call(this, at);
    };
  });
const sounds = (page: Page): Promise<number> =>
  page.evaluate(() => (window as unknown as { sounds: number }).sounds);

/** Has the card come to its first wait, whose clock was started three hours ago. */
async function waitingTooLong(page: Page): Promise<void> {
  const address = `${application.url}/api/batches/b15-angelus`;
  const batch = (await (await page.request.get(address)).json()) as Batch;
  const done = plannedDone(batch.events);
  const stamp = (i: number, at: string) => ({
    ...{ version: 1, id: `ring-${i}`, of: { kind: 'batch', id: batch.id }, person: null },
    ...{ at, clockAt: at, device: 'ring-test', count: i + 1 },
  });
  const now = new Date().toISOString();
  for (const [i, line] of cardLines(batch.card).entries()) {
    if (done.has(line.id)) continue;
    const isWait = minutesOf(line.act) !== null;
    const data = isWait
      ? {
          ...stamp(i, new Date(Date.now() - 3 * 3_600_000).toISOString()),
          kind: 'begun',
          planned: line.id,
          act: line.act,
        }
      : { ...stamp(i, now), kind: 'act', planned: line.id, act: line.act, written: '', note: '' };
    const answer = await page.request.post(`${address}/events`, { data, headers: OWN });
    expect(answer.status()).toBe(201);
    if (isWait) return;
  }
  throw new Error('This card has no wait left.');
}

test('every open device rings when a wait is over, until somebody says on one of them that they heard', async ({
  browser,
}) => {
  const pages: Page[] = [];
  for (const path of ['/book', '/pots']) {
    const page = await (await browser.newContext()).newPage();
    await listenTo(page);
    await page.goto(application.url + path);
    await page.getByRole('heading', { level: 1 }).click();
    pages.push(page);
  }
  const [one, other] = pages as [Page, Page];
  // The demo has a pot that is due as well.
  await one.getByRole('button', { name: 'I hear it' }).click();
  for (const page of pages) await expect(page).toHaveTitle('Ythrion');
  await waitingTooLong(one);
  for (const page of pages) {
    await expect(page.getByRole('alert').filter({ hasText: 'Due now. Angelus' })).toBeVisible();
    await expect(page).toHaveTitle('● Due now');
    await expect.poll(() => sounds(page)).toBeGreaterThanOrEqual(4);
  }
  await other.getByRole('button', { name: 'I hear it' }).click();
  for (const page of pages) {
    await expect(page.getByRole('alert').filter({ hasText: 'Due now. Angelus' })).toBeHidden();
    await expect(page).toHaveTitle('Ythrion');
  }
  const quiet = await sounds(one);
  await one.waitForTimeout(3500);
  expect(await sounds(one)).toBe(quiet);
  // It is due all the same until it is ended.
  await expect(one.getByRole('region', { name: 'On the hob' }).getByText(/Due now: /)).toHaveCount(2);
  // How it rings is said once on each device, where a clock runs.
  await one.goto(`${application.url}/pots/b15-angelus`);
  await expect(one.getByText(/One that is locked cannot/)).toBeVisible();
  await one.getByRole('button', { name: 'I have read it' }).click();
  await one.reload();
  await expect(one.getByRole('region', { name: 'On the hob' })).toBeVisible();
  await expect(one.getByText(/One that is locked cannot/)).toBeHidden();
});

test('what comes up along the lower edge never moves the keys under a thumb', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${application.url}/pots/b15-angelus`);
  const poured = keysOf(page).getByRole('button', { name: 'Poured', exact: true });
  const edge = async (): Promise<number> =>
    ((await poured.boundingBox())?.y ?? 0) - page.viewportSize()!.height;
  // The demo has a pot that is due.
  await expect(page.getByRole('alert').filter({ hasText: 'Due now. ' })).toBeVisible();
  const rung = await edge();
  await page.getByRole('button', { name: 'I hear it' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Due now. ' })).toHaveCount(0);
  expect(await edge()).toBe(rung);
  await application.kill();
  await page.getByRole('button', { name: 'drop tinted' }).click();
  const unsent = page.getByText(/not sent yet/);
  await expect(unsent).toBeVisible();
  expect(await edge()).toBe(rung);
  // It stands above the keys, not on them.
  const notice = await unsent.boundingBox();
  const keys = await keysOf(page).boundingBox();
  expect((notice?.y ?? 0) + (notice?.height ?? 0)).toBeLessThanOrEqual(keys?.y ?? 0);
});
