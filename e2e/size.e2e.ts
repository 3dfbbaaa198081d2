import { expect, test } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

/** Script that a place may ask for, gzip, kB. */
const MOST: Record<string, number> = {
  '/pour': 250,
  '/pots': 250,
  '/pots/b14-green-bronze': 250,
  '/pots/new': 250,
  '/book': 350,
  '/book/b01-curfew': 280,
  '/book/b01-curfew/again': 280,
  '/book/remember': 280,
  '/colorways': 280,
  '/colorways/green-bronze': 280,
  '/shelf': 280,
};

/** Where something is read by a schema. The bench is not among them, and never asks for what schemas are made of. */
const BY_SCHEMA: readonly string[] = ['/book'];

for (const [place, most] of Object.entries(MOST))
  test(`${place} asks for at most ${most} kB of script the first time`, async ({ browser }) => {
    const context = await browser.newContext({ serviceWorkers: 'block' });
    const page = await context.newPage();
    const devTools = await context.newCDPSession(page);
    await devTools.send('Network.enable');
    const scripts = new Set<string>();
    const files: string[] = [];
    let bytes = 0;
    devTools.on('Network.responseReceived', ({ requestId, response }) => {
      if (!response.mimeType.includes('javascript')) return;
      scripts.add(requestId);
      files.push(response.url);
    });
    devTools.on('Network.dataReceived', ({ requestId, encodedDataLength }) => {
      if (scripts.has(requestId)) bytes += encodedDataLength;
    });
    await page.goto(application.url + place);
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
    // Idle is when nothing has come for a while: on a busy machine the next script may be asked for late.
    let before = -1;
    await expect
      .poll(
        () => {
          const still = bytes === before;
          before = bytes;
          return still;
        },
        { intervals: [1500] },
      )
      .toBe(true);
    expect(scripts.size).toBeGreaterThan(5);
    expect(files.some((file) => file.includes('/schemas-'))).toBe(BY_SCHEMA.includes(place));
    expect(bytes / 1000).toBeGreaterThan(100);
    expect(bytes / 1000).toBeLessThanOrEqual(most);
    await context.close();
  });
