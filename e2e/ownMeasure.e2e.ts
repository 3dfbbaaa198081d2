import { expect, test, type Locator, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.afterEach(() => application.remove());

const main = (page: Page): Locator => page.getByRole('main');
const figure = (page: Page, name: RegExp): Locator => main(page).getByRole('button', { name }).first();

const DYES = `Verdigris T1
Bell Red R1 4 %
Gong Yellow Y1
Vault Blue B1
Bronze Moss G1
Walnut Case N1
Strike Black K1
Copper Roof O1
Dusk Violet V1
Rose Window P1
Slate Tower S1
Moss Quarter G2
Chime Lilac V2`;
const BASES = `Ratchet Sock 75% merino 25% nylon superwash 100 g
Tower Wool 100 g
Bell Silk 100 % silk 50 g`;

test('from an empty studio to the first batch with 13 dyes, their jars, 3 bases and 4 pots in under 60 actions', async ({
  page,
}) => {
  application = await startApplication('serve');
  let actions = 0;
  const tap = async (what: Locator): Promise<void> => {
    actions += 1;
    await what.click();
  };
  const fill = async (label: string, text: string): Promise<void> => {
    actions += 1;
    await main(page).getByLabel(label, { exact: true }).first().fill(text);
  };
  await page.goto(`${application.url}/pour`);
  await tap(page.getByRole('link', { name: 'Colorways' }));
  await tap(page.getByRole('link', { name: 'New colorway' }));
  await tap(page.getByRole('link', { name: 'Set up the studio from lists' }));
  await fill('Dyes, one a line', DYES);
  await fill('Bases, one a line', BASES);
  for (const pot of ['Stock pot, 12 L', 'Slow cooker, 6 L', 'Low pan, 13 L', 'Steamer, 12 L'])
    await tap(page.getByRole('button', { name: pot }));
  actions += 1;
  await main(page).getByLabel('Amounts in').selectOption('spoons');
  await tap(page.getByRole('button', { name: 'Put it on the shelf' }));
  await expect(page).toHaveURL(/\/colorways\/new$/);
  actions += 1;
  await main(page).getByLabel('Base', { exact: true }).selectOption({ label: 'Tower Wool' });
  await fill('Depth', '6 tbsp');
  // What nobody said stands in the measures of the studio, and a bare number is in them: 200 °F is 93.3 °C.
  const temperature = main(page).getByLabel('Temperature', { exact: true });
  await expect(temperature).toHaveValue('190.4 °F');
  await expect(main(page).getByLabel('Each, dry').first()).toHaveValue('3.53 oz');
  await temperature.fill('200');
  await fill('Name of the colorway', 'First light');
  await tap(page.getByRole('button', { name: 'Save', exact: true }));
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await tap(page.getByRole('button', { name: 'Begin this batch' }));
  await expect(page).toHaveURL(/\/pots\//);
  await expect(main(page).getByText('6 tbsp').first()).toBeVisible();
  await expect(main(page).getByText(/Heat slowly to 200 °F \(93\.3 °C\)/)).toBeVisible();
  expect(actions).toBeLessThan(60);

  const shelf = (await (await page.request.get(`${application.url}/api/shelf`)).json()) as Record<
    'dyes' | 'stocks' | 'bases' | 'pots',
    { strengthPercent?: number }[]
  >;
  expect([shelf.dyes, shelf.stocks, shelf.bases, shelf.pots].map(({ length }) => length)).toEqual([
    13, 13, 3, 4,
  ]);
  expect(shelf.stocks.filter(({ strengthPercent }) => strengthPercent === 4)).toHaveLength(1);
});

/** Goes on by the keyboard alone until the field or key of that name has the focus. */
async function tabTo(page: Page, name: string): Promise<void> {
  for (let i = 0; i < 120; i += 1) {
    const here = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    );
    if (here === name) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`“${name}” cannot be reached by the Tab key.`);
}
const type = async (page: Page, text: string): Promise<void> => {
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
};

/** How a dye is said, and how it is read on the formulation, on the card and in the record. */
const SAID: [typed: string, first: RegExp, onCard: RegExp][] = [
  // 7 US tablespoons are 103.5 mL.
  ['7 tbsp', /7 tbsp, 104 mL/, /^7 tbsp$/],
  ['180 mL', /180 mL/, /^180 ?mL$/],
  ['0.5 g', /50 mL/, /^50 ?mL$/],
  ['0.4 %', /120 mL/, /^120 ?mL$/],
];

test('a colorway by keyboard alone, each dye in another school: every number stays in the measure it was said in', async ({
  page,
}) => {
  application = await startApplication('demo');
  await page.goto(`${application.url}/colorways/new`);
  await expect(figure(page, /^Weight of goods/)).toBeVisible();
  await main(page).getByLabel('Name of the colorway').focus();
  await type(page, 'By hand');
  await tabTo(page, 'Count');
  await type(page, '3');
  await tabTo(page, 'Base');
  await page.keyboard.type('Ratchet Sock');
  for (const [i, [typed]] of SAID.entries()) {
    if (i > 0) {
      await main(page).getByRole('button', { name: 'Add a dye' }).focus();
      await page.keyboard.press('Enter');
      // The new row has the focus.
      await expect(main(page).getByLabel('Dye', { exact: true }).nth(i)).toBeFocused();
      await expect(main(page).getByLabel('Measured in').nth(i)).toHaveValue(
        await main(page)
          .getByLabel('Measured in')
          .nth(i - 1)
          .inputValue(),
      );
    }
    const amount = page.locator('[data-quantity]').nth(4 + i);
    await amount.focus();
    await type(page, typed);
    await expect(amount).toHaveValue(typed);
  }
  await tabTo(page, 'Dose');
  await type(page, '2 tbsp');
  await tabTo(page, 'Temperature');
  await type(page, '190F');
  for (const [, first] of SAID)
    await expect(
      main(page)
        .getByRole('button', { name: new RegExp(`^Pour .*: ${first.source}`) })
        .first(),
    ).toBeVisible();
  await expect(figure(page, /^Acid, white vinegar: 2 tbsp, 29\.6 mL/)).toBeVisible();

  // Saved and begun, still without the mouse.
  await main(page).getByRole('button', { name: 'Save', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await page.reload();
  await expect(page.locator('[data-quantity]').nth(4)).toHaveValue('7 tbsp');
  await main(page)
    .getByRole('button', { name: /^Begin/ })
    .focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/pots\//);
  for (const [, , onCard] of SAID) await expect(main(page).getByText(onCard).first()).toBeVisible();
  await expect(main(page).getByText(/Heat slowly to 190 °F \(87\.8 °C\)/)).toBeVisible();

  // Poured as planned, the first one otherwise: the record says both as they were said.
  const pours = main(page).getByRole('button', { name: /^Poured as planned: Pour/ });
  await expect(pours).toHaveCount(4);
  for (let i = 0; i < 4; i += 1) await pours.first().click();
  await expect(pours).toHaveCount(0);
  await main(page).getByRole('button', { name: 'Also added …' }).click();
  await page.getByLabel('What', { exact: true }).selectOption({ label: 'white vinegar' });
  await page.getByLabel('How much').fill('1 tbsp + 1 tsp');
  await page.getByLabel('How much').press('Enter');
  const batch = page.url().split('/').at(-1) ?? '';
  await page.goto(`${application.url}/book/${batch}`);
  await expect(main(page).getByText(/Pour .*: 7 tbsp \(104 mL\)/)).toBeVisible();
  await expect(
    main(page).getByText(/Also added 1 tbsp \+ 1 tsp \(19\.7 mL\) of white vinegar/),
  ).toBeVisible();
  await expect(figure(page, /poured: 7 tbsp, 104 mL/)).toBeVisible();

  // Again on twice the goods: twice the spoons.
  await page.goto(`${application.url}/book/${batch}/again`);
  await main(page).getByLabel('Count').fill('6');
  await expect(figure(page, /, then: 7 tbsp, 104 mL/)).toBeVisible();
  await expect(figure(page, /, now: 14 tbsp, 207 mL/)).toBeVisible();
});

const nameOf = (field: Locator): Promise<string> =>
  field.evaluate((input: HTMLInputElement) => input.ariaLabel ?? input.labels?.[0]?.textContent ?? '');

const PLACES = [
  '/pour',
  '/colorways/green-bronze',
  '/colorways/carillon',
  '/pots/new',
  '/shelf/studio',
  '/shelf/start',
];

test('what is typed is readable to its end, on every screen, at every width', async ({ page }) => {
  application = await startApplication('demo');
  for (const place of PLACES)
    await test.step(place, async () => {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(application.url + place);
      await expect(page.locator('[data-quantity]').first()).toBeVisible();
      while ((await page.getByRole('button', { name: /^Open Pass/ }).count()) > 0)
        await page
          .getByRole('button', { name: /^Open Pass/ })
          .first()
          .click();
      const fields = page.locator('[data-quantity]');
      const count = await fields.count();
      for (let i = 0; i < count; i += 1) {
        const field = fields.nth(i);
        const before = await field.inputValue();
        // As much as most people write, and no more than fits a phone.
        await field.fill('1 tbsp + 2 1/2 tsp');
        for (const width of [1280, 820, 390]) {
          await page.setViewportSize({ width, height: 800 });
          const cut = await field.evaluate(
            (input: HTMLInputElement) => input.scrollWidth - input.clientWidth,
          );
          expect.soft(cut, `${await nameOf(field)} at ${width} px`).toBeLessThanOrEqual(1);
        }
        await page.setViewportSize({ width: 1280, height: 800 });
        await field.fill(before);
      }
    });
});

/** Two thousand by `npm run keys`, which takes some minutes. */
const KEYS_PRESSED = Number(process.env.YTHRION_KEYS ?? 200);

test('any keys on any fields never lose the screen', async ({ page }) => {
  application = await startApplication('demo');
  const lost: string[] = [];
  page.on('pageerror', (error) => lost.push(error.message));
  await page.goto(`${application.url}/colorways/carillon`);
  await expect(figure(page, /^Weight of goods/)).toBeVisible();
  while ((await page.getByRole('button', { name: /^Open Pass/ }).count()) > 0)
    await page
      .getByRole('button', { name: /^Open Pass/ })
      .first()
      .click();
  const KEYS = [
    ...'0123456789., /%+-xtbspcupgmLF',
    'Backspace',
    'ArrowUp',
    'ArrowDown',
    'Delete',
    'Home',
    'End',
  ];
  // The same keys at every run.
  let seed = 20_261_126;
  const next = (below: number): number => {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
    return seed % below;
  };
  const fields = main(page).locator('input:not([type=color])');
  for (let i = 0; i < KEYS_PRESSED; i += 1) {
    if (i % 10 === 0) await fields.nth(next(await fields.count())).focus();
    await page.keyboard.press(KEYS[next(KEYS.length)] ?? '1');
  }
  expect(lost).toEqual([]);
  await expect(main(page).getByLabel('Count', { exact: true }).first()).toBeVisible();
  await expect(figure(page, /^Weight of goods/)).toBeVisible();
});
