import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

const onRail = (page: Page) => page.getByRole('region', { name: 'Drying rail' }).getByRole('listitem');
const inTable = (page: Page) =>
  page.getByRole('table', { name: 'All batches' }).getByRole('row').filter({ hasText: /^26-/ });
const codes = async (rows: ReturnType<typeof onRail>): Promise<string[]> =>
  (await rows.allInnerTexts()).map((text) => /26-\d+/.exec(text)?.[0] ?? '');

test('the Book is narrowed and put in order, rail and table together, and its address brings it back', async ({
  page,
}) => {
  await page.goto(`${application.url}/book`);
  await expect(onRail(page)).toHaveCount(15);
  await page.getByRole('button', { name: 'Narrow and order' }).click();
  await page.getByLabel('Verdict').selectOption('as wanted');
  await page.getByLabel('Depth from').fill('1');
  await page.getByLabel('Begun until').fill('2026-11-01');
  await expect(page.getByRole('button', { name: 'Narrowed by 3' })).toBeVisible();
  const narrowed = page.waitForResponse(/order=wogGrams&way=down/);
  await page.getByRole('button', { name: 'Mass' }).click();
  await narrowed;
  await expect(page.getByLabel('Order')).toHaveValue('wogGrams down');
  const all = (
    (await (await page.request.get(`${application.url}/api/batches?limit=200`)).json()) as {
      rows: { code: string; outcome: string; dosPercent: number; startedAt: string; wogGrams: number }[];
    }
  ).rows;
  const expected = all.filter(
    ({ outcome, dosPercent, startedAt }) =>
      outcome === 'as wanted' && dosPercent >= 1 && new Date(startedAt) < new Date('2026-11-02T00:00'),
  );
  expect(expected.length).toBeGreaterThan(3);
  await expect
    .poll(async () => (await codes(inTable(page))).toSorted())
    .toEqual(expected.map(({ code }) => code).toSorted());
  const massOf = (code: string): number => all.find((row) => row.code === code)?.wogGrams ?? 0;
  await expect
    .poll(async () => (await codes(inTable(page))).map(massOf))
    .toEqual(expected.map(({ wogGrams }) => wogGrams).toSorted((a, b) => b - a));
  const shown = await codes(inTable(page));
  await expect.poll(() => codes(onRail(page))).toEqual(shown);

  await page.getByRole('row', { name: new RegExp(shown[0] ?? '') }).click();
  await expect(page).toHaveURL(/\/book\/./);
  await page.goBack();
  await expect(page.getByLabel('Depth from')).toHaveValue('1');
  await expect.poll(() => codes(onRail(page))).toEqual(shown);

  // An amount that cannot be read narrows nothing, and says so in its field.
  await page.getByLabel('Depth from').fill('deep');
  await expect(page.getByRole('button', { name: 'Narrowed by 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(onRail(page)).toHaveCount(15);
  await page.getByLabel('Search the book').fill('no such thing');
  await expect(page.getByText('No batch is all of this.')).toBeVisible();
});

test('Enter typed ahead of the list goes to what was typed, not to what was listed before', async ({
  page,
}) => {
  await page.goto(`${application.url}/pour`, { waitUntil: 'networkidle' });
  const field = page.getByLabel('Find anything by name or code');
  await field.fill('c');
  await expect(page.getByRole('menuitem').first()).toBeVisible();
  await page.route(/api\/find\?q=copper/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 500));
    await route.continue();
  });
  await field.pressSequentially('opper cupola');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/colorways\/copper-cupola/);
});
