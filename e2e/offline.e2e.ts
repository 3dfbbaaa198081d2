import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

test.use({ serviceWorkers: 'allow' });

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

const CARD = '/pots/b15-angelus';
const current = (page: Page) => page.locator('[aria-current="step"]').getByRole('heading');

/** A device of its own at the card, its browser having kept the screens. */
async function device(browser: Browser): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await context.newPage();
  await page.goto(application.url + CARD);
  await expect(current(page)).toHaveText('Add white vinegar to the bath');
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  return { context, page };
}

interface Kept {
  events: { id: string; kind: string; planned?: string | null; text?: string }[];
}
const kept = async (page: Page): Promise<Kept> =>
  (await (await page.request.get(`${application.url}/api/batches/b15-angelus`)).json()) as Kept;

async function note(page: Page, text: string): Promise<void> {
  await page.getByLabel('Note').fill(text);
  await page.getByRole('button', { name: 'Keep', exact: true }).last().click();
  await expect(page.getByLabel('Note')).toHaveValue('');
}

test('two devices log without a network, one opens anew amid it, the server falls: every entry once on both, one question', async ({
  browser,
}) => {
  const one = await device(browser);
  const other = await device(browser);
  const before = (await kept(one.page)).events.length;
  const went = Date.now();
  for (const { context } of [one, other]) await context.setOffline(true);

  await one.page.getByRole('button', { name: 'Poured', exact: true }).click();
  await expect(current(one.page)).toHaveText('Lift the goods in, open, and stir');
  await note(one.page, 'Vinegar in, by the window.');
  await expect(one.page.getByText('2 not sent yet')).toBeVisible();
  await other.page.getByRole('button', { name: 'Poured', exact: true }).click();
  await note(other.page, 'Vinegar in, by the door.');

  // Opened anew without the server: the screens, the card and what was entered are all there.
  await one.page.reload();
  await expect(current(one.page)).toHaveText('Lift the goods in, open, and stir');
  await expect(one.page.getByText('2 not sent yet')).toBeVisible();
  await note(one.page, 'After the reload.');
  await expect(one.page.getByText('3 not sent yet')).toBeVisible();
  await application.kill();
  await application.restart();
  await one.page.waitForTimeout(Math.max(0, 60_000 - (Date.now() - went)));

  for (const { context } of [one, other]) await context.setOffline(false);
  for (const { page } of [one, other]) {
    await expect(page.getByText(/not sent yet/)).toBeHidden();
    await expect(page.getByText(/Add white vinegar to the bath: entered twice/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Does it count?' })).toHaveCount(1);
  }
  const { violations } = await new AxeBuilder({ page: one.page })
    .include('[aria-label="Does it count?"]')
    .analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  const { events } = await kept(one.page);
  expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
  expect(events.length).toBe(before + 5);

  await other.page.getByRole('button', { name: /entered twice: Count one/ }).click();
  for (const { page } of [one, other]) {
    await expect(page.getByText(/: entered twice/)).toBeHidden();
    await page.goto(`${application.url}/book/b15-angelus`);
    await expect(page.getByRole('heading', { name: 'True recipe' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^Keep as version/ })).toBeVisible();
    // The server found the colors anew after it fell.
    await expect(page.getByText(/^Colors from \d+ measured samples/)).toBeVisible();
  }
  const recipes = await Promise.all([one, other].map(({ page }) => page.getByRole('main').innerText()));
  expect(recipes[0]).toContain('After the reload.');
  expect(recipes[0]).toContain('Vinegar in, by the door.');
  expect(recipes[1]).toBe(recipes[0]);
  for (const { context } of [one, other]) await context.close();
});

test('what one device enters shows on the other, jar levels too, and nothing is asked for anew', async ({
  browser,
}) => {
  const one = await device(browser);
  const other = await device(browser);
  await other.page.waitForLoadState('networkidle');
  const asked: string[] = [];
  other.page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await one.page.getByRole('button', { name: 'Poured', exact: true }).click();
  await expect(current(other.page)).toHaveText('Lift the goods in, open, and stir');
  await note(one.page, 'Seen by both.');
  await expect(one.page.getByText(/not sent yet/)).toBeHidden();
  expect(asked.filter((path) => path.startsWith('/api'))).toEqual([]);
  // A tab that was hidden, as a phone in an apron, has everything when it is looked at again.
  await other.page.goto(`${application.url}/book/b15-angelus`);
  await expect(other.page.getByText('Seen by both.')).toBeVisible();
  for (const { context } of [one, other]) await context.close();
});

test('a device whose clock was set back an hour: its pours keep their order, and the others’ recipe is the same', async ({
  browser,
}) => {
  const one = await device(browser);
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.clock.install({ time: new Date(Date.now() - 3_600_000) });
  await page.goto(application.url + CARD);
  await expect(current(page)).toHaveText('Add white vinegar to the bath');
  await one.page.getByRole('button', { name: 'Poured', exact: true }).click();
  await expect(current(page)).toHaveText('Lift the goods in, open, and stir');
  await page.clock.runFor(1000);
  await note(page, 'An hour ago, says this clock.');
  await page.clock.runFor(1000);
  await expect(one.page.getByText('An hour ago, says this clock.')).toBeVisible();
  const { events } = (await kept(one.page)) as unknown as {
    events: { kind: string; text?: string; at: string; clockAt: string }[];
  };
  const noted = events.at(-1);
  expect(noted?.text).toBe('An hour ago, says this clock.');
  expect(Date.parse(noted?.at ?? '')).toBeGreaterThan(Date.parse(events.at(-2)?.at ?? ''));
  expect(Date.parse(noted?.at ?? '') - Date.parse(noted?.clockAt ?? '')).toBeGreaterThan(3_500_000);
  for (const each of [one.context, context]) await each.close();
});
