import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());
test.use({ viewport: { width: 390, height: 844 } });

const main = (page: Page): Locator => page.getByRole('main');
const OWN = { headers: { 'X-Ythrion': '1' } };
const PRIMARIES = {
  cyan: 'vault-blue',
  magenta: 'foundry-rose',
  yellow: 'gong-yellow',
  black: 'strike-black',
};

/** The studio mixes from four jars, and has a half tablespoon on its ring. */
async function mixesFromFour(page: Page): Promise<void> {
  const shelf = (await (await page.request.get(`${application.url}/api/shelf`)).json()) as {
    studio: { habits: { spoons: string[] } };
  };
  const habits = {
    ...shelf.studio.habits,
    primaries: PRIMARIES,
    spoons: ['cup', '1/2 cup', 'tbsp', '1/2 tbsp', 'tsp', '1/2 tsp', '1/4 tsp'],
  };
  const answer = await page.request.put(`${application.url}/api/studio`, {
    ...OWN,
    data: { ...shelf.studio, habits },
  });
  expect(answer.ok()).toBe(true);
}

/** Chooses a jar, and taps spoons of it. */
async function tap(page: Page, jar: string, ...spoons: string[]): Promise<void> {
  await main(page).getByRole('button', { name: jar, exact: true }).click();
  for (const spoon of spoons)
    await main(page)
      .getByRole('button', { name: `${spoon} of ${jar}`, exact: true })
      .click();
}

/** Pours so much of the cup into a pot by a held tap. */
async function pour(page: Page, into: string | RegExp, share = 'All of the cup'): Promise<void> {
  await main(page).getByRole('button', { name: 'Pour it' }).click();
  const panel = main(page).getByRole('region', { name: 'Pour the cup' });
  await panel.getByLabel('How much of it').selectOption({ label: share });
  const target = panel.getByLabel('Into', { exact: true });
  const choice = target.locator('option', { hasText: into });
  await target.selectOption((await choice.getAttribute('value')) ?? '');
  await panel.getByRole('button', { name: 'Pour', exact: true }).click();
  await expect(panel.getByText('Hold the key a moment')).toBeVisible();
  await panel.getByRole('button', { name: 'Pour', exact: true }).click({ delay: 700 });
  await expect(page).toHaveURL(/\/pots\/(?!cup\/)/);
}

async function putIn(page: Page, what: string, much: string): Promise<void> {
  const put = main(page).getByRole('region', { name: 'Put in' });
  await put.getByLabel('What', { exact: true }).selectOption({ label: what });
  await put.getByLabel('How much').fill(much);
  await put.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(put.getByLabel('How much')).toHaveValue('');
}

/** Three liters of water, the goods, citric by the spoon when warm, held clear, and a verdict. */
async function dye(page: Page, words: string, outcome = 'not right'): Promise<void> {
  const doing = main(page).getByRole('region', { name: 'Do', exact: true });
  await putIn(page, 'water', '3 L');
  await doing.getByRole('button', { name: 'Goods in' }).click();
  await putIn(page, 'citric acid crystals', '2 tbsp');
  await doing.getByRole('button', { name: 'Held hot' }).click();
  await doing.getByLabel('At', { exact: true }).fill('85');
  await doing.getByLabel('For', { exact: true }).fill('20 min');
  await doing.getByLabel('The bath was clear').click();
  await doing.getByRole('button', { name: 'Keep' }).click();
  await main(page).getByRole('button', { name: outcome }).click();
  await main(page).getByLabel('In words').fill(words);
  await main(page).getByRole('button', { name: 'Close the batch' }).click();
  await expect(page).toHaveURL(/\/book\//);
}

test('a color found in three attempts, mixed in the cup by the spoon; the third kept, dyed half as dark, its rest used', async ({
  page,
  context,
}) => {
  await mixesFromFour(page);
  await page.goto(`${application.url}/colorways`);
  await main(page).getByRole('button', { name: 'Look for a color' }).click();
  await main(page).getByLabel('Name of the color').fill('Weathercock');
  await main(page).getByLabel('In words').fill('old copper in rain');
  await main(page).getByRole('button', { name: 'Keep these words' }).click();
  await expect(main(page).getByRole('heading', { name: 'Weathercock' })).toBeVisible();
  const color = page.url();

  await test.step('the first: too pink', async () => {
    await main(page).getByRole('button', { name: 'Mix attempt 1 by eye' }).click();
    await main(page).getByLabel('Base').selectOption({ label: 'Ratchet Sock' });
    await tap(page, 'Gong Yellow 1 %', '1 tbsp', '1 tbsp', '1 tbsp');
    await tap(page, 'Foundry Rose 1 %', '1 tbsp', '1 tbsp');
    const cup = main(page).getByRole('region', { name: 'In the cup' });
    // 5 US tablespoons of 1 %: 73.9 mL, 0.739 g, 0.739 % of 100 g; 3 to 2.
    await expect(cup.getByText('5 tbsp')).toBeVisible();
    await expect(cup.getByRole('button', { name: /^In the cup: 5 tbsp, 73\.9 mL/ })).toBeVisible();
    await expect(cup.getByText('1.5 : 1')).toBeVisible();
    await pour(page, 'a pot that begins now');
    await dye(page, 'too pink');
  });

  await test.step('the second, without the server: a take-back, and into a pot that stands there', async () => {
    await page.goto(`${application.url}/pots/new`);
    await main(page).getByLabel('Base', { exact: true }).selectOption({ label: 'Ratchet Sock' });
    await main(page).getByRole('button', { name: 'Begin', exact: true }).click();
    await expect(page).toHaveURL(/\/pots\/(?!new)/);
    await page.goto(color);
    await main(page).getByRole('button', { name: 'Mix attempt 2 by eye' }).click();
    // What the panels need was loaded before, as on any phone that mixed once.
    await main(page).getByRole('button', { name: 'Pour it' }).click();
    await main(page).getByRole('button', { name: 'Not now' }).click();
    await context.setOffline(true);
    await tap(page, 'Gong Yellow 1 %', '1 tbsp', '1 tbsp', '1 tbsp');
    await tap(page, 'Foundry Rose 1 %', '1 tbsp');
    await tap(page, 'Vault Blue 1 %', '1 tbsp');
    await main(page)
      .getByRole('button', { name: /^Take back: \+ 1 tbsp Vault Blue/ })
      .click();
    await tap(page, 'Vault Blue 1 %', '1/2 tsp');
    const cup = main(page).getByRole('region', { name: 'In the cup' });
    // 4 tbsp and 1/2 tsp: 61.6 mL.
    await expect(cup.getByRole('button', { name: /^In the cup: 4 tbsp/ })).toBeVisible();
    await pour(page, /^Not named yet/);
    await expect(page.getByText(/not sent yet/)).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/not sent yet/)).toHaveCount(0);
    await dye(page, 'a little too light');
  });

  await test.step('the third: before black, a towel test, half into the pot, the rest a jar', async () => {
    await page.goto(color);
    await main(page).getByRole('button', { name: 'Mix attempt 3 by eye' }).click();
    await tap(page, 'Gong Yellow 1 %', ...Array.from({ length: 7 }, () => '1 tbsp'));
    await tap(page, 'Foundry Rose 1 %', '1 tbsp', '1 tbsp', '1 tbsp');
    await main(page).getByRole('button', { name: 'before black' }).click();
    await tap(page, 'Strike Black 1 %', '1 tsp');
    await main(page).getByRole('button', { name: 'towel, note' }).click();
    await main(page).getByLabel('On the towel it looks').fill('browner than wanted');
    await main(page).getByRole('button', { name: 'Keep the look' }).click();
    const cup = main(page).getByRole('region', { name: 'In the cup' });
    // 10 tbsp before black; with it 10 tbsp + 1 tsp: 152.8 mL of 1 %.
    await expect(cup.getByText(/^Before black, kept .*148 mL, 2\.3 : 1/)).toBeVisible();
    await expect(cup.getByRole('button', { name: /^In the cup: 10 tbsp . 1 tsp/ })).toBeVisible();
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
    const at = page.url();
    await pour(page, 'a pot that begins now', 'Half of the cup');
    await dye(page, 'that is it', 'as wanted');
    await page.goto(at);
    await main(page).getByRole('button', { name: 'keep the rest' }).click();
    const rest = main(page).getByRole('region', { name: 'Keep the rest' });
    await expect(rest.getByRole('button', { name: /^Left in the cup: 5 tbsp . 1.2 tsp/ })).toBeVisible();
    await rest.getByLabel('Name of the jar').fill('Weathercock rest');
    await rest.getByRole('button', { name: 'Keep as a jar' }).click();
    await expect(main(page).getByText('All of the cup kept as Weathercock rest')).toBeVisible();
    await main(page).getByRole('button', { name: 'Pour it' }).click();
    await main(page).getByRole('button', { name: 'Pour', exact: true }).click({ delay: 700 });
    await expect(page.getByText('The cup is empty: what was left in it was kept')).toBeVisible();
  });

  await test.step('side by side', async () => {
    await page.goto(color);
    const table = main(page).getByRole('table', { name: 'Attempts' });
    const row = (name: string): Locator => table.getByRole('row', { name: new RegExp(`^${name}`) });
    // Tablespoons of 1 % on 100 g: 3, 3 and 3 1/2 of yellow are 0.444, 0.444 and 0.518 %.
    await expect(row('Gong Yellow').getByRole('cell')).toHaveText([
      /3 tbsp.*0\.444/,
      /^(?!≠).*3 tbsp.*0\.444/,
      /^≠.*0\.518/,
    ]);
    await expect(row('Foundry Rose').getByRole('cell')).toHaveText([/2 tbsp/, /≠.*1 tbsp/, /≠.*0\.222/]);
    await expect(row('Strike Black').getByRole('cell')).toHaveText([/none/, /none/, /≠.*1\/2 tsp/]);
    await expect(row('Came out').getByRole('cell')).toHaveText([
      /too pink/,
      /a little too light/,
      /that is it/,
    ]);
    // Judged once more when it is dry, beside the others.
    await table.getByLabel('Attempt 3 dry').fill('a shade warmer');
    await table.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(row('Came out').getByRole('cell').last()).toContainText('dry: a shade warmer');
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  });

  await test.step('the third half as dark, on two skeins', async () => {
    const next = main(page).getByRole('region', { name: 'The next attempt' });
    await next.getByLabel('It is', { exact: true }).selectOption('half');
    const takes = next.getByRole('list', { name: 'What it takes' });
    // The same 3 1/2 tbsp on 200 g: half of 0.518 %.
    await expect(takes.getByText(/Gong Yellow/)).toHaveText(/51\.8 mL, ?0\.259/);
    await expect(takes.getByText(/200/)).toBeVisible();
    // Halfway between the first and the second: 1 1/2 tbsp of rose, 0.222 %.
    await next.getByLabel('It is', { exact: true }).selectOption('between');
    await next.getByLabel('From attempt').selectOption({ label: 'attempt 1' });
    await next.getByLabel('And attempt').selectOption({ label: 'attempt 2' });
    await expect(takes.getByText(/Foundry Rose/)).toHaveText(/22\.2 mL, ?0\.222/);
    await next.getByLabel('It is', { exact: true }).selectOption('half');
    await next.getByLabel('From attempt').selectOption({ label: 'attempt 3' });
    await next.getByRole('button', { name: 'Begin attempt 4' }).click();
    await expect(page).toHaveURL(/\/pots\//);
    await expect(
      main(page)
        .getByText(/2 × Ratchet Sock/)
        .first(),
    ).toBeVisible();
  });

  await test.step('the third kept as a colorway', async () => {
    await page.goto(color);
    await main(page).getByRole('button', { name: 'Keep as a colorway' }).nth(2).click();
    await expect(page).toHaveURL(/\/colorways\/(?!sought)/);
    await page.goto(color);
    await expect(main(page).getByText('Found:')).toBeVisible();
    // The version stands beside the attempt that it was made of, and takes as much.
    const table = main(page).getByRole('table', { name: 'Attempts' });
    await expect(table.getByRole('columnheader', { name: /Version 1/ })).toBeVisible();
    await expect(
      table
        .getByRole('row', { name: /^Gong Yellow/ })
        .getByRole('cell')
        .last(),
    ).toContainText('0.518');
  });

  await test.step('the rest in the next batch', async () => {
    await page.goto(`${application.url}/pots/new`);
    await main(page).getByLabel('Base', { exact: true }).selectOption({ label: 'Ratchet Sock' });
    await main(page).getByRole('button', { name: 'Begin', exact: true }).click();
    await expect(page).toHaveURL(/\/pots\/(?!new)/);
    await putIn(page, 'Weathercock rest 1 %', '2 tbsp');
    await page.getByRole('link', { name: 'Record', exact: true }).click();
    // 2 tbsp of 1 % on 100 g.
    await expect(page.getByRole('row', { name: /Weathercock rest.*2 tbsp.*0\.296 %/ })).toBeVisible();
  });

  const restLeft = async (): Promise<number | undefined> => {
    const shelf = (await (await page.request.get(`${application.url}/api/shelf`)).json()) as {
      stocks: { id: string; note: string }[];
      stockLeft: Record<string, number>;
    };
    const rest = shelf.stocks.find(({ note }) => note.includes('attempt 3'));
    return shelf.stockLeft[rest?.id ?? ''];
  };
  // Half of 152.8 mL less two tablespoons.
  await expect.poll(restLeft).toBeCloseTo(76.4 - 29.57, 1);
  const check = (await (await page.request.get(`${application.url}/api/check`)).json()) as {
    faults: string[];
  };
  expect(check.faults).toEqual([]);
});
