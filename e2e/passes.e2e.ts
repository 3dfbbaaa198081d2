import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

const open = async (page: Page, path: string): Promise<void> => {
  await page.goto(application.url + path);
};
const figure = (page: Page, name: RegExp) => page.getByRole('button', { name });
const titles = (page: Page): Promise<string[]> =>
  page
    .getByRole('region', { name: /^Pass \d/ })
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
const FOUR = [
  'Pass 1, immersion',
  'Pass 2, repeated twist or knot',
  'Pass 3, section painting',
  'Pass 4, sprinkle',
];

test('four passes read without opening anything, and are moved by key, doubled and left out', async ({
  page,
}) => {
  await open(page, '/colorways/carillon');
  await expect(page.getByText('2 dyes, 0.2 %, immersion, acid when warm, 15 min at 80 °C')).toBeVisible();
  await expect(page.getByText(/Strike Black, 0\.05 %, sprinkle, acid with the powder/)).toBeVisible();
  expect(await titles(page)).toEqual(FOUR);
  const order = page.getByRole('region', { name: 'Order of the passes' });
  const swapped = [...FOUR.slice(0, 2), 'Pass 3, sprinkle', 'Pass 4, section painting'];
  await test.step('by the keyboard, beginning with the one that is to be moved', async () => {
    await page.getByRole('button', { name: 'Move Pass 4, sprinkle' }).click();
    await expect(order.getByRole('button', { name: 'Move Pass 4, sprinkle' })).toBeFocused();
    await page.keyboard.press('Space');
    await page.waitForTimeout(200);
    await page.keyboard.press('ArrowUp');
    await page.waitForTimeout(300);
    await page.keyboard.press('Space');
    await expect(order.getByRole('button', { name: 'Move Pass 3, sprinkle' })).toBeVisible();
    await order.getByRole('button', { name: 'Done' }).click();
    await expect.poll(() => titles(page)).toEqual(swapped);
  });
  await test.step('by hand; Escape ends it as Done does', async () => {
    await page.getByRole('button', { name: 'Move Pass 3, sprinkle' }).click();
    const from = await order.getByRole('button', { name: 'Move Pass 3, sprinkle' }).boundingBox();
    const to = await order.getByRole('button', { name: 'Move Pass 4, section painting' }).boundingBox();
    if (!from || !to) throw new Error('The passes are not on the screen.');
    await page.mouse.move(from.x + 60, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(from.x + 60, from.y + 40, { steps: 4 });
    await page.mouse.move(from.x + 60, to.y + 30, { steps: 8 });
    await page.mouse.up();
    await expect(order.getByRole('button', { name: 'Move Pass 4, sprinkle' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect.poll(() => titles(page)).toEqual(FOUR);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => titles(page)).toEqual(swapped);
  });
  await test.step('undo and redo, by button and by key', async () => {
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => titles(page)).toEqual(FOUR);
    await page.keyboard.press('Control+Shift+z');
    await expect.poll(async () => (await titles(page))[2]).toBe('Pass 3, sprinkle');
    await page.keyboard.press('Control+z');
    await expect.poll(() => titles(page)).toEqual(FOUR);
  });
  await test.step('doubled, and left out again', async () => {
    await page.getByRole('button', { name: 'More for Pass 4, sprinkle' }).click();
    await page.getByRole('menuitem', { name: 'Duplicate' }).click();
    await expect.poll(async () => (await titles(page)).length).toBe(5);
    await page.getByRole('button', { name: 'More for Pass 5, sprinkle' }).click();
    await page.getByRole('menuitem', { name: 'Leave this pass out' }).click();
    await expect.poll(() => titles(page)).toEqual(FOUR);
  });
  await test.step('the first pass cannot use a bath that is not there', async () => {
    await page.getByRole('button', { name: 'More for Pass 2, repeated twist or knot' }).click();
    await page.getByRole('menuitem', { name: 'Move up' }).click();
    await expect.poll(async () => (await titles(page))[0]).toBe('Pass 1, repeated twist or knot');
    await page.getByRole('button', { name: 'Open Pass 1, repeated twist or knot' }).click();
    await expect(page.getByLabel('Water by').first()).toHaveValue('ratio');
  });
});

test('a pass kept as a pattern is used again in another colorway', async ({ page }) => {
  await open(page, '/colorways/carillon');
  await page.getByRole('button', { name: 'More for Pass 3, section painting' }).click();
  await page.getByRole('menuitem', { name: 'Keep as a pattern' }).click();
  await expect(page.getByText('Kept as the pattern “painting, 2 dyes”.')).toBeVisible();
  await open(page, '/colorways/high-mass');
  await page.getByRole('button', { name: 'Add a pass' }).click();
  await page.getByRole('button', { name: /Pattern: painting, 2 dyes/ }).click();
  // 25 % of 300 g at 0.6 % is 0.45 g of Copper Roof: 45 mL.
  await expect(figure(page, /^Pour Copper Roof: 45 mL/)).toBeVisible();
  await expect(page.getByText('Pass 2, section painting')).toBeVisible();
});

test('two versions line by line', async ({ page }) => {
  await open(page, '/colorways/green-bronze');
  await page.getByRole('button', { name: 'Tools' }).click();
  await page.getByRole('menuitem', { name: 'Compare versions' }).click();
  const table = page.getByRole('table', { name: 'Versions line by line' });
  // Version 1 had 0.5 % Verdigris, version 2 has 0.6 %: 1.5 and 1.8 g on 300 g.
  await expect(table.getByRole('row', { name: /≠ Verdigris, depth.*0\.5 %.*0\.6 %/ })).toBeVisible();
  await expect(table.getByRole('row', { name: /≠ Verdigris, dye.*1\.5 g.*1\.8 g/ })).toBeVisible();
  await expect(table.getByRole('row', { name: /^Bronze Moss, depth.*0\.35 %.*0\.35 %/ })).toBeVisible();
  await page.getByLabel('Beside', { exact: true }).selectOption('1');
  await expect(page.getByText('They say the same in every line.')).toBeVisible();
});

test('same depth on more goods, same dye on more goods, one step deeper', async ({ page }) => {
  await open(page, '/colorways/high-mass');
  const tool = async (): Promise<void> => {
    await page.getByRole('button', { name: 'Tools' }).click();
    await page.getByRole('menuitem', { name: 'Size and depth' }).click();
  };
  const table = page.getByRole('table', { name: 'Before and after' });
  await tool();
  // 1.8 % on 300 g is 5.4 g; on 600 g 10.8 g.
  await page.getByLabel('New count').fill('6');
  await expect(table.getByRole('row', { name: /Bell Red, dye.*5\.4 g.*10\.8 g/ })).toBeVisible();
  await page.getByRole('button', { name: 'same dye' }).click();
  await expect(table.getByRole('row', { name: /Bell Red, depth.*1\.8 %.*0\.9 %/ })).toBeVisible();
  // 2.05 % in all; the next rung is 3 %, so Bell Red goes to 1.8 × 3 ÷ 2.05.
  await page.getByRole('button', { name: 'deeper' }).click();
  await expect(table.getByRole('row', { name: /Bell Red, depth.*1\.8 %.*2\.63 %/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(figure(page, /^Depth of shade in all: 3 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(figure(page, /^Depth of shade in all: 2\.05 %/)).toBeVisible();
});

test('an old note becomes a depth with its uncertainty, and a dye of the pass', async ({ page }) => {
  await open(page, '/colorways/high-mass');
  await page.getByRole('button', { name: 'Tools' }).click();
  await page.getByRole('menuitem', { name: 'Old note' }).click();
  await page.getByLabel('Old note, as it was written').fill('1/8 tsp of Vault Blue in 1/2 cup on 4 oz');
  // 1/8 of 2.9 g is 0.3625 g on 113.4 g: 0.32 %, give or take 15 % of it.
  await expect(figure(page, /^Depth of Vault Blue in the old note: 0\.32 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Make the last pass of it' }).click();
  // 0.32 % on 300 g is 0.96 g, 96 mL of the 1 % jar.
  await expect(figure(page, /^Pour Vault Blue: 96 mL/)).toBeVisible();
});

test('pH curve, heat chart, and the run sheet as a PDF', async ({ page }) => {
  await open(page, '/colorways/carillon');
  await page.getByRole('button', { name: 'Heat chart' }).click();
  await expect(page.getByRole('img', { name: /^Temperature against time, .* hottest 98 °C/ })).toBeVisible();
  await page.getByRole('button', { name: 'Open Pass 1, immersion' }).click();
  await page.getByRole('button', { name: 'pH curve of the white vinegar' }).click();
  await expect(page.getByRole('img', { name: /^pH against white vinegar: .* today 43\.2 mL/ })).toBeVisible();
  await page.getByRole('button', { name: 'Tools' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 30_000 }),
    page.getByRole('menuitem', { name: 'Run sheet, PDF' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Carillon v1, run sheet.pdf');
  const pdf = await readFile(await download.path());
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.length).toBeGreaterThan(10_000);
});

test('an own way is put together step by step, and its card says just that', async ({ page }) => {
  await open(page, '/colorways/new');
  const choose = (label: string, option: string) =>
    page.getByLabel(label, { exact: true }).first().selectOption({ label: option });
  await choose('Base', 'Ratchet Sock');
  await choose('Dye', 'Bell Red R1');
  await choose('Way', 'own way');
  await page.getByRole('button', { name: 'Add a step' }).click();
  await choose('Step 7', 'dye');
  await page.getByRole('button', { name: 'Add a step' }).click();
  await expect(page.getByRole('listitem', { name: 'Step 8, hold hot' })).toBeVisible();
  await choose('Until, step 8', 'time is up');
  await page.getByRole('button', { name: 'Step 5 earlier' }).click();
  await expect(page.getByRole('listitem', { name: 'Step 4, heat' })).toBeVisible();
  // 0.5 % of 100 g is 50 mL of the 1 % jar, in two doses now.
  await expect(figure(page, /^One dose of Bell Red: 25 mL/)).toBeVisible();
  await choose('Step 3', 'lift out');
  await expect(page.getByText('The goods go in at no step: give them one.').first()).toBeVisible();
  await choose('Step 3', 'goods in');
  await page.getByRole('button', { name: 'Add a step' }).click();
  await page.getByRole('button', { name: 'Leave out step 9' }).click();
  await page.getByLabel('Name of the colorway').fill('Step by step');
  await page.getByRole('button', { name: 'Save', exact: true }).first().click();
  await page.getByRole('button', { name: 'Begin this batch' }).click();
  await expect(page.locator('[aria-current="step"]')).toBeVisible();
  const said = (await page.getByRole('main').innerText()).replaceAll(/\s+/g, ' ');
  const order = [
    'Wet out the goods',
    'Run water into the pot',
    'Pour Bell Red 1 %',
    'Lift the goods in',
    'Heat slowly to 82',
    'Add white vinegar to the bath',
    'Hold at 82 °C until the bath clears',
    'Pour Bell Red 1 %',
    'Hold at 82 °C',
    'Heat slowly to 88',
  ];
  let from = 0;
  for (const title of order) {
    const at = said.indexOf(title, from);
    expect([title, at]).toEqual([title, expect.any(Number)]);
    expect(at, title).toBeGreaterThanOrEqual(from);
    from = at + title.length;
  }
});

test('what was typed for an acid dose stays with that dose when another is taken out', async ({ page }) => {
  await open(page, '/colorways/green-bronze');
  const pass = page.getByRole('region', { name: /^Pass 1/ });
  await pass.getByRole('button', { name: /^More for / }).click();
  await page.getByRole('menuitem', { name: 'Add another acid dose' }).click();
  const doses = pass.getByLabel('Dose', { exact: true });
  await expect(doses).toHaveCount(2);
  await pass.getByLabel('Acid', { exact: true }).nth(1).selectOption({ label: 'Vinegar' });
  await pass.getByLabel('Counted as').nth(1).selectOption({ label: 'mL in all' });
  await doses.nth(1).fill('2 tbsp');
  await expect(doses.nth(1)).toHaveValue('2 tbsp');
  await pass.getByLabel('Acid', { exact: true }).first().selectOption({ label: 'None' });
  await expect(doses).toHaveCount(1);
  await expect(doses).toHaveValue('2 tbsp');
});
