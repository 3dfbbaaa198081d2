import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { formatAmount, type Figure, type Plan } from '@ythrion/core';
import { command, startApplication } from './application';

const DEMO = path.resolve(import.meta.dirname, '../demo/studio.json');
let folder: string;
test.beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-cli-'));
});
test.afterEach(() => rm(folder, { recursive: true, force: true }));

const written = async (text: string): Promise<string> => {
  const file = path.join(folder, 'document.json');
  await writeFile(file, text);
  return file;
};
const demoText = (): Promise<string> => readFile(DEMO, 'utf8');

test('plan prints the full plan of one colorway', async () => {
  const { code, out } = await command(['plan', DEMO, '--colorway', 'high-mass']);
  expect(code).toBe(0);
  const plan = JSON.parse(out) as {
    wog: { value: number };
    passes: { pours: { volume: { value: number } }[]; acids: { amount: { value: number } }[] }[];
  };
  expect(plan.wog.value).toBe(300);
  // By hand: 300 g × 1.8 % is 5.4 g, 540 mL of 1 %; 3 % of 300 g is 9 g of acetic acid, 180 mL of 5 % vinegar.
  expect(plan.passes[0]?.pours[0]?.volume.value).toBeCloseTo(540, 9);
  expect(plan.passes[0]?.acids[0]?.amount.value).toBeCloseTo(180, 9);
});

test('the plan on the screen is the plan of the command', async ({ page }) => {
  const application = await startApplication('demo');
  const { out } = await command(['plan', DEMO, '--colorway', 'high-mass']);
  const plan = JSON.parse(out) as {
    passes: { pours: { dyeName: string; volume: { value: number; because: string } }[] }[];
  };
  await page.goto(`${application.url}/colorways/high-mass`);
  for (const pour of plan.passes[0]?.pours ?? []) {
    await page
      .getByRole('button', { name: `Pour ${pour.dyeName}: ${Math.round(pour.volume.value)} mL. Why?` })
      .click();
    await expect(page.getByText(pour.volume.because)).toBeVisible();
    await page.keyboard.press('Escape');
  }
  await application.remove();
});

test('of four passes, every pour, bath, acid and total on the screen is the command’s', async ({ page }) => {
  const application = await startApplication('demo');
  const { out } = await command(['plan', DEMO, '--colorway', 'carillon']);
  const plan = JSON.parse(out) as Plan;
  await page.goto(`${application.url}/colorways/carillon`);
  const shown = (name: string, of: Figure): Promise<void> =>
    expect(
      page
        .getByRole('button', { name: `${name}: ${formatAmount(of.value, of.unit)}. Why?`, exact: true })
        .first(),
    ).toBeVisible();
  for (const [i, pass] of plan.passes.entries()) {
    await page.getByRole('button', { name: `Open Pass ${i + 1}, ${pass.title}` }).click();
    const stage = page.getByRole('region', { name: `Pass ${i + 1}, ${pass.title}` });
    const inStage = (name: string, of: Figure): Promise<void> =>
      expect(
        stage
          .getByRole('button', { name: `${name}: ${formatAmount(of.value, of.unit)}. Why?`, exact: true })
          .first(),
      ).toBeVisible();
    for (const pour of pass.pours) {
      await inStage(`${pour.volume ? 'Pour' : 'Weigh'} ${pour.dyeName}`, pour.volume ?? pour.grams);
      if (pour.measured) await inStage(`Reading error of ${pour.dyeName}`, pour.measured.error);
    }
    await inStage('Bath', pass.bath);
    if (pass.water.value > 0) await inStage('Water to run', pass.water);
    else await expect(stage.getByText(/^No water to run/)).toBeVisible();
    for (const acid of pass.acids.filter(({ when }) => when !== 'with powder'))
      await inStage(`Acid, ${acid.label}`, acid.amount);
  }
  await shown('Dye in all', plan.totals.dye);
  await shown('Water to run', plan.totals.water);
  await shown('Time on heat', plan.totals.onHeat);
  await shown('From wetting to drying rail', plan.totals.elapsed);
  await application.remove();
});

test('export and import carry a whole studio from one folder to another', async () => {
  const from = path.join(folder, 'from');
  const to = path.join(folder, 'to');
  expect((await command(['import', DEMO], { YTHRION_DATA: from })).out).toMatch(
    /Taken in: \d+ new, 0 already here/,
  );
  const first = await command(['export'], { YTHRION_DATA: from });
  const file = await written(first.out);
  expect((await command(['import', file], { YTHRION_DATA: to })).code).toBe(0);
  expect((await command(['export'], { YTHRION_DATA: to })).out).toBe(first.out);
});

const refused: [string, (text: string) => string, RegExp][] = [
  ['malformed JSON', (text) => text.slice(0, 400), /not JSON, line \d+/],
  [
    'an unknown dye',
    (text) => text.replaceAll('"dyeId": "verdigris"', '"dyeId": "ghost"'),
    /line \d+: There is no dye with the id “ghost”/,
  ],
  [
    'depth over 12 %',
    (text) => text.replace('"percent": 1.4', '"percent": 13'),
    /entry\.percent: line \d+: Depth of shade cannot be over 12 %/,
  ],
  [
    'a negative mass',
    (text) => text.replace('"putUpGrams": 100', '"putUpGrams": -100'),
    /putUpGrams: line \d+: Mass must be more than zero/,
  ],
  [
    'stock over 10 %',
    (text) => text.replace('"strengthPercent": 4,', '"strengthPercent": 14,'),
    /strengthPercent: line \d+: Stock strength cannot be over 10 %/,
  ],
  [
    'fibers that do not add up',
    (text) => text.replace('"percent": 75', '"percent": 70'),
    /fibers: line \d+: The fibers must add up to 100 %; these add up to 95 %/,
  ],
];
for (const [what, spoil, message] of refused)
  test(`${what}: a sentence on standard error, exit code 1, nothing taken in`, async () => {
    const file = await written(spoil(await demoText()));
    const planned = await command(['plan', file, '--colorway', 'curfew']);
    expect(planned).toMatchObject({ code: 1, out: '' });
    expect(planned.err).toMatch(message);
    const data = path.join(folder, 'data');
    await command(['import', path.resolve(file)], { YTHRION_DATA: data });
    const { out } = await command(['export'], { YTHRION_DATA: data });
    expect(out === '' || (JSON.parse(out) as { dyes: unknown[] }).dyes.length === 0).toBe(true);
  });

test('what keeps the server from starting is said in a sentence', async () => {
  const busy = net.createServer().listen(0, '127.0.0.1');
  await new Promise((resolve) => busy.once('listening', resolve));
  const { port } = busy.address() as net.AddressInfo;
  const inUse = await command(['serve'], { YTHRION_DATA: folder, PORT: String(port) });
  busy.close();
  expect(inUse).toMatchObject({
    code: 1,
    err: `Port ${port} is in use. Stop what runs there, or choose another with PORT.\n`,
  });
  expect(await command(['serve'], { YTHRION_DATA: folder, PORT: 'eighty' })).toMatchObject({
    code: 1,
    err: expect.stringMatching(/PORT must be a whole number/),
  });
  await writeFile(path.join(folder, 'plain'), '');
  expect(
    await command(['serve'], { YTHRION_DATA: path.join(folder, 'plain/data'), PORT: '0' }),
  ).toMatchObject({ code: 1, err: expect.stringMatching(/cannot be written/) });
  const damaged = path.join(folder, 'damaged');
  await command(['import', DEMO], { YTHRION_DATA: damaged });
  await writeFile(path.join(damaged, 'studio.sqlite'), 'scrambled');
  expect(await command(['serve'], { YTHRION_DATA: damaged, PORT: '0' })).toMatchObject({
    code: 1,
    err: expect.stringMatching(/is damaged or not a studio/),
  });
  expect(await command(['export'], { YTHRION_DATA: path.join(folder, 'none') })).toMatchObject({
    code: 1,
    err: expect.stringMatching(/There is no studio in/),
  });
  expect(await command(['plan', path.join(folder, 'none.json')])).toMatchObject({
    code: 1,
    err: expect.stringMatching(/cannot be read/),
  });
});

test('the published JSON Schema is the one the application checks with', async () => {
  const published = await readFile(
    path.resolve(import.meta.dirname, '../docs/schema/ythrion-3.schema.json'),
    'utf8',
  );
  expect((await command(['schema'])).out).toBe(published);
});
