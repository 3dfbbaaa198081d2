import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application, OWN } from './application';
import { keysOf } from './keys';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

const open = async (page: Page, path: string): Promise<void> => {
  await page.goto(application.url + path, { waitUntil: 'networkidle' });
};
const current = (page: Page) => page.locator('[aria-current="step"]').getByRole('heading');

test('a slip is taken back from the message, and both stay in the record', async ({ page }) => {
  await open(page, '/pots/b15-angelus');
  await expect(current(page)).toHaveText('Add white vinegar to the bath');
  await page.getByRole('button', { name: 'Poured', exact: true }).click();
  await expect(current(page)).toHaveText('Lift the goods in, open, and stir');
  await page.getByRole('alert').getByRole('button', { name: 'Take back' }).click();
  await expect(current(page)).toHaveText('Add white vinegar to the bath');
  await page.getByRole('link', { name: 'Record' }).click();
  await expect(page.getByText('Taken back: Add white vinegar to the bath: 160 mL')).toBeVisible();
  await expect(page.getByText(/(?:^|\s)[\d:]+ Add white vinegar to the bath: 160 mL$/)).toHaveCSS(
    'text-decoration-line',
    'line-through',
  );
});

test('what the bath looks like, its pH and a note go into the record', async ({ page }) => {
  await open(page, '/pots/b14-green-bronze');
  await page.getByRole('button', { name: 'clear', exact: true }).click();
  await page.getByLabel('Measured pH').fill('4.6');
  await page.getByRole('button', { name: 'Keep the pH' }).click();
  await expect(page.getByText(/bath pH 4\.6/)).toBeVisible();
  await page.getByLabel('Note', { exact: true }).fill('Turned it twice.');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('link', { name: 'Record' }).click();
  for (const words of [/Check, bath: clear/, /Check, bath: pH 4\.6/, /Turned it twice\./])
    await expect(page.getByText(words)).toBeVisible();
});

test('an amount that cannot be is refused at the pot and nothing is kept', async ({ page }) => {
  await open(page, '/pots/b15-angelus');
  await page.getByRole('button', { name: 'Poured something else' }).click();
  await page.getByLabel('Really poured').fill('-3');
  await expect(page.getByText(/cannot be negative/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep', exact: true }).first()).toBeDisabled();
  await page.getByLabel('Really poured').fill('a glug');
  await expect(page.getByText('“glug” in “a glug” is no measure known here.')).toBeVisible();
  // What stood there before it is not kept in its place, by key or by Enter.
  await page.getByLabel('Really poured').fill('118');
  await page.getByLabel('Really poured').fill('118 spoo');
  await expect(page.getByRole('button', { name: 'Keep', exact: true }).first()).toBeDisabled();
  await page.getByLabel('Really poured').press('Enter');
  await page.getByLabel('Really poured').fill('0');
  await page.getByLabel('Really poured').press('Enter');
  await expect(page.getByText('An amount must be more than zero.', { exact: true })).toBeVisible();
  await page.reload();
  await expect(current(page)).toHaveText('Add white vinegar to the bath');
});

test('when the server is away the tick is done all the same, says that it was not sent, and lands once', async ({
  page,
}) => {
  await open(page, '/pots/b15-angelus');
  await expect(current(page)).toHaveText('Add white vinegar to the bath');
  await application.kill();
  await page.getByRole('button', { name: 'Poured', exact: true }).click();
  await expect(current(page)).toHaveText('Lift the goods in, open, and stir');
  await expect(page.getByText('1 not sent yet')).toBeVisible();
  await application.restart();
  await expect(page.getByText('1 not sent yet')).toBeHidden();
  const batch = (await (await page.request.get(`${application.url}/api/batches/b15-angelus`)).json()) as {
    events: { kind: string; planned?: string | null }[];
  };
  expect(batch.events.filter((event) => event.planned?.endsWith('.acid.bath'))).toHaveLength(1);
});

test('a tick goes to the server in the studio though the browser says that there is no network', async ({
  page,
}) => {
  await open(page, '/pots/b15-angelus');
  const said = await current(page).innerText();
  await page.evaluate(() => window.dispatchEvent(new Event('offline')));
  await keysOf(page)
    .getByRole('button', { name: /^(Poured|Already done|Done)$/ })
    .click();
  await expect(current(page)).not.toHaveText(said);
});

test('a phone that wakes and is tapped at once: an answer from before the tick does not take it back', async ({
  page,
}) => {
  await open(page, '/pots/b15-angelus');
  const said = await current(page).innerText();
  let letGo = (): void => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  const asked = page.waitForRequest('**/api/batches/b15-angelus');
  // The batch as it stands now is under way while the tick is made, and comes in after it.
  await page.route(
    '**/api/batches/b15-angelus',
    async (route) => {
      const before = await route.fetch();
      await held;
      await route.fulfill({ response: before }).catch(() => undefined);
    },
    { times: 1 },
  );
  // What is shown counts as fresh for five seconds.
  await page.waitForTimeout(5100);
  await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
  await asked;
  await keysOf(page)
    .getByRole('button', { name: /^(Poured|Already done|Done)$/ })
    .click();
  await expect(current(page)).not.toHaveText(said);
  letGo();
  await page.waitForTimeout(500);
  await expect(current(page)).not.toHaveText(said, { timeout: 1000 });
});

test('what nobody ticked is named: taken as done where a later step says so, and acid that did not go in', async ({
  page,
}) => {
  const batches = `${application.url}/api/batches/b15-angelus`;
  const { card, events } = (await (await page.request.get(batches)).json()) as {
    card: { acts: { id: string; act: Record<string, unknown> }[] };
    events: Record<string, unknown>[];
  };
  // The hold of the set is ticked; lifting the goods in, the acid and the heating before it were not.
  const hold = card.acts.find(({ id }) => id === 'hold.set')!;
  const { version, of, device, person } = events.at(-1)!;
  const at = new Date().toISOString();
  const posted = await page.request.post(`${batches}/events`, {
    headers: OWN,
    data: {
      ...{ version, of, device, person, id: 'late-tick', at, clockAt: at, count: 900 },
      ...{ kind: 'act', planned: hold.id, act: { ...hold.act, minutes: null, leaves: null } },
      ...{ written: '', note: '' },
    },
  });
  expect(posted.status()).toBe(201);
  await open(page, '/book/b15-angelus');
  await expect(
    page.getByText(
      'Not ticked, taken as done as planned: Lift the goods in, open, and stir; Heat slowly to 82 °C.',
    ),
  ).toBeVisible();
  await expect(
    page.getByText('Add white vinegar to the bath: not ticked, so it did not go in.'),
  ).toBeVisible();
  // Nothing is said of the rinse, which is still to come.
  await expect(page.getByText(/Rinse.*(not ticked|taken as done)/)).toHaveCount(0);
});

test('a batch is closed with lines unticked: what closing makes of them is said first, and stands in the record', async ({
  page,
}) => {
  await open(page, '/pots/b15-angelus');
  await expect(page.getByRole('region', { name: 'Verdict' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Close without ticking the rest …' }).click();
  const verdict = page.getByRole('region', { name: 'Verdict' });
  const asked = (title: string) => verdict.getByRole('group', { name: title, exact: true });
  await expect(
    asked('Lift the goods in, open, and stir').getByRole('button', { name: 'done as planned' }),
  ).toHaveAttribute('aria-pressed', 'true');
  await expect(
    asked('Add white vinegar to the bath').getByRole('button', { name: 'did not go in' }),
  ).toHaveAttribute('aria-pressed', 'true');
  // The rinse was forgotten; the vinegar had gone in.
  await asked('Rinse cool, one drop of dish soap as the bleed test')
    .getByRole('button', { name: 'not done' })
    .click();
  await asked('Add white vinegar to the bath').getByRole('button', { name: 'went in as planned' }).click();
  // Without a word on how it came out nothing is closed, and it is said what is missing.
  await verdict.getByRole('button', { name: 'Close the batch' }).click();
  await expect(verdict.getByRole('alert')).toContainText('Say how it came out.');
  await expect(page).toHaveURL(/pots\/b15-angelus/);
  await verdict.getByRole('button', { name: 'usable' }).click();
  await expect(verdict.getByRole('alert')).toHaveCount(0);
  await verdict.getByRole('button', { name: 'Close the batch' }).click();
  await expect(page).toHaveURL(/book\/b15-angelus/);
  await expect(page.getByText(/^Not ticked, but done as planned: Lift the goods in/)).toBeVisible();
  await expect(
    page.getByText('Not done: Rinse cool, one drop of dish soap as the bleed test.'),
  ).toBeVisible();
  await expect(page.getByText(/Add white vinegar to the bath: not ticked/)).toHaveCount(0);
  await expect(page.getByRole('row', { name: /Foundry Rose.*0\.44 g.*0\.22 %/ })).toBeVisible();
});

test('the Book is searched as you type, and a row opens its record', async ({ page }) => {
  await open(page, '/book');
  await expect(page.getByText('15 batches')).toBeVisible();
  await page.getByLabel('Search the book').fill('passing not right');
  await expect(page.getByText('1 batch', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: '26-008', exact: true }).click();
  await expect(page.getByText(/Bled at the wash/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Dye again' }).click();
  await expect(page.getByRole('table', { name: 'Old and new amounts' })).toBeVisible();
});

test('the whole studio is taken out and in through the screen; a wrong file changes nothing', async ({
  page,
}) => {
  await open(page, '/shelf/studio');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Take out' }).click(),
  ]);
  const archive = await readFile(await download.path());
  const text = await (await page.request.get(`${application.url}/api/document`)).text();
  const empty = await startApplication('serve');
  await page.goto(`${empty.url}/shelf/studio`, { waitUntil: 'networkidle' });
  const takeIn = (name: string, content: Buffer | string): Promise<void> =>
    page.getByLabel('File to take in').setInputFiles({ name, mimeType: '', buffer: Buffer.from(content) });
  await takeIn('torn.json', text.slice(0, 500));
  await expect(page.getByText('Nothing was taken in. That is not JSON: it cannot be read.')).toBeVisible();
  await takeIn('deep.json', text.replace('"percent":1.8', '"percent":18'));
  await expect(page.getByText(/Depth of shade cannot be over 12 %/)).toBeVisible();
  await takeIn('torn.zip', archive.subarray(0, archive.length - 300));
  await expect(
    page.getByText(/Nothing was taken in\. This file is neither JSON nor a whole zip/),
  ).toBeVisible();
  await takeIn('studio.ythrion.zip', archive);
  await expect(page.getByText(/Taken in: \d+ new, 0 already here\./)).toBeVisible();
  await takeIn('studio.json', text);
  await expect(page.getByText(/Taken in: 0 new, \d+ already here\./)).toBeVisible();
  await page.goto(`${empty.url}/book`);
  await expect(page.getByText('15 batches')).toBeVisible();
  await empty.remove();
});
