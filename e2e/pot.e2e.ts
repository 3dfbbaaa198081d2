import { expect, test, type Locator, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';
import { keysOf } from './keys';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

const PHONE = { width: 390, height: 844 };
const main = (page: Page): Locator => page.getByRole('main');
const key = (page: Page, name: string): Locator => keysOf(page).getByRole('button', { name, exact: true });
const current = (page: Page): Locator => page.locator('[aria-current="step"]');
const title = (page: Page): Locator => current(page).getByRole('heading');

/** A colorway of one pass, planned by hand on the desk, saved and begun. */
async function begin(page: Page, way: string, name: string): Promise<void> {
  await page.goto(`${application.url}/colorways/new`);
  await main(page).getByLabel('Way', { exact: true }).selectOption({ label: way });
  await main(page).getByLabel('Name of the colorway').fill(name);
  await main(page).getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await main(page)
    .getByRole('button', { name: /^Begin/ })
    .click();
  await expect(page).toHaveURL(/\/pots\//);
  await page.setViewportSize(PHONE);
}

/** Does a step by its large key, and waits until the next one stands there. */
async function step(page: Page, tap: Locator): Promise<void> {
  const line = await current(page).getAttribute('data-line');
  await tap.click();
  await expect(page.locator(`[aria-current="step"][data-line="${line}"]`)).toHaveCount(0);
}

/** The key that does the step that is to be done as it is planned. */
async function asPlanned(page: Page): Promise<void> {
  const mask = keysOf(page).getByRole('button', { name: 'Mask, gloves and eye cover are on' });
  if (await mask.isVisible()) {
    await mask.click();
    await expect(mask).toHaveCount(0);
  }
  for (const name of ['Poured', 'Already done', 'no bleeding', 'Done'])
    if (await key(page, name).isVisible()) return step(page, key(page, name));
  throw new Error(`No key for “${await title(page).textContent()}”.`);
}

/** Steps as planned until one is next whose title says so; all of them where none does. */
async function until(page: Page, said: RegExp | null): Promise<void> {
  for (let i = 0; i < 80; i += 1) {
    if ((await current(page).count()) === 0) return;
    if (said?.test((await title(page).textContent()) ?? '')) return;
    await asPlanned(page);
  }
  throw new Error(`“${said}” never came.`);
}

/** Every way with what its record says of 100 g at its usual depth, worked by hand beforehand. */
const WAYS: [way: string, dye: RegExp][] = [
  // 0.5 % of 100 g is 0.5 g, 50 mL of 1 %, whatever the way.
  ['immersion', /0\.5 ?g/],
  ['low immersion pan', /0\.5 ?g/],
  ['cool bath', /0\.5 ?g/],
  ['glaze', /0\.5 ?g/],
  ['repeated twist or knot', /0\.5 ?g/],
  ['dip', /0\.5 ?g/],
  ['section painting', /0\.5 ?g/],
  ['sprinkle', /0\.5 ?g/],
  ['ice or snow', /0\.5 ?g/],
  ['painted stack', /0\.5 ?g/],
  ['blank painting', /0\.5 ?g/],
  ['own way', /0\.5 ?g/],
];

for (const [way, dye] of WAYS)
  test(`${way}: a longer wait, a step left out, a skein thrown in, a bleed and its cure, as the record tells it`, async ({
    page,
  }) => {
    test.setTimeout(120_000);
    await begin(page, way, `Trial of ${way}`);
    // The code that goes on the tag stands there before anything is wet.
    await expect(main(page).getByRole('region', { name: 'Tag' })).toContainText(/\d\d-\d{3}/);

    await test.step('a step is left out', async () => {
      const acid = main(page)
        .getByRole('button', { name: /^Add (white vinegar|citric)/ })
        .first();
      await acid.click();
      await main(page)
        .getByRole('list', { name: 'Steps' })
        .getByRole('button', { name: 'Leave it out' })
        .click();
      await expect(main(page).getByText(/^Left out: Add /)).toBeVisible();
    });

    await test.step('a wait takes longer', async () => {
      for (let i = 0; i < 40 && !(await key(page, 'Begin, start the clock').isVisible()); i += 1)
        await asPlanned(page);
      const wait = await title(page).textContent();
      await key(page, 'Begin, start the clock').click();
      await key(page, '10 min longer').click();
      await expect(main(page).getByText(`${wait}: 10 min longer`).first()).toBeVisible();
      await step(page, key(page, 'Done'));
    });

    await test.step('a spare skein goes in while it is set', async () => {
      await until(page, /^(Hold at .*(simmer hold|steam|low oven|microwave)|Hold at)/);
      await main(page).getByRole('button', { name: 'More goods' }).click();
      await main(page).getByRole('button', { name: 'They are in' }).click();
      await expect(
        main(page)
          .getByText(/^Came in: 1 × |Put .* in to catch what is left/)
          .first(),
      ).toBeVisible();
    });

    await test.step('it bleeds, and is cured', async () => {
      await until(page, /^Rinse/);
      await key(page, 'it bleeds').click();
      await main(page).getByRole('button', { name: 'Acid soak, set again' }).click();
      await expect(title(page)).toHaveText('Run water for an acid soak');
      await until(page, /^Rinse/);
      await step(page, key(page, 'no bleeding'));
      await until(page, null);
    });

    await main(page).getByRole('button', { name: 'as wanted' }).click();
    await main(page).getByRole('button', { name: 'Close the batch' }).click();
    await expect(page).toHaveURL(/\/book\//);
    const record = main(page);
    await expect(record.getByText(dye).first()).toBeVisible();
    for (const words of [
      /Left out: Add /,
      /10 min longer/,
      /Came in: 1 × /,
      /It bled\. Put in: Run water for an acid soak/,
    ])
      await expect(record.getByText(words).first()).toBeVisible();
  });
