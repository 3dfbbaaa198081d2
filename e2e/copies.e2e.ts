import { readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { openRaw } from '../packages/server/src/storage/rawFile';
import { command, startApplication, type Application } from './application';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

test('a copy with one key, a pour after it, and the way back, there and forth', async ({ page }) => {
  await page.goto(`${application.url}/shelf/studio`, { waitUntil: 'networkidle' });
  const panel = page.getByRole('region', { name: 'Copies' });
  await panel.getByRole('button', { name: 'Make a copy now' }).click();
  // Copying stands back behind everything else this machine does.
  await expect(page.getByText('Copied, and the copy checked.')).toBeVisible({ timeout: 90_000 });
  // The daily one may have come in the meantime, and then is the last.
  await expect(panel.getByText(/Last copy:/)).toBeVisible();
  await expect(
    panel.getByRole('button', { name: /^Go back to the copy of .*asked for/ }).first(),
  ).toBeVisible();
  await panel.getByRole('button', { name: 'Look it over' }).click();
  await expect(panel.getByText(/Sound: 15 batches with \d+ entries/)).toBeVisible();

  await page.goto(`${application.url}/pots/b15-angelus`, { waitUntil: 'networkidle' });
  await page.getByRole('button', { name: 'Poured', exact: true }).click();
  await expect(page.locator('[aria-current="step"]').getByRole('heading')).toHaveText(/Lift the goods in/);

  await page.goto(`${application.url}/shelf/studio`, { waitUntil: 'networkidle' });
  await panel
    .getByRole('button', { name: /^Go back to the copy of .*asked for/ })
    .first()
    .click();
  await expect(panel.getByText(/leaves the studio, on every device/)).toBeVisible();
  await panel.getByRole('button', { name: 'Leave it as it is' }).click();
  await panel
    .getByRole('button', { name: /^Go back to the copy of .*asked for/ })
    .first()
    .click();
  await panel.getByRole('button', { name: 'Go back', exact: true }).click();
  await expect(page.getByText('The studio is as it was then.')).toBeVisible();
  await page.goto(`${application.url}/pots/b15-angelus`, { waitUntil: 'networkidle' });
  await expect(page.locator('[aria-current="step"]').getByRole('heading')).toHaveText(
    'Add white vinegar to the bath',
  );

  await page.goto(`${application.url}/shelf/studio`, { waitUntil: 'networkidle' });
  await panel
    .getByRole('button', { name: /^Go back to the copy of .*before going back/ })
    .first()
    .click();
  await panel.getByRole('button', { name: 'Go back', exact: true }).click();
  await expect(page.getByText('The studio is as it was then.')).toBeVisible();
  await page.goto(`${application.url}/pots/b15-angelus`, { waitUntil: 'networkidle' });
  await expect(page.locator('[aria-current="step"]').getByRole('heading')).toHaveText(/Lift the goods in/);
});

test('the commands: backup while it runs, restore only when it does not, check says what is wrong', async () => {
  const data = { YTHRION_DATA: application.folder };
  const made = await command(['backup'], data);
  expect(made).toMatchObject({ code: 0, out: expect.stringMatching(/^Copied and checked: /) });
  const name = path.basename(made.out.trim());
  expect((await command(['copies'], data)).out).toContain(name);
  const away = path.join(application.folder, 'away.sqlite');
  expect(await command(['backup', away], data)).toMatchObject({ code: 0 });
  expect(await command(['backup', away], data)).toMatchObject({
    code: 1,
    err: expect.stringMatching(/never takes another file’s place/),
  });
  expect(await command(['restore', name], data)).toMatchObject({
    code: 1,
    err: expect.stringMatching(/Another Ythrion has the data folder .* open/),
  });
  expect(await command(['check'], data)).toMatchObject({
    code: 0,
    out: expect.stringMatching(/^Sound: 15 batches/),
  });
  // Copying for a server ends at once when nobody waits for it any more.
  const nobodys = path.join(application.folder, 'nobodys.sqlite');
  expect(
    await command(['copy-apart', path.join(application.folder, 'studio.sqlite'), nobodys], data),
  ).toMatchObject({ code: null, out: '' });
  await application.kill();
  expect(await command(['restore', 'ghost'], data)).toMatchObject({
    code: 1,
    err: expect.stringMatching(/no copy called ghost/),
  });
  // The studio is torn: the start says so and names the copy; the copy puts it right.
  const file = path.join(application.folder, 'studio.sqlite');
  // What kill -9 left in the log would make it whole again, so the log is lost too.
  await rm(`${file}-wal`, { force: true });
  await writeFile(file, (await readFile(file)).subarray(0, 50_000));
  const refused = await command(['check'], data);
  expect(refused.code).toBe(1);
  expect(refused.err).toMatch(/is damaged or not a studio .*The newest good copy is studio-/s);
  expect(await command(['restore', name], data)).toMatchObject({
    code: 0,
    out: expect.stringMatching(/The studio is as it was in .*kept as damaged-/s),
  });
  expect(await command(['check'], data)).toMatchObject({ code: 0 });
});

test('a torn record is named on its own page; pots, Book and the other records go on', async ({ page }) => {
  await application.kill();
  const file = await openRaw(path.join(application.folder, 'studio.sqlite'), 'write');
  await file.exec(
    `DROP TRIGGER batch_plans_no_update; UPDATE batch_plans SET card = '{"ver' WHERE batch_id = 'b04-green-bronze'`,
  );
  await file.close();
  await application.restart();
  await page.goto(`${application.url}/book/b04-green-bronze`);
  await expect(page.getByText(/The record of batch 26-004 “Green Bronze” cannot be read/)).toBeVisible();
  await page.goto(`${application.url}/book/b01-curfew`);
  await expect(page.getByRole('table', { name: 'True recipe' })).toBeVisible();
  await page.goto(`${application.url}/book`);
  await expect(page.getByText('15 batches')).toBeVisible();
});
