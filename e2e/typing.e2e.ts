import { expect, test, type Page } from '@playwright/test';
import { OWN, startApplication, type Application } from './application';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

const open = async (page: Page, path: string): Promise<void> => {
  await page.goto(application.url + path, { waitUntil: 'networkidle' });
};

/** What a field is given by keys, and what is done next, before anything can be drawn. */
test('what is typed in one row stays when the unit of another is switched at once', async ({ page }) => {
  await open(page, '/colorways/high-mass');
  await page.getByLabel('Depth', { exact: true }).first().fill('1');
  await expect(page.getByLabel('Measured in').nth(1)).toBeVisible();
  await page.evaluate(() => {
    const named = (words: string): HTMLElement[] => [
      ...document.querySelectorAll<HTMLElement>(`[aria-label="${words}"]`),
    ];
    const typed = named('Depth')[0] as HTMLInputElement;
    const school = named('Measured in')[1] as HTMLSelectElement;
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(typed, '1.5');
    typed.dispatchEvent(new Event('input', { bubbles: true }));
    Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!.call(school, 'grams');
    school.dispatchEvent(new Event('change', { bubbles: true }));
  });
  await expect(page.getByLabel('Grams', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Depth', { exact: true }).first()).toHaveValue('1.5');
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await page.reload();
  await expect(page.getByLabel('Depth', { exact: true }).first()).toHaveValue('1.5');
});

test('an amount that cannot be read is gone to and said, and nothing is kept meanwhile', async ({ page }) => {
  await open(page, '/colorways/high-mass');
  const depth = page.getByLabel('Depth', { exact: true }).first();
  await depth.fill('2');
  await depth.fill('2 Tbx');
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByText('Depth says “2 Tbx”, which is no amount: nothing was kept.')).toBeVisible();
  await expect(depth).toBeFocused();
  await expect(page.getByText('Version 2 saved.')).toHaveCount(0);
  await depth.fill('2');
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByText('Version 2 saved.')).toBeVisible();
});

test('changes made before another device saved are not dropped: both are offered', async ({
  page,
  browser,
}) => {
  await open(page, '/colorways/high-mass');
  const depth = page.getByLabel('Depth', { exact: true }).first();
  await depth.fill('2');
  await expect(page.getByText('not saved yet; kept in this browser')).toBeVisible();
  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await open(other, '/colorways/high-mass');
  await other.getByLabel('Depth', { exact: true }).first().fill('3');
  await other.getByRole('button', { name: 'Save version 2' }).click();
  await expect(other.getByText('Version 2 saved.')).toBeVisible();
  const said = page.getByText(/^Version 2 was saved on .* and your changes stand on version 1\./);
  await page.reload();
  await expect(said).toBeVisible();
  await expect(depth).toHaveValue('2');
  await page.getByRole('button', { name: 'Leave my changes, open version 2' }).click();
  await expect(depth).toHaveValue('3');
  await expect(said).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(depth).toHaveValue('2');
  await page.getByRole('button', { name: 'Save version 3' }).click();
  await expect(page.getByText('Version 3 saved.')).toBeVisible();
});

test('what is typed into a new dye as soon as it stands there is not wiped by what comes from the server', async ({
  page,
}) => {
  // The shelf comes late, and once more after that.
  await page.route('**/api/shelf', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 300));
    await route.continue();
  });
  await page.goto(`${application.url}/shelf/dyes/new`, { waitUntil: 'commit' });
  const name = page.getByLabel('Name', { exact: true });
  await name.fill('Late Madder');
  await page.getByLabel('Note').fill('from the fair');
  await page.waitForTimeout(300);
  await page.evaluate(() => dispatchEvent(new Event('focus')));
  await page.request.put(`${application.url}/api/bases/fair`, {
    headers: OWN,
    data: { id: 'fair', name: 'Fair Wool', fibers: [{ fiber: 'wool', percent: 100 }], putUpGrams: 100 },
  });
  await page.waitForTimeout(1500);
  await expect(name).toHaveValue('Late Madder');
  await expect(page.getByLabel('Note')).toHaveValue('from the fair');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('link', { name: /Late Madder/ })).toBeVisible();
});
