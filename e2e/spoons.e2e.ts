import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

const main = (page: Page) => page.getByRole('main');

async function alsoAdd(page: Page, what: string, amount: string): Promise<void> {
  await page.getByLabel('What', { exact: true }).selectOption({ label: what });
  await page.getByLabel('How much').fill(amount);
}

test('a spoon of citric and of powder is taken wherever an amount is asked, guessed at until it is weighed', async ({
  page,
}) => {
  // At the pot, where the studio has weighed neither.
  await page.goto(`${application.url}/pots/b15-angelus`);
  await page.getByRole('button', { name: 'Also added …' }).click();
  await alsoAdd(page, 'citric acid crystals', '2 Tbsp');
  // Six level teaspoons of 4.5 g (common practice, no source).
  await expect(main(page).getByText('= 27 g')).toBeVisible();
  await expect(main(page).getByText('A tsp is taken as 4.5 g, not weighed.')).toBeVisible();
  await alsoAdd(page, 'white vinegar', 'half a cup');
  await expect(main(page).getByText('= 118 mL')).toBeVisible();

  // Ten of them are weighed: 50 g, 5 g each.
  await page.goto(`${application.url}/shelf/studio`);
  await expect(main(page).getByText('Not weighed: 4.5 g is taken.')).toBeVisible();
  await main(page).getByRole('button', { name: 'Weigh it' }).click();
  await page.getByLabel('They weigh together').fill('50');
  await expect(main(page).getByRole('button', { name: /^A level teaspoon: 5 g/ })).toBeVisible();
  await main(page).getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByLabel('A level teaspoon of citric crystals weighs')).toHaveValue('5');
  await main(page).getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();

  // In the plan.
  await page.goto(`${application.url}/colorways/green-bronze`);
  const dose = page.getByLabel('Dose', { exact: true });
  const countedAs = page.getByLabel('Counted as');
  await expect(countedAs).toHaveValue('gPerL');
  // What is typed says itself what it is counted by, key by key.
  await dose.press('Control+a');
  await dose.pressSequentially('two tablespoons');
  await expect(main(page).getByText('= 30 g')).toBeVisible();
  await expect(countedAs).toHaveValue('amount');
  await expect(dose).toHaveValue('two tablespoons');
  await expect(
    page.getByRole('button', { name: /^Acid in all, citric acid crystals: two tablespoons, 30 g/ }).first(),
  ).toBeVisible();
  await dose.press('Control+a');
  await dose.pressSequentially('0.5 g/L');
  await expect(countedAs).toHaveValue('gPerL');
  await expect(
    page.getByRole('button', { name: /^Acid in all, citric acid crystals: 4\.5 g/ }).first(),
  ).toBeVisible();

  // At the pot, and after it went in as it was said.
  await page.goto(`${application.url}/pots/b15-angelus`);
  await page.getByRole('button', { name: 'Also added …' }).click();
  await alsoAdd(page, 'citric acid crystals', '1 tbsp + 1 tsp');
  await expect(main(page).getByText('= 20 g')).toBeVisible();
  await page.getByLabel('How much').press('Enter');
  await expect(
    main(page).getByText(/Also added 1 tbsp \+ 1 tsp \(20 g\) of citric acid crystals/),
  ).toBeVisible();
});

test('what was typed stands there again after it was saved and opened anew, and gives way to another setting', async ({
  page,
}) => {
  await page.goto(`${application.url}/colorways/copper-cupola`);
  const hold = page.getByLabel('Hold', { exact: true });
  await hold.fill('half an hour');
  await expect(main(page).getByText('= 30 min')).toBeVisible();
  const wet = page.getByLabel('Wet out', { exact: true });
  await wet.fill('overnight');
  await expect(main(page).getByText('= 12 h')).toBeVisible();
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByRole('button', { name: 'Save version 3' })).toBeVisible();
  await page.reload();
  await expect(hold).toHaveValue('half an hour');
  await expect(wet).toHaveValue('overnight');
  // Another way to set brings its own time: the field says that, and not what was typed for the one before.
  await page.getByLabel('Set by').selectOption('steam');
  await expect(hold).not.toHaveValue('half an hour');
  await expect(hold).toHaveValue(/^\d+$/);
});
