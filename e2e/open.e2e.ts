import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';
import { keysOf } from './keys';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

const putIn = async (page: Page, what: string, much: string): Promise<void> => {
  const region = page.getByRole('region', { name: 'Put in' });
  await region.getByLabel('What', { exact: true }).selectOption({ label: what });
  await region.getByLabel('How much').fill(much);
  await region.getByRole('button', { name: 'Keep' }).click();
  await expect(region.getByLabel('How much')).toHaveValue('');
};

test('a pot without a plan: tapped, named, closed; its record is its recipe, and is dyed again', async ({
  page,
}) => {
  await page.goto(`${application.url}/pots`, { waitUntil: 'networkidle' });
  await page.getByRole('link', { name: 'Start without a plan' }).click();
  await page.getByLabel('Count', { exact: true }).fill('2');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Not named yet' })).toBeVisible();
  const doing = page.getByRole('region', { name: 'Do', exact: true });
  const done = page.getByRole('list', { name: 'Done so far' }).getByRole('listitem');
  // Powder is minded here as on any card; water and stock are not.
  const put = page.getByRole('region', { name: 'Put in' });
  await put.getByLabel('What').selectOption('Vault Blue powder');
  await expect(put.getByText(/Powder is open: fit a particulate mask/)).toBeVisible();
  await putIn(page, 'water', '5 L');
  await putIn(page, 'Vault Blue 1 %', '200');
  await expect(put.getByText(/Powder is open/)).toBeHidden();
  await doing.getByRole('button', { name: 'Goods in' }).click();
  await putIn(page, 'white vinegar', '60');
  await doing.getByRole('button', { name: 'Held hot' }).click();
  await doing.getByLabel('At', { exact: true }).fill('85');
  await doing.getByLabel('For', { exact: true }).fill('25 min');
  await doing.getByLabel('The bath was clear').click();
  await doing.getByRole('button', { name: 'Keep' }).click();
  await expect(done).toHaveCount(5);
  await doing.getByRole('button', { name: 'Turned' }).click();
  await expect(done).toHaveCount(6);
  await done
    .last()
    .getByRole('button', { name: /^Take back/ })
    .click();
  await expect(done).toHaveCount(5);
  await page.getByLabel('Name', { exact: true }).fill('Tuesday blue');
  await page.getByRole('button', { name: 'Keep the name' }).click();
  await expect(page.getByRole('heading', { name: 'Tuesday blue' })).toBeVisible();
  await page.getByRole('button', { name: 'as wanted' }).click();
  await page.getByRole('button', { name: 'Close the batch' }).click();
  // 200 mL of 1 % are 2 g, on 200 g.
  await expect(page.getByRole('row', { name: /Vault Blue.*2 g.*1 %/ })).toBeVisible();
  await expect(page.getByText('Begun without a plan.')).toBeVisible();

  await page.getByRole('link', { name: 'Dye again' }).click();
  await page.getByLabel('Count', { exact: true }).fill('3');
  const steps = page.getByRole('table', { name: 'Old and new steps' });
  await expect(steps.getByRole('row', { name: /Pour Vault Blue 1 %.*200 mL.*300 mL/ })).toBeVisible();
  await expect(steps.getByRole('row', { name: /Run water.*5 L.*7\.5 L/ })).toBeVisible();
  await page.goBack();

  await page.getByRole('button', { name: 'Keep as a colorway' }).click();
  await expect(page).toHaveURL(/colorways\//);
  await expect(page.getByText('own way').first()).toBeVisible();
});

test('a pot begun in what another left: the bath leaves the one and comes into the other', async ({
  page,
}) => {
  await page.goto(`${application.url}/pots/new`, { waitUntil: 'networkidle' });
  await page.getByLabel('What is in the vessel').selectOption({ label: 'the bath of Green Bronze, 26-014' });
  await page.getByLabel('These goods are').selectOption({ label: 'from batch 26-012, Curfew' });
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Not named yet' })).toBeVisible();
  await page.getByRole('link', { name: 'Record' }).click();
  const earlier = page.getByRole('region', { name: 'From earlier batches' });
  await expect(earlier.getByText(/^Begun in what was left of batch 26-014: .* L, /)).toBeVisible();
  // 1.4 % of blue was on them already; it counts in no depth of this batch.
  await expect(earlier.getByText(/comes from batch 26-012, with 1\.4 % Vault Blue/)).toBeVisible();
  await expect(page.getByText('No dye has gone in yet.')).toBeVisible();
  await page.goto(`${application.url}/book/b14-green-bronze`, { waitUntil: 'networkidle' });
  await expect(page.getByText('Pour the bath away: done')).toBeVisible();
});

test('a batch out of the paper notebook: typed as it was said, on its own day, marked as remembered', async ({
  page,
}) => {
  await page.goto(`${application.url}/book`, { waitUntil: 'networkidle' });
  await page.getByRole('link', { name: 'From the notebook' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Old mauve');
  await page.getByLabel('Dyed on').fill('2024-03-01');
  await page
    .getByLabel('As it was written')
    .fill('1/8 tsp of Vesper Violet in 1/2 cup on 4 oz, vinegar, full moon, simmered 30 min');
  const read = page.getByRole('region', { name: 'Read as' });
  await expect(read.getByText('white vinegar, nobody knows how much')).toBeVisible();
  await expect(read.getByText('held at 88 °C for 30 min')).toBeVisible();
  await expect(read.getByText(/This is kept as a note only/)).toBeVisible();
  await expect(page.getByLabel('All of it, dry')).toHaveValue('113.398');
  await page.getByRole('button', { name: 'usable' }).click();
  await page.getByRole('button', { name: 'Keep it in the Book' }).click();
  await expect(page.getByText(/begun 1 Mar 2024 .* remembered from the notebook/)).toBeVisible();
  await expect(page.getByRole('row', { name: /Vesper Violet/ })).toBeVisible();
  await expect(page.getByText(/^\d\d:\d\d 1\/8 tsp of Vesper Violet in 1\/2 cup on 4 oz/)).toBeVisible();
  await page.getByRole('link', { name: 'Dye again' }).click();
  await expect(page.getByRole('table', { name: 'Old and new steps' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin this batch' }).click();
  // Nobody had to be told then to wear a mask, to measure the vinegar, or to lift the goods in.
  const step = page.locator('[aria-current="step"]');
  const keys = keysOf(page);
  await keys.getByRole('button', { name: 'Mask, gloves and eye cover are on' }).click();
  await keys.getByRole('button', { name: 'Poured', exact: true }).click();
  await keys.getByRole('button', { name: 'Poured', exact: true }).click();
  await expect(keys.getByText('Nobody measured it then.')).toBeVisible();
  await keys.getByLabel('How much, if you measure it now').fill('1/4 cup');
  await keys.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('1/4 cup (59.1 mL)')).toBeVisible();
  await expect(step.getByRole('heading')).toHaveText('Lift the goods in');
});

test('an old note in words: numbers, plain spoons, and what was used of the cup a piece later', async ({
  page,
}) => {
  await page.goto(`${application.url}/book/remember`, { waitUntil: 'networkidle' });
  await page
    .getByLabel('As it was written')
    .fill(
      '1/2 tsp of Vesper Violet in a cup, six spoons on two ounces, a splash of vinegar, simmered half an hour',
    );
  const read = page.getByRole('region', { name: 'Read as' });
  await expect(
    read.getByText('taken as “1/2 tsp of Vesper Violet in a cup, used six spoons on two ounces”'),
  ).toBeVisible();
  await expect(read.getByText('88.7 mL of water')).toBeVisible();
  await expect(read.getByText('on 56.7 g of goods')).toBeVisible();
  await expect(read.getByText('held at 88 °C for 30 min')).toBeVisible();
});
