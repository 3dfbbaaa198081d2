import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

const figure = (page: Page, name: RegExp) => page.getByRole('button', { name });
const fill = (page: Page, label: string, text: string): Promise<void> =>
  page.getByLabel(label, { exact: true }).first().fill(text);
const choose = async (page: Page, label: string, option: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).first().selectOption({ label: option });
};

/** A new colorway of 2 × 100 g of Ratchet Sock and one dye, Bell Red, from its 1 % jar. */
async function begin(page: Page): Promise<void> {
  await page.goto(`${application.url}/colorways/new`);
  await choose(page, 'Base', 'Ratchet Sock');
  await fill(page, 'Count', '2');
  await choose(page, 'Dye', 'Bell Red R1');
  await expect(figure(page, /^Weight of goods: 200 g/).first()).toBeVisible();
}

const SCHOOLS: [string, string, string, RegExp, RegExp?][] = [
  // 200 g × 1 % is 2 g: 200 mL of a 1 % stock.
  ['% depth', 'Depth', '1', /^Pour Bell Red: 200 mL/],
  // 0.8 g from a 1 % stock, 0.4 % on 200 g.
  ['grams of dye', 'Grams', '0.8', /^Pour Bell Red: 80 mL/, /^Depth of Bell Red: 0\.4 %/],
  ['mL of stock', 'Stock', '150', /^Pour Bell Red: 150 mL/, /^Depth of Bell Red: 0\.75 %/],
  // 7 US teaspoons of 4.929 mL.
  [
    'spoons of stock',
    'Spoons',
    '2 tbsp + 1 tsp',
    /^Pour Bell Red: 2 tbsp \+ 1 tsp, 34\.5 mL/,
    /^Depth of Bell Red: 0\.173 %/,
  ],
  // A quarter teaspoon at 2.9 g a level teaspoon is 0.725 g.
  ['spoons of powder', 'Spoons', '1/4', /^Pour Bell Red: 72\.5 mL/, /^Depth of Bell Red: 0\.36[23] %/],
];

test('one dye in every school, against figures worked by hand', async ({ page }) => {
  await begin(page);
  for (const [school, label, amount, pour, depth] of SCHOOLS)
    await test.step(school, async () => {
      if (school !== '% depth') await choose(page, 'Measured in', school);
      await fill(page, label, amount);
      await expect(figure(page, pour)).toBeVisible();
      if (depth) await expect(figure(page, depth)).toBeVisible();
    });
  await test.step('what was typed comes back with its school', async () => {
    await choose(page, 'Measured in', '% depth');
    await expect(page.getByLabel('Depth', { exact: true })).toHaveValue('0.362');
    await choose(page, 'Measured in', 'grams of dye');
    await expect(page.getByLabel('Grams', { exact: true })).toHaveValue('0.724');
    await choose(page, 'Measured in', 'spoons of powder');
    await expect(page.getByLabel('Spoons', { exact: true })).toHaveValue('1/4');
  });
  await test.step('3 parts and 1 part of 1 %: 150 and 50 mL', async () => {
    await choose(page, 'Measured in', 'parts');
    await fill(page, 'Parts', '3');
    await fill(page, 'All parts together', '1');
    await page.getByRole('button', { name: 'Add a dye' }).click();
    await page.getByLabel('Dye', { exact: true }).nth(1).selectOption({ label: 'Vault Blue B1' });
    await page.getByLabel('Measured in', { exact: true }).nth(1).selectOption({ label: 'parts' });
    await page.getByLabel('Parts', { exact: true }).nth(1).fill('1');
    await fill(page, 'All parts together', '1');
    await expect(figure(page, /^Pour Bell Red: 150 mL/)).toBeVisible();
    await expect(figure(page, /^Pour Vault Blue: 50 mL/)).toBeVisible();
    await page.getByRole('button', { name: 'Leave out Vault Blue' }).click();
  });
  await test.step('75 % ink where 100 % is 2 %: 1.5 %, 300 mL', async () => {
    await choose(page, 'Measured in', 'print value');
    await fill(page, '100 % ink is', '2');
    await fill(page, 'Ink', '75');
    await expect(figure(page, /^Pour Bell Red: 300 mL/)).toBeVisible();
  });
  await test.step('four primaries from a screen color', async () => {
    await page.getByRole('button', { name: 'More for Pass 1, immersion' }).click();
    await page.getByRole('menuitem', { name: 'From print values or a screen color' }).click();
    // #804020: magenta 50, yellow 75, black 50 % as printed.
    await page.getByLabel('Screen color').fill('#804020');
    await expect(page.getByLabel('Yellow', { exact: true })).toHaveValue('75');
    await page.getByLabel('Dye for yellow').selectOption({ label: 'Gong Yellow Y1' });
    await page.getByRole('button', { name: 'Use these as the dyes' }).click();
    // 200 g × 2 % × 75 % is 3 g, 300 mL of the 1 % or 3000 of the 0.1 % jar.
    await expect(figure(page, /^Dye in the pour of Gong Yellow: 3 g/)).toBeVisible();
  });
});

interface Way {
  way: string;
  /** Figures that must stand on the screen. */
  shows: RegExp[];
  change?: (page: Page) => Promise<void>;
}

const WAYS: Way[] = [
  // 200 g at 1:30 is 6 L; less 200 mL of stock and 120 mL of vinegar (1 g/L × 6 L ÷ 5 %).
  {
    way: 'immersion',
    shows: [/^Pour Bell Red: 200 mL/, /^Bath: 6 L/, /^Acid, white vinegar: 120 mL/, /^Water to run: 5\.68 L/],
  },
  // 50 × 30 × 4 cm less 200 g ÷ 1.31 g/mL of wool.
  { way: 'low immersion pan', shows: [/^Pour Bell Red: 200 mL/, /^Bath: 5\.85 L/] },
  { way: 'cool bath', shows: [/^Pour Bell Red: 200 mL/, /^Bath: 6 L/] },
  {
    way: 'glaze',
    change: (page) => fill(page, 'Dose', '6'),
    // 6 g/L × 6 L is 36 g of acetic acid, 720 mL of vinegar.
    shows: [/^Pour Bell Red: 200 mL/, /^Acid, white vinegar: 720 mL/],
  },
  { way: 'repeated twist or knot', shows: [/^Pour Bell Red: 200 mL/, /^One dose of Bell Red: 50 mL/] },
  // 60 % of 200 g is 120 g.
  { way: 'dip', shows: [/^Pour Bell Red: 120 mL/, /^Time in the bath per step: 5 min/] },
  // Half of 200 g at 1 %: 1 g, 100 mL into 100 mL of paint.
  {
    way: 'section painting',
    shows: [/^Pour Bell Red: 100 mL/, /^Paint for Section A: 100 mL/, /^Water for Section A: 0 mL/],
  },
  // 2 g of powder, cut with ten times as much citric.
  { way: 'sprinkle', shows: [/^Weigh Bell Red: 2 g/, /^Citric to cut Bell Red: 20 g/] },
  // 1.5 kg of ice and no water; vinegar at 1 g/L is a fiftieth of the whole: 1.5 L ÷ 0.98 ÷ 50.
  {
    way: 'ice or snow',
    shows: [/^Weigh Bell Red: 2 g/, /^Melt water: 1\.5 L/, /^Acid, white vinegar: 30\.6 mL/],
  },
  // As immersion, step by step.
  {
    way: 'own way',
    shows: [/^Pour Bell Red: 200 mL/, /^Bath: 6 L/, /^Acid, white vinegar: 120 mL/, /^Water to run: 5\.68 L/],
  },
  // 1 % a layer with a fifth draining: 0.8, 0.96, 1.24 %.
  {
    way: 'painted stack',
    shows: [
      /^Weigh Bell Red|^Pour Bell Red: 200 mL/,
      /^Depth on Top layer: 0\.8 %/,
      /^Depth on Layer 2: 0\.96 %/,
      /^Depth on Lowest layer: 1\.24 %/,
    ],
  },
  // 34 % of 200 g is 68 g.
  { way: 'blank painting', shows: [/^Pour Bell Red: 68 mL/, /^Paint for Stripe 1: 68 mL/] },
];

test('one dye in every way of a pass, against figures worked by hand', async ({ page }) => {
  for (const { way, shows, change } of WAYS)
    await test.step(way, async () => {
      await begin(page);
      if (way === 'sprinkle' || way === 'ice or snow') await choose(page, 'From', 'powder, weighed');
      await fill(page, 'Depth', '1');
      await choose(page, 'Way', way);
      await change?.(page);
      for (const name of shows) await expect(figure(page, name).first()).toBeVisible();
    });
  await test.step('overdye: goods that are dyed already', async () => {
    await begin(page);
    await page.getByRole('button', { name: 'More about goods line 1' }).click();
    await choose(page, 'Ground', 'dyed already, overdye');
    await page.getByLabel('Its color').fill('#c8a020');
    await fill(page, 'Depth', '0.5');
    await expect(figure(page, /^Pour Bell Red: 100 mL/)).toBeVisible();
  });
});

test('what cannot be blocks the batch and says why; typing on in nonsense keeps the figures', async ({
  page,
}) => {
  await begin(page);
  await fill(page, 'Depth', '1');
  await choose(page, 'Set by', 'microwave');
  await choose(page, 'Wrap', 'sealed');
  await expect(page.getByText(/Never seal a bag for the microwave/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Something here cannot be done' })).toBeDisabled();
  await choose(page, 'Wrap', 'vented');
  await expect(page.getByText(/Never seal a bag for the microwave/)).toHaveCount(0);
  await choose(page, 'Set by', 'simmer hold');
  // The demo's studio lies at 480 m, where water boils at 98.4 °C.
  await fill(page, 'Temperature', '100');
  await expect(page.getByText(/boils at 98\.4 °C at 480 m/)).toBeVisible();
  await fill(page, 'Temperature', '88');
  await choose(page, 'Measured in', 'grams of dye');
  await fill(page, 'Grams', '60');
  await expect(page.getByRole('main').getByRole('alert')).toContainText('Depth of shade cannot be over 12 %');
  await fill(page, 'Grams', '6');
  await expect(figure(page, /^Pour Bell Red: 600 mL/)).toBeVisible();
  await expect(page.getByRole('main').getByRole('alert')).toHaveCount(0);
});

test('typed fast through two fields and taken back, nothing is lost and nothing comes twice', async ({
  page,
}) => {
  await page.goto(`${application.url}/colorways/carillon`);
  await expect(figure(page, /^Weight of goods: 300 g/).first()).toBeVisible();
  const count = page.getByLabel('Count', { exact: true }).first();
  await count.fill('');
  await count.pressSequentially('12');
  await page.keyboard.press('Enter');
  await page.keyboard.type('50');
  await page.keyboard.press('Enter');
  await page.keyboard.type('45');
  await expect(figure(page, /^Weight of goods: 600 g/).first()).toBeVisible();
  await expect(count).toHaveValue('12');
  await expect(page.getByLabel('Each, dry').first()).toHaveValue('50');
  await expect(page.getByLabel('Wet out').first()).toHaveValue('45');
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Control+z');
  await expect(figure(page, /^Weight of goods: 300 g/).first()).toBeVisible();
  await expect(count).toHaveValue('3');
  await expect(page.getByLabel('Each, dry').first()).toHaveValue('100');
  await expect(page.getByLabel('Wet out').first()).toHaveValue('30');
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Control+y');
  await expect(figure(page, /^Weight of goods: 600 g/).first()).toBeVisible();
  await expect(count).toHaveValue('12');
});

test('on a phone the line moves to the edge, and every decision has what it comes to under it', async ({
  browser,
}) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await page.goto(`${application.url}/colorways/carillon`);
  await page.getByRole('button', { name: 'Open Pass 1, immersion' }).tap();
  const depth = page.getByLabel('Depth', { exact: true }).first();
  const pour = figure(page, /^Pour Gong Yellow: 36 mL/);
  const [left, right] = [await depth.boundingBox(), await pour.boundingBox()];
  expect(right!.y).toBeGreaterThan(left!.y);
  await depth.fill('0.24');
  await expect(figure(page, /^Pour Gong Yellow: 72 mL/)).toBeVisible();
  const wide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(wide).toBe(0);
  await page.close();
});
