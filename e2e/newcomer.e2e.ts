import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('serve');
});
test.afterEach(() => application.remove());

const field = (page: Page, label: string) => page.getByLabel(label, { exact: true });

test('an empty studio opens on the quick pour, and the amounts are there at once', async ({ page }) => {
  await page.goto(application.url);
  await expect(page).toHaveURL(/\/pour$/);
  await field(page, 'Yarn, dry').fill('200');
  await field(page, 'Depth').fill('1');
  await expect(page.getByRole('button', { name: /^Pour First dye: 200 mL/ })).toBeVisible();
  await field(page, 'Stock strength').fill('4');
  await expect(page.getByRole('button', { name: /^Pour First dye: 50 mL/ })).toBeVisible();
  await field(page, 'Yarn, dry').fill('2 oz');
  await expect(page.getByText('= 56.7 g')).toBeVisible();
  await field(page, 'Acid').selectOption('citric');
  await expect(page.getByRole('button', { name: /^Acid, citric acid crystals: 1\.7 g/ })).toBeVisible();
  await page.reload();
  await expect(field(page, 'Stock strength')).toHaveValue('4');
});

test('acid is said in spoons as well as by the liter, and a word met for the first time is explained', async ({
  page,
}) => {
  await page.goto(`${application.url}/pour`);
  await field(page, 'Yarn, dry').fill('200');
  const acid = field(page, 'Acetic acid per liter');
  await acid.press('Control+a');
  await acid.pressSequentially('3 Tbsp');
  // Three US tablespoons are 44.36 mL.
  await expect(page.getByRole('button', { name: /^Acid, white vinegar: 3 Tbsp, 44\.4 mL/ })).toBeVisible();
  await expect(field(page, 'Acid in all')).toHaveValue('3 Tbsp');
  await page.reload();
  await expect(field(page, 'Acid in all')).toHaveValue('3 Tbsp');
  await field(page, 'Acid').selectOption('citric');
  await field(page, 'Citric acid per liter').fill('1 tbsp');
  // Three level teaspoons of 4.5 g (common practice, no source).
  await expect(page.getByText('A tsp is taken as 4.5 g, not weighed.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Acid, citric acid crystals: .+, 13\.5 g/ })).toBeVisible();
  await page.getByRole('button', { name: /^Depth of shade in all/ }).click();
  await expect(
    page.getByText(/^Depth of shade is the dye for every 100 g of dry goods, in grams\./),
  ).toBeVisible();
});

test('what cannot be is refused in words and changes nothing; what is unlikely is asked about', async ({
  page,
}) => {
  await page.goto(`${application.url}/pour`);
  await field(page, 'Depth').fill('1');
  const pour = page.getByRole('button', { name: /^Pour First dye: 100 mL/ });
  await expect(pour).toBeVisible();
  await field(page, 'Depth').fill('13');
  await expect(page.getByText('✕ Depth of shade cannot be over 12 %; this reads as 13 %.')).toBeVisible();
  await expect(pour).toBeVisible();
  await field(page, 'Depth').fill('6');
  await expect(page.getByText('That is a lot: 6 %.')).toBeVisible();
  await field(page, 'Yarn, dry').fill('-4');
  await expect(page.getByText(/Mass cannot be negative/)).toBeVisible();
});

test('up and down step along the depths; Enter goes to the next amount', async ({ page }) => {
  await page.goto(`${application.url}/pour`);
  const depth = field(page, 'Depth');
  await depth.fill('0.5');
  await depth.press('ArrowUp');
  await expect(depth).toHaveValue('1');
  await depth.press('ArrowDown');
  await depth.press('ArrowDown');
  await expect(depth).toHaveValue('0.25');
  await depth.press('Enter');
  await expect(field(page, 'Stock strength')).toBeFocused();
});

test('kept, a quick pour is a colorway with its base, dye and jar', async ({ page }) => {
  await page.goto(`${application.url}/pour`);
  await field(page, 'Yarn, dry').fill('200');
  await field(page, 'Depth').fill('1');
  await field(page, 'Name').fill('First blue');
  await page.getByRole('button', { name: 'Keep as a colorway' }).click();
  await expect(page.getByLabel('Name of the colorway')).toHaveValue('First blue');
  await expect(page.getByRole('button', { name: /^Pour First dye: 200 mL/ })).toBeVisible();
  await page.goto(`${application.url}/shelf/stocks`);
  await expect(page.getByRole('link', { name: /First dye 1 %/ })).toBeVisible();
});

test('or dyed at once: the card stands on the hob and survives reload and restart', async ({ page }) => {
  await page.goto(`${application.url}/pour`);
  await field(page, 'Name').fill('First blue');
  await page.getByRole('button', { name: 'Dye it now' }).click();
  const hob = page.getByRole('region', { name: 'On the hob' });
  await page.getByRole('button', { name: 'Begin, start the clock' }).click();
  await expect(hob.getByText(/30 min left/)).toBeVisible();
  await application.kill();
  await application.restart();
  await page.reload();
  await expect(hob.getByText(/(30|29) min left/)).toBeVisible();
  for (const place of ['/pour', '/colorways', '/book', '/shelf']) {
    await page.goto(application.url + place);
    await expect(hob.getByText('First blue')).toBeVisible();
  }
});

test('the shelf refuses fibers that do not add up, marks the field, and keeps what was typed', async ({
  page,
}) => {
  await page.goto(`${application.url}/shelf/bases/new`);
  await field(page, 'Name').fill('Odd yarn');
  await field(page, 'Share 1').fill('60');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('✕ The fibers must add up to 100 %; these add up to 60 %.')).toBeVisible();
  await expect(field(page, 'Name')).toHaveValue('Odd yarn');
  await page.getByRole('button', { name: 'Add a fiber' }).click();
  // What cannot be read is not kept as the amount that stood there before it.
  await field(page, 'Put-up, dry').fill('a skein');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText(/must be a number in g/)).toBeVisible();
  await field(page, 'Put-up, dry').fill('50');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('link', { name: /Odd yarn/ })).toContainText('50 g');
});
