import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

const PLACES = [
  '/pour',
  '/colorways',
  '/colorways/green-bronze',
  '/colorways/carillon',
  '/book',
  '/book/b04-green-bronze',
  '/book/b04-green-bronze/again',
  '/pots/new',
  '/book/remember',
  '/shelf/dyes/vault-blue',
  '/shelf/stocks/new',
  '/shelf/bases/gilt-thread',
  '/shelf/pots',
  '/shelf/tools/syringe-10',
  '/shelf/dyes/patina-mix',
  '/shelf/studio',
  '/pots',
  '/pots/b15-angelus',
  '/pots/b14-green-bronze',
];
const SIZES = {
  desk: { width: 1280, height: 800 },
  tablet: { width: 820, height: 1180 },
  phone: { width: 390, height: 844 },
};

for (const [size, viewport] of Object.entries(SIZES))
  for (const scheme of size === 'desk' ? (['light', 'dark'] as const) : (['light'] as const))
    test(`every place at ${size} size, ${scheme}: WCAG 2.2 AA, and nothing wider than the screen`, async ({
      browser,
    }) => {
      test.setTimeout(900_000);
      // Tall enough that nothing lies under the hob, which axe would count as too small a target.
      const context = await browser.newContext({
        viewport: { ...viewport, height: 2600 },
        colorScheme: scheme,
      });
      const page = await context.newPage();
      for (const place of PLACES) {
        await page.goto(application.url + place, { waitUntil: 'networkidle' });
        const { violations } = await new AxeBuilder({ page })
          .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
          .analyze();
        expect(violations.map(({ id, nodes }) => `${place} ${id}: ${nodes[0]?.html.slice(0, 160)}`)).toEqual(
          [],
        );
        const tooWide = await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        );
        expect([place, tooWide]).toEqual([place, 0]);
      }
      await context.close();
    });

test('the formulation with everything open: WCAG 2.2 AA', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 4200 } });
  const page = await context.newPage();
  await page.goto(`${application.url}/colorways/carillon`);
  for (const pass of [
    'Pass 1, immersion',
    'Pass 2, repeated twist or knot',
    'Pass 3, section painting',
    'Pass 4, sprinkle',
  ])
    await page.getByRole('button', { name: `Open ${pass}` }).click();
  await page
    .getByRole('button', { name: /^pH curve/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Heat chart' }).click();
  await page.getByRole('button', { name: 'Add a pass' }).click();
  await page.getByRole('button', { name: 'More about goods line 1' }).click();
  await page.getByRole('button', { name: 'Tools' }).click();
  await page.getByRole('menuitem', { name: 'Old note' }).click();
  await expect(page.getByRole('img', { name: /^Temperature against time/ })).toBeVisible();
  const passes = async (): Promise<void> => {
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 200)}`)).toEqual([]);
  };
  await passes();
  await page.getByRole('button', { name: 'Move Pass 2, repeated twist or knot' }).click();
  await expect(page.getByRole('region', { name: 'Order of the passes' })).toBeVisible();
  await passes();
  await context.close();
});

test('a due pot says so in words and wears the ring; a phone goes straight to the pots', async ({
  browser,
}) => {
  const page = await browser.newPage({ viewport: SIZES.phone });
  await page.goto(application.url);
  await expect(page).toHaveURL(/\/pots$/);
  await expect(page.getByRole('region', { name: 'On the hob' }).getByText('Due now: set')).toBeVisible();
  await page.close();
});

test('targets at the pots are at least 44 px, and pour amounts at least 44 px tall in type', async ({
  browser,
}) => {
  const page = await browser.newPage({ viewport: SIZES.phone, hasTouch: true });
  await page.goto(`${application.url}/pots/b15-angelus`, { waitUntil: 'networkidle' });
  const small = await page
    .locator('main button, nav a')
    .evaluateAll((buttons) =>
      buttons
        .filter((button) => button.getBoundingClientRect().height < 44)
        .map((button) => button.textContent),
    );
  expect(small).toEqual([]);
  const type = await page
    .locator('[aria-current="step"] span')
    .filter({ hasText: /^160/ })
    .first()
    .evaluate((span) => Number.parseFloat(getComputedStyle(span).fontSize));
  expect(type).toBeGreaterThanOrEqual(44);
  await page.getByRole('button', { name: 'Poured', exact: true }).first().tap();
  await expect(page.getByText('Lift the goods in, open, and stir').first()).toBeVisible();
  await page.getByRole('button', { name: 'Take back: Add white vinegar to the bath' }).tap();
  await expect(
    page.locator('[aria-current="step"]').getByRole('heading', { name: 'Add white vinegar to the bath' }),
  ).toBeVisible();
  await page.close();
});

test('the slash key finds anything by name or code', async ({ page }) => {
  await page.goto(`${application.url}/pour`, { waitUntil: 'networkidle' });
  await page.getByRole('heading', { name: 'Pour' }).click();
  await page.keyboard.press('/');
  await page.keyboard.type('cupola');
  await expect(page.getByRole('menuitem', { name: /Copper Cupola/ }).first()).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/colorways\/copper-cupola/);
});

test('the chrome has no color of its own', async ({ page }) => {
  await page.goto(`${application.url}/colorways/green-bronze`, { waitUntil: 'networkidle' });
  const tinted = await page.evaluate(() => {
    const gray = (color: string): boolean => {
      const found = /rgba?\((\d+), (\d+), (\d+)/.exec(color);
      return !found || (found[1] === found[2] && found[2] === found[3]);
    };
    return [...document.querySelectorAll('nav *, header *, main button, main input, main label')]
      .filter((element) =>
        ['color', 'backgroundColor', 'borderTopColor'].some(
          (side) => !gray(getComputedStyle(element)[side as 'color']),
        ),
      )
      .map((element) => element.outerHTML.slice(0, 120));
  });
  expect(tinted).toEqual([]);
});
