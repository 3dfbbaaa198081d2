import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';
import { keysOf } from './keys';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('serve');
});
test.afterAll(() => application.remove());

const fill = (page: Page, label: string, text: string): Promise<void> =>
  page.getByLabel(label, { exact: true }).fill(text);
const go = (page: Page, path: string): Promise<unknown> => page.goto(application.url + path);

/** Ticks whatever the current step asks for, until its title matches. */
async function tickUntil(page: Page, title: RegExp): Promise<void> {
  for (let i = 0; i < 20; i += 1) {
    const step = page.locator('[aria-current="step"]');
    const said = await step.getByRole('heading').innerText();
    if (title.test(said)) return;
    const keys = keysOf(page);
    const poured = keys.getByRole('button', { name: 'Poured', exact: true });
    const already = keys.getByRole('button', { name: 'Already done' });
    const done = keys.getByRole('button', { name: 'Done', exact: true });
    await poured.or(already).or(done).first().click();
    await expect(
      page.locator('[aria-current="step"]').getByRole('heading', { name: said, exact: true }),
    ).toHaveCount(0);
  }
}

test('the whole loop: dye and base, colorway, card with a wrong pour and an unplanned one, close, dye again', async ({
  page,
}) => {
  await test.step('a new dye, two jars of it, another dye, two bases', async () => {
    await go(page, '/shelf/dyes/new');
    await fill(page, 'Name', 'Vault Blue');
    await fill(page, 'Code', 'B1');
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(page.getByRole('link', { name: /Vault Blue B1/ })).toBeVisible();
    await go(page, '/shelf/dyes/new');
    await fill(page, 'Name', 'Bell Red');
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(page.getByRole('link', { name: /Bell Red/ })).toBeVisible();
    for (const [dye, strength] of [
      ['Vault Blue B1', '1'],
      ['Vault Blue B1', '4'],
      ['Bell Red', '1'],
    ] as const) {
      await go(page, '/shelf/stocks/new');
      await page.getByLabel('Dye', { exact: true }).selectOption({ label: dye });
      await fill(page, 'Strength, w/v', strength);
      await fill(page, 'Made', '500');
      await page.getByRole('button', { name: 'Put it on the shelf' }).click();
      await expect(page.getByRole('button', { name: 'Keep the change' })).toBeVisible();
    }
    for (const name of ['Sexton Worsted', 'Ratchet Sock']) {
      await go(page, '/shelf/bases/new');
      await fill(page, 'Name', name);
      await fill(page, 'Put-up, dry', '100');
      await page.getByRole('button', { name: 'Put it on the shelf' }).click();
      await expect(page.getByRole('link', { name: new RegExp(name) })).toBeVisible();
    }
  });

  await test.step('a colorway: 2 skeins at 1 % blue; every figure follows the typing', async () => {
    await go(page, '/colorways/new');
    await fill(page, 'Name of the colorway', 'Vesper');
    await page.getByLabel('Base', { exact: true }).selectOption({ label: 'Sexton Worsted' });
    await fill(page, 'Count', '2');
    await page.getByLabel('Dye', { exact: true }).selectOption({ label: 'Vault Blue B1' });
    await page.getByLabel('From', { exact: true }).selectOption({ label: '1 %, 500 mL left' });
    await fill(page, 'Depth', '1 %');
    await expect(page.getByRole('button', { name: /^Pour Vault Blue: 200 mL/ })).toBeVisible();
    await fill(page, 'Depth', '0.5');
    await expect(page.getByRole('button', { name: /^Pour Vault Blue: 100 mL/ })).toBeVisible();
    await fill(page, 'Depth', '1');
    await page.getByRole('button', { name: /^Pour Vault Blue: 200 mL/ }).click();
    await expect(page.getByText('100 × 2 g ÷ 1 % w/v = 200 mL')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page).toHaveURL(/colorways\/(?!new)/);
    await page.getByRole('button', { name: 'Begin this batch' }).click();
  });

  await test.step('the card: one pour comes out wrong, one thing nobody planned', async () => {
    await tickUntil(page, /^Pour Vault Blue/);
    await page.getByRole('button', { name: 'Poured something else' }).click();
    await fill(page, 'Really poured', '220');
    await keysOf(page).getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('planned 200 mL')).toBeVisible();
    await page.getByRole('button', { name: 'Also added …' }).click();
    await page.getByLabel('What', { exact: true }).selectOption({ label: 'Bell Red 1 %' });
    await fill(page, 'How much', '2 tsp');
    await page.getByRole('region', { name: 'Also added' }).getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Also added 2 tsp (9.86 mL) of Bell Red 1 %')).toBeVisible();
    await page.reload();
    await expect(page.getByText('Also added 2 tsp (9.86 mL) of Bell Red 1 %')).toBeVisible();
    await page.getByRole('button', { name: 'tinted', exact: true }).click();
    await expect(page.getByText(/bath tinted$/)).toBeVisible();
    for (let i = 0; i < 12 && (await page.locator('[aria-current="step"]').count()) > 0; i += 1) {
      const step = page.locator('[aria-current="step"]');
      const said = await step.getByRole('heading').innerText();
      await keysOf(page)
        .getByRole('button', { name: /^(Poured|Already done|Done)$/ })
        .first()
        .click();
      await expect(
        page.locator('[aria-current="step"]').getByRole('heading', { name: said, exact: true }),
      ).toHaveCount(0);
    }
  });

  await test.step('close with a verdict; the record shows the true recipe', async () => {
    await page.getByRole('button', { name: 'as wanted' }).click();
    await page.getByRole('button', { name: 'regular' }).click();
    await page.getByRole('button', { name: 'Close the batch' }).click();
    const recipe = page.getByRole('table', { name: 'True recipe' });
    await expect(recipe.getByRole('row', { name: /Vault Blue.*2\.2 g.*1\.1 %.*1 %/ })).toBeVisible();
    // 2 US teaspoons are 9.858 mL; at 1 % that is 0.0986 g on 200 g, 0.0493 %.
    await expect(
      recipe.getByRole('row', { name: /Bell Red.*0\.0986 g.*0\.0493 %.*not planned/ }),
    ).toBeVisible();
    await expect(page.getByText('Pour Vault Blue 1 %: 220 mL instead of 200 mL.')).toBeVisible();
    await expect(page.getByRole('region', { name: 'On the hob' })).toHaveCount(0);
  });

  await test.step('dye again: 5 skeins of another base, from the stronger jar, old and new side by side', async () => {
    await page.getByRole('link', { name: 'Dye again' }).click();
    await page.getByLabel('Base', { exact: true }).selectOption({ label: 'Ratchet Sock' });
    await fill(page, 'Count', '5');
    await page.getByLabel('Vault Blue from').selectOption({ label: 'stock 4 %' });
    const amounts = page.getByRole('table', { name: 'Old and new amounts' });
    const steps = page.getByRole('table', { name: 'Old and new steps' });
    // 1.1 % on 500 g is 5.5 g, 137.5 mL of a 4 % stock; then it was 2.2 g, 220 mL of 1 %.
    await expect(steps.getByRole('row', { name: /Pour Vault Blue 4 %.*220 mL.*138 mL/ })).toBeVisible();
    // What nobody planned is dyed again like the rest: 9.858 mL on 200 g are 24.6 on 500.
    await expect(steps.getByRole('row', { name: /Pour Bell Red 1 %.*9\.86 mL.*24\.6 mL/ })).toBeVisible();
    await expect(amounts.getByRole('row', { name: /Vault Blue, depth.*1\.1 %.*1\.1 %/ })).toBeVisible();
    await expect(amounts.getByRole('row', { name: /→ Ratchet Sock.*200 g.*500 g/ })).toBeVisible();
    await page.getByLabel('Depth', { exact: true }).selectOption('a step deeper');
    // The next rung over 1.15 % is 2 %: every dye by the same share.
    await expect(amounts.getByRole('row', { name: /Vault Blue, depth.*1\.1 %.*1\.91 %/ })).toBeVisible();
    await page.getByLabel('Depth', { exact: true }).selectOption('as it was');
    await page.getByRole('button', { name: 'Begin this batch' }).click();
    await expect(page).toHaveURL(/pots\//);
    await expect(page.getByText(/5 × Ratchet Sock/).first()).toBeVisible();
    await page.getByRole('link', { name: 'Record' }).click();
    await expect(page.getByRole('link', { name: 'an earlier batch' })).toBeVisible();
    await go(page, '/book');
    await expect(page.getByText('2 batches')).toBeVisible();
    await page.getByLabel('Search the book').fill('ratchet');
    await expect(page.getByText('1 batch', { exact: true })).toBeVisible();
  });
});
