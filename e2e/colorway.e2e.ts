import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

const open = async (page: Page, path: string): Promise<void> => {
  await page.goto(application.url + path, { waitUntil: 'networkidle' });
};
const figure = (page: Page, name: RegExp) => page.getByRole('button', { name });

test('a change lives in this browser until it is saved; a saved version never changes', async ({ page }) => {
  await open(page, '/colorways/high-mass');
  const depth = page.getByLabel('Depth', { exact: true }).first();
  await depth.fill('2');
  await expect(figure(page, /^Pour Bell Red: 600 mL/)).toBeVisible();
  await expect(page.getByText('not saved yet; kept in this browser')).toBeVisible();
  await page.reload();
  await expect(depth).toHaveValue('2');
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(depth).toHaveValue('1.8');
  await depth.fill('2.2');
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByText('Version 2 saved.')).toBeVisible();
  await page.getByLabel('Version', { exact: true }).selectOption('1');
  await expect(depth).toHaveValue('1.8');
  await page.reload();
  await expect(depth).toHaveValue('2.2');
  await open(page, '/book/b07-high-mass');
  await expect(page.getByText('Colorway, version 1.')).toBeVisible();
});

test('acid restated in another school is the same acid; what was typed is kept', async ({ page }) => {
  await open(page, '/colorways/high-mass');
  // 3 % of 300 g is 9 g of acetic acid in 9 L: 1 g/L, 180 mL of 5 % vinegar.
  const dose = page.getByLabel('Dose', { exact: true });
  await expect(figure(page, /^Acid, white vinegar: 180 mL/)).toBeVisible();
  await page.getByLabel('Counted as').selectOption('gPerL');
  await expect(dose).toHaveValue('1');
  await page.getByLabel('Counted as').selectOption('amount');
  await expect(dose).toHaveValue('180');
  await dose.fill('3/4 cup');
  await expect(page.getByText('= 177 mL')).toBeVisible();
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByText('Version 2 saved.')).toBeVisible();
  await page.reload();
  await expect(dose).toHaveValue('3/4 cup');
});

test('what is typed and saved at once is saved, though the screen has not come after it yet', async ({
  page,
}) => {
  await open(page, '/colorways/high-mass');
  const dose = page.getByLabel('Dose', { exact: true });
  await page.getByLabel('Counted as').selectOption('amount');
  await expect(dose).toHaveValue('180');
  await expect(page.getByRole('button', { name: 'Save version 2' })).toBeEnabled();
  // Both in one go, before anything is drawn.
  await page.evaluate(() => {
    const field = document.querySelector<HTMLInputElement>('input[data-quantity][value="180"]')!;
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, '3/4 cup');
    field.dispatchEvent(new Event('input', { bubbles: true }));
    const save = [...document.querySelectorAll('button')].find((one) => one.textContent === 'Save version 2');
    save!.click();
  });
  await expect(page.getByText('Version 2 saved.')).toBeVisible();
  await page.reload();
  await expect(dose).toHaveValue('3/4 cup');
});

test('goods of two bases share the pot; a metal thread shows depth on what takes dye', async ({ page }) => {
  await open(page, '/colorways/tin-tongue');
  await expect(figure(page, /^Weight of goods: 200 g/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Add goods' }).click();
  await page.getByLabel('Base', { exact: true }).nth(1).selectOption({ label: 'Gilt Thread Sock' });
  await page.getByLabel('Count', { exact: true }).nth(1).fill('2');
  await expect(figure(page, /^Weight of goods: 400 g/).first()).toBeVisible();
  // 200 g × 100 % + 200 g × 95 % of 400 g is 97.5 %.
  await expect(figure(page, /^Share that takes acid dye: 97\.5 %/)).toBeVisible();
  await expect(page.getByText(/10 g of .*Gilt Thread Sock takes no acid dye/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave out goods line 2' }).click();
  await expect(figure(page, /^Weight of goods: 200 g/).first()).toBeVisible();
});

test('silk set too hot, a jar too empty and a warm rest are each spoken of', async ({ page }) => {
  await open(page, '/colorways/quarter-chime');
  await page.getByLabel('Temperature', { exact: true }).fill('205F');
  await expect(page.getByText(/Over 88 °C is hard on silk/)).toBeVisible();
  await page.getByLabel('Set by').selectOption('warm rest');
  await expect(page.getByText(/Not equal to a heat set/).first()).toBeVisible();
  await page.getByLabel('Count', { exact: true }).fill('900');
  await expect(page.getByText(/the jar holds .* less than you need\. Make more\./).first()).toBeVisible();
});

test('the expected pH follows acid, water and goods, and says what is usual', async ({ page }) => {
  await open(page, '/colorways/high-mass');
  const pH = figure(page, /^Expected pH with the goods in: pH/);
  const read = async (): Promise<number> =>
    Number(/pH (\d\.\d)/.exec((await pH.getAttribute('aria-label')) ?? '')?.[1]);
  const before = await read();
  await page.getByLabel('Dose', { exact: true }).fill('9');
  await expect.poll(read).toBeLessThan(before);
  await pH.click();
  await expect(
    page.getByText(
      /charge balance with Davies activities, carbonate driven off by heat, less what the fiber takes up/,
    ),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await open(page, '/shelf/studio');
  await page.getByLabel(/Alkalinity of the water/).fill('300');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await open(page, '/colorways/copper-cupola');
  await page.getByLabel('Dose', { exact: true }).fill('0.3');
  await expect(page.getByText(/may leave dye in the bath/)).toBeVisible();
});

test('retired things leave the lists and stay in the records', async ({ page }) => {
  await open(page, '/shelf/dyes/bell-red');
  await page.getByRole('button', { name: 'Retire' }).click();
  await expect(page.getByText('Retired. Old records still name it.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Bell Red/ })).toHaveCount(0);
  await open(page, '/book/b07-high-mass');
  await expect(page.getByRole('table', { name: 'True recipe' }).getByText('Bell Red')).toBeVisible();
  await open(page, '/colorways/new');
  await expect(
    page.getByLabel('Dye', { exact: true }).locator('option', { hasText: 'Bell Red' }),
  ).toHaveCount(0);
  await open(page, '/colorways/high-mass');
  await page.getByRole('button', { name: 'Retire' }).click();
  await open(page, '/colorways');
  await expect(page.getByText('High Mass')).toHaveCount(0);
  await page.getByLabel('Show 1 retired').check();
  await expect(page.getByText('High Mass')).toBeVisible();
});
