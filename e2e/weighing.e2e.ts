import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';
import { keysOf } from './keys';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

const open = async (page: Page, path: string): Promise<void> => {
  await page.goto(application.url + path);
};
const figure = (page: Page, name: RegExp) => page.getByRole('button', { name });
const step = (page: Page) => page.locator('[aria-current="step"]');

test('a jar is made on the scale: what it settles on decides the water, and is kept with the jar', async ({
  page,
}) => {
  await open(page, '/shelf/stocks/new?like=vault-blue-1');
  await page.getByLabel('Made', { exact: true }).fill('200');
  await expect(figure(page, /^Powder to weigh: 2 g/)).toBeVisible();
  await page.getByLabel('Really weighed').fill('2.13');
  await expect(figure(page, /^Volume that keeps the strength: 213 mL/)).toBeVisible();
  await page.getByRole('button', { name: 'volume', exact: true }).click();
  await expect(figure(page, /^True strength: 1\.06 % w\/v/)).toBeVisible();
  await page.getByRole('button', { name: 'strength', exact: true }).click();
  await page.getByRole('button', { name: 'Weigh on the scale' }).click();
  const scale = page.getByRole('region', { name: 'Scale' });
  await scale.getByRole('button', { name: 'Clear the pan' }).click();
  await scale.getByRole('button', { name: 'Tare' }).click();
  await scale.getByRole('button', { name: 'Lay powder on' }).click();
  await expect(scale.getByText(/Moving/)).toBeVisible();
  await expect(scale.getByText(/Stands still/)).toBeVisible();
  await scale.getByRole('button', { name: 'Take this reading' }).click();
  await expect(page.getByLabel('Really weighed')).not.toHaveValue('2');
  const weighed = Number(await page.getByLabel('Really weighed').inputValue());
  expect(weighed).toBeGreaterThan(0.5);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText(/The scale showed/)).toBeVisible();
  const shelf = (await (await page.request.get(`${application.url}/api/shelf`)).json()) as {
    stocks: { weighedGrams: number | null; volumeMl: number; strengthPercent: number }[];
  };
  const jar = shelf.stocks.find((stock) => stock.weighedGrams !== null);
  expect(jar?.weighedGrams).toBeCloseTo(weighed, 6);
  expect(jar?.volumeMl).toBeCloseTo(100 * weighed, 4);
});

test('a premix cycle is refused, and a mix is taken apart', async ({ page }) => {
  await open(page, '/shelf/dyes/patina-mix');
  await expect(page.getByText('10 g hold 6 g Verdigris, 4 g Bronze Moss.')).toBeVisible();
  await open(page, '/shelf/dyes/verdigris');
  await page.getByRole('button', { name: 'Make it a premix' }).click();
  await page.getByLabel('Powder 1', { exact: true }).selectOption({ label: 'Patina Mix TG' });
  await expect(page.getByText(/holds itself: verdigris → patina-mix → verdigris/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByText(/holds itself/).first()).toBeVisible();
});

test('a pour too small to read has its dilution on the card, and the jar gives it once', async ({ page }) => {
  await open(page, '/colorways/minute-hand');
  // 0.012 % of 20 g is 2.4 mg, 0.24 mL of 1 %: 1 in 5. 10 mL in 50 read to ±1 % each, 5 in 25 only to ±2 %; then 1.2 mL of that.
  await expect(figure(page, /^Stock of Pewter to dilute: 10 mL/)).toBeVisible();
  await expect(figure(page, /^Pour of diluted Pewter: 1\.2 mL/)).toBeVisible();
  await page.getByRole('button', { name: 'Begin this batch' }).click();
  await expect(page).toHaveURL(/pots\//);
  await expect(page.getByText('Pour the diluted Pewter')).toBeVisible();
  for (let i = 0; i < 12; i += 1) {
    const title = await step(page).getByRole('heading').innerText();
    if (title.startsWith('Take Pewter')) break;
    await keysOf(page)
      .getByRole('button', { name: /^(Poured|Already done|Done)$/ })
      .first()
      .click();
    await expect(step(page).getByRole('heading', { name: title, exact: true })).toHaveCount(0);
  }
  await expect(step(page).getByText(/with the 10 mL syringe, made up in the 100 mL cylinder/)).toBeVisible();
  const left = async (): Promise<number> =>
    (
      (await (await page.request.get(`${application.url}/api/shelf`)).json()) as {
        stockLeft: Record<string, number>;
      }
    ).stockLeft['pewter-1'] ?? 0;
  const before = await left();
  for (const title of [/^Take Pewter/, /^Pour the diluted Pewter/]) {
    await expect(step(page).getByRole('heading', { name: title })).toBeVisible();
    await keysOf(page).getByRole('button', { name: 'Poured', exact: true }).click();
  }
  await expect(step(page).getByRole('heading', { name: /^Pour the diluted/ })).toHaveCount(0);
  await expect.poll(async () => before - (await left())).toBeCloseTo(10, 6);
  await page.getByRole('link', { name: 'Record' }).click();
  // 1.2 mL of 0.2 % is 2.4 mg on 20 g.
  await expect(
    page.getByRole('table', { name: 'True recipe' }).getByRole('row', { name: /Pewter.*2\.4 mg.*0\.012 %/ }),
  ).toBeVisible();
});

test('open powder is acknowledged once in a batch, and never asked again', async ({ page }) => {
  await open(page, '/colorways/carillon');
  // Its own pot may hold another batch by now; nothing goes in beside that one.
  await page.getByLabel('Pot', { exact: true }).selectOption('');
  await page.getByRole('button', { name: 'Begin this batch' }).click();
  await expect(page).toHaveURL(/pots\//);
  const word = page.getByRole('button', { name: 'Mask, gloves and eye cover are on' });
  let asked = 0;
  for (let i = 0; i < 60; i += 1) {
    const title = await step(page).getByRole('heading').innerText();
    if (title.startsWith('Hold at 98')) break;
    if (await word.isVisible()) {
      asked += 1;
      await expect(step(page).getByRole('button', { name: 'Poured', exact: true })).toHaveCount(0);
      await word.click();
      await expect(word).toHaveCount(0);
    }
    await keysOf(page)
      .getByRole('button', { name: /^(Poured|Already done|Done)$/ })
      .first()
      .click();
    await expect(step(page).getByRole('heading', { name: title, exact: true })).toHaveCount(0);
  }
  await expect(step(page).getByRole('heading', { name: /^Hold at 98/ })).toBeVisible();
  expect(asked).toBe(1);
});

test('the meter is read in the pot, and a bath not acid enough says how much is due', async ({ page }) => {
  await open(page, '/pots/b14-green-bronze');
  await page.getByRole('button', { name: 'Read the meter' }).click();
  const take = page.getByRole('button', { name: /^Take pH/ });
  await expect(take).toBeVisible();
  const shown = Number(/pH (\d\.\d\d)/.exec(await take.innerText())?.[1]);
  await take.click();
  // The last digit still moves between looking and pressing, as on a real meter.
  await expect(page.getByLabel('Measured pH')).not.toHaveValue('');
  expect(Math.abs(Number(await page.getByLabel('Measured pH').inputValue()) - shown)).toBeLessThan(0.05);
  expect(shown).toBeGreaterThan(3);
  expect(shown).toBeLessThan(6);
  await page.getByLabel('Measured pH').fill('6.2');
  await page.getByRole('button', { name: 'Keep the pH' }).click();
  await expect(page.getByText(/pH 6\.2 measured, usual for these dyes 4\.5 to 5/)).toBeVisible();
  await expect(figure(page, /^citric acid crystals for the wished pH: /)).toBeVisible();
});
