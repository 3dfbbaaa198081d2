// Takes the pictures of the main views from the demo data.
//   node scripts/screenshots.mjs [folder] [part of a name]   with a demo served at URL (default the usual port)
import path from 'node:path';
import { mkdir } from 'node:fs/promises';
import { chromium } from '@playwright/test';
import { CHROMIUM } from './chromium.mjs';

const url = process.env.URL ?? 'http://127.0.0.1:4780';
const folder = process.argv[2] ?? 'docs/screenshots';
const only = process.argv[3] ?? '';
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/**
 * @typedef {{ name: string, path: string, size: { width: number, height: number }, act?: (page: import('@playwright/test').Page) => Promise<void> }} View
 */

/** @type {View[]} */
const VIEWS = [
  { name: 'pour', path: '/pour', size: DESK },
  { name: 'colorways', path: '/colorways', size: DESK },
  { name: 'formulation', path: '/colorways/green-bronze', size: { width: 1280, height: 1040 } },
  { name: 'formulation-passes', path: '/colorways/carillon', size: DESK },
  {
    name: 'eight-ways',
    path: '/colorways/high-mass',
    size: { width: 1280, height: 900 },
    act: async (page) => {
      await page.getByRole('button', { name: 'More for Pass 1, immersion' }).click();
      await page.getByRole('menuitem', { name: 'See it lie in eight ways' }).click();
      await page.getByRole('list', { name: 'The same pass, laid otherwise' }).waitFor();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'zones',
    path: '/colorways/new',
    size: DESK,
    act: async (page) => {
      await page.getByLabel('Way', { exact: true }).selectOption('low immersion');
      await page.getByRole('button', { name: 'More for Pass 1, low immersion pan' }).click();
      await page.getByRole('menuitem', { name: /zones/ }).click();
      for (const zone of ['Zone B', 'Zone C']) {
        await page.getByRole('button', { name: 'Add a zone' }).click();
        await page.getByLabel(`Share of ${zone}`).waitFor();
      }
      for (const [zone, share] of /** @type {[string, string][]} */ ([
        ['Zone A', '30'],
        ['Zone B', '25'],
        ['Zone C', '15'],
      ]))
        await page.getByLabel(`Share of ${zone}`).fill(share);
      await page.getByLabel('How Zone B lies').selectOption('zigzag');
      await page.getByLabel('How Zone C lies').selectOption('patches');
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'formulation-spoons',
    path: '/colorways/green-bronze',
    size: DESK,
    act: async (page) => {
      const depths = page.getByRole('textbox', { name: 'Depth', exact: true });
      await depths.nth(1).fill('7 tbsp');
      await depths.nth(1).fill('2 tbsp');
      await page.getByRole('textbox', { name: 'Liquor ratio' }).fill('38 cups');
      await page.getByRole('textbox', { name: 'Dose', exact: true }).fill('1 tbsp');
      await page.getByRole('textbox', { name: 'Temperature', exact: true }).fill('190F');
      await page.getByRole('textbox', { name: 'Spoons', exact: true }).first().focus();
      await page.getByRole('button', { name: /^Acid, .*: 1 tbsp/ }).waitFor();
    },
  },
  { name: 'pots-phone', path: '/pots', size: PHONE },
  { name: 'book', path: '/book', size: DESK },
  { name: 'batch', path: '/book/b04-green-bronze', size: DESK },
  { name: 'dye-again', path: '/book/b04-green-bronze/again', size: DESK },
  {
    name: 'notebook',
    path: '/book/remember',
    size: DESK,
    act: async (page) => {
      await page.getByLabel('Name', { exact: true }).fill('Old mauve');
      await page.getByLabel('Dyed on').fill('2024-03-01');
      await page
        .getByLabel('As it was written')
        .fill('1/8 tsp of Vesper Violet in 1/2 cup on 4 oz, a splash of vinegar, simmered 30 min, rinsed');
      await page.getByText('rinsed', { exact: true }).waitFor();
    },
  },
  {
    name: 'studio-start',
    path: '/shelf/start',
    size: DESK,
    act: async (page) => {
      await page
        .getByLabel('Dyes, one a line')
        .fill(
          'Belfry Teal T9\nTocsin Red R9 4 %\nMatins Gold\nVault Blue\nCompline Plum V9\nLantern Brown N9',
        );
      await page
        .getByLabel('Bases, one a line')
        .fill('Escape Wheel 80% merino 20% nylon superwash 100 g\nRope Wool');
      await page.getByRole('button', { name: 'Slow cooker, 6 L' }).click();
    },
  },
  // Last: these begin a batch, which then stands on the hob of every later picture.
  {
    name: 'pour-card-phone',
    path: '/colorways/carillon',
    size: PHONE,
    act: async (page) => {
      await begin(page);
      await walk(page, /^Hold at 80/);
      await keys(page).getByRole('button', { name: 'Begin, start the clock' }).click();
      await keys(page).getByRole('button', { name: 'clear', exact: true }).waitFor();
      await page.waitForTimeout(8500);
    },
  },
  {
    name: 'not-clear-phone',
    path: '/colorways/carillon',
    size: PHONE,
    act: async (page) => {
      await begin(page);
      await walk(page, /^Hold at 80/);
      await keys(page).getByRole('button', { name: 'Begin, start the clock' }).click();
      await keys(page).getByRole('button', { name: 'tinted', exact: true }).click();
      await page.getByRole('heading', { name: 'The bath is tinted' }).waitFor();
    },
  },
  {
    name: 'attempts',
    path: '/colorways',
    size: DESK,
    act: async (page) => {
      await page.getByRole('button', { name: 'Look for a color' }).click();
      await page.getByLabel('Name of the color').fill('Weathercock');
      await page.getByLabel('In words').fill('old copper in rain');
      await page.getByRole('button', { name: 'Keep these words' }).click();
      await page.getByRole('heading', { name: 'Weathercock' }).waitFor();
      const color = page.url();
      for (const [i, [gold, rose, moss, words]] of /** @type {[number, number, number, string][]} */ ([
        [3, 2, 0, 'too pink'],
        [3, 1, 1, 'a little too light'],
        [4, 2, 1, 'that is it'],
      ]).entries()) {
        await page.goto(color, { waitUntil: 'networkidle' });
        await page.getByRole('button', { name: `Mix attempt ${i + 1} by eye` }).click();
        await page.getByLabel('Base').selectOption({ label: 'Ratchet Sock' });
        await spoons(page, 'Clapper Gold 1 %', '1 tbsp', gold);
        await spoons(page, 'Foundry Rose 1 %', '1 tbsp', rose);
        await spoons(page, 'Bronze Moss 1 %', '1/2 tsp', moss);
        await page.getByRole('button', { name: 'Pour it' }).click();
        await page.getByLabel('Into', { exact: true }).selectOption('new');
        await page.getByRole('button', { name: 'Pour', exact: true }).click({ delay: 700 });
        const put = page.getByRole('region', { name: 'Put in' });
        await put.getByLabel('What', { exact: true }).selectOption({ label: 'water' });
        await put.getByLabel('How much').fill('3 L');
        await put.getByRole('button', { name: 'Keep', exact: true }).click();
        await page.getByLabel('In words').fill(words);
        await page.getByRole('button', { name: i < 2 ? 'not right' : 'as wanted' }).click();
        await page.getByRole('button', { name: 'Close the batch' }).click();
        await page.waitForURL(/book/);
      }
      await page.goto(color, { waitUntil: 'networkidle' });
      await page.getByLabel('It is', { exact: true }).selectOption('between');
    },
  },
  {
    name: 'cup-phone',
    path: '/pots',
    size: PHONE,
    act: async (page) => {
      await page.getByRole('button', { name: 'Mix a color' }).click();
      await page.getByLabel('Base').selectOption({ label: 'Ratchet Sock' });
      await spoons(page, 'Clapper Gold 1 %', '1 tbsp', 3);
      await spoons(page, 'Foundry Rose 1 %', '1 tbsp', 2);
      await page.getByRole('button', { name: 'before black' }).click();
      await spoons(page, 'Bronze Moss 1 %', '1/2 tsp', 1);
      await page.waitForTimeout(8500);
      await page.evaluate(() => scrollTo(0, 0));
    },
  },
  {
    name: 'pot-without-plan',
    path: '/pots/new',
    size: PHONE,
    act: async (page) => {
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
      const fields = page.getByRole('region', { name: 'Put in' });
      for (const [what, much] of [
        ['water', '5 L'],
        ['Vault Blue 1 %', '2 tbsp'],
      ]) {
        await fields.getByLabel('What', { exact: true }).selectOption({ label: what ?? '' });
        await fields.getByLabel('How much').fill(much ?? '');
        await fields.getByRole('button', { name: 'Keep' }).click();
        await page
          .getByRole('listitem')
          .filter({ hasText: what ?? '' })
          .waitFor();
      }
    },
  },
  {
    name: 'doubt-phone',
    path: '/pots/b15-angelus',
    size: PHONE,
    act: async (page) => {
      // Two devices tick the same line while neither hears of the other.
      const other = await (await page.context().browser()?.newContext())?.newPage();
      await other?.goto(`${url}/pots/b15-angelus`);
      const key = { name: 'Poured', exact: true };
      await other?.getByRole('button', key).waitFor();
      await page.context().setOffline(true);
      await page.getByRole('button', key).click();
      await other?.getByRole('button', key).click();
      await page.context().setOffline(false);
      await page
        .getByText(/entered twice/)
        .first()
        .waitFor();
      await page.evaluate(() => scrollTo(0, 0));
      await other?.context().close();
    },
  },
];

/** The keys of the step that is to be done. @param {import('@playwright/test').Page} page */
const keys = (page) => page.getByRole('group', { name: 'Keys of this step' });

/** So many spoons of a jar into the cup. @param {import('@playwright/test').Page} page @param {string} jar @param {string} spoon @param {number} count */
async function spoons(page, jar, spoon, count) {
  if (count === 0) return;
  await page.getByRole('button', { name: jar, exact: true }).click();
  for (let i = 0; i < count; i += 1)
    await page.getByRole('button', { name: `${spoon} of ${jar}`, exact: true }).click();
}

/** From a formulation to its card. @param {import('@playwright/test').Page} page */
async function begin(page) {
  await page.getByRole('button', { name: /^Begin/ }).click();
  await keys(page).waitFor();
}

/** Ticks a card until a step. @param {import('@playwright/test').Page} page @param {RegExp} stop its title */
async function walk(page, stop) {
  const step = page.locator('[aria-current="step"]');
  for (;;) {
    const line = await step.getAttribute('data-line');
    if (stop.test(await step.getByRole('heading').innerText())) return;
    await keys(page)
      .getByRole('button', { name: /^(Poured|Already done|Done|Mask, gloves and eye cover are on)$/ })
      .first()
      .click();
    await page.waitForTimeout(150);
    if ((await keys(page).getByRole('button', { name: /^Mask/ }).count()) === 0)
      await page
        .locator(`[aria-current="step"][data-line="${line}"]`)
        .waitFor({ state: 'detached', timeout: 3000 })
        .catch(() => undefined);
  }
}

await mkdir(folder, { recursive: true });
const browser = await chromium.launch(CHROMIUM);
// The demo has a pot that is due: it stands on the hob, and need not ring in every picture.
const first = await browser.newPage();
await first.goto(`${url}/pots`);
await first
  .getByRole('button', { name: 'I hear it' })
  .click({ timeout: 5000 })
  .catch(() => undefined);
await first.waitForTimeout(500);
await first.close();
for (const view of VIEWS.filter(({ name }) => name.includes(only))) {
  const page = await browser.newPage({
    viewport: view.size,
    colorScheme: process.env.SCHEME === 'dark' ? 'dark' : 'light',
  });
  page.on('pageerror', (error) => console.error(view.name, error.message));
  page.on('console', (message) => message.type() === 'error' && console.error(view.name, message.text()));
  await page.goto(url + view.path, { waitUntil: 'networkidle' });
  await page.getByText('One moment …').waitFor({ state: 'detached' });
  await view.act?.(page);
  await page.waitForTimeout(400);
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  if (overflow > 0) console.error(`${view.name}: ${overflow} px too wide`);
  await page.screenshot({ path: path.join(folder, `${view.name}.png`) });
  await page.close();
}
await browser.close();
