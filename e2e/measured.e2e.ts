import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

interface Sample {
  id: string;
  dyes: { dyeId: string; dosPercent: number }[];
  retired: boolean;
}

/** Puts samples of some dyes away: all of them, or those that are named. */
async function retireSamples(
  page: Page,
  ids: readonly string[],
  which: (sample: Sample) => boolean = () => true,
): Promise<void> {
  const document = (await (await page.request.get(`${application.url}/api/document`)).json()) as {
    samples: Sample[];
  };
  const theirs = document.samples.filter(
    (sample) => which(sample) && sample.dyes.some(({ dyeId }) => ids.includes(dyeId)),
  );
  expect(theirs.length).toBeGreaterThan(5);
  for (const sample of theirs) {
    const answer = await page.request.put(`${application.url}/api/samples/${sample.id}`, {
      data: { ...sample, retired: true },
      headers: { 'X-Ythrion': '1' },
    });
    expect(answer.ok()).toBe(true);
  }
}

/** The mean color of a drawn hank. */
const meanColor = (page: Page, label: string | RegExp): Promise<number[]> =>
  page.getByRole('img', { name: label }).evaluate((element) => {
    const canvas = element as HTMLCanvasElement;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
    const sum = [0, 0, 0, 0];
    for (let i = 0; i < data.length; i += 4)
      if (data[i + 3] === 255) for (let c = 0; c < 4; c += 1) sum[c]! += c < 3 ? data[i + c]! : 1;
    return sum.slice(0, 3).map((channel) => channel / sum[3]!);
  });

/** The mean color of a hank that is drawn anew no longer. */
async function restingColor(page: Page, label: RegExp): Promise<number[]> {
  let [before, same]: [number[], number] = [[], 0];
  await expect
    .poll(async () => {
      const now = await meanColor(page, label);
      same = String(now) === String(before) ? same + 1 : 0;
      before = now;
      return same;
    })
    .toBeGreaterThan(2);
  return before;
}

test('a formulation is colored by the samples of its dyes, says so, and goes by picked colors without them', async ({
  page,
}) => {
  await page.goto(`${application.url}/colorways/copper-cupola`);
  await expect(page.getByText('Colors from 23 measured samples, all invented. An estimate.')).toBeVisible();
  const expected = page.getByText(/^Comes out about brown; four of five within ΔE00/);
  await expect(expected).toContainText(/\d(\.\d)?, (hardly to be told apart|seen side by side only)\.$/);
  await page.getByRole('button', { name: /^How sure this color is/ }).click();
  await expect(page.getByText(/from 23 measured samples of its dyes/)).toBeVisible();
  await page.keyboard.press('Escape');
  const five = page.getByText(/^Five dyeings of it: /);
  await expect(five).toHaveText('Five dyeings of it: no difference to be seen');
  const hank = /^The finished hank/;
  const measured = await restingColor(page, hank);
  await retireSamples(page, ['copper-roof', 'clapper-gold', 'walnut-case']);
  // The screen hears of it by itself.
  await expect(page.getByText('Colors from picked swatches, for recognizing only.')).toBeVisible();
  await expect(expected).toBeHidden();
  await expect(five).toBeHidden();
  await expect
    .poll(async () => {
      const picked = await meanColor(page, hank);
      return Math.max(...picked.map((channel, i) => Math.abs(channel - measured[i]!)));
    })
    .toBeGreaterThan(3);
});

test('with one sample of each dye left, five dyeings are seen to differ', async ({ page }) => {
  await retireSamples(
    page,
    ['copper-roof', 'clapper-gold', 'walnut-case'],
    ({ dyes }) => dyes[0]?.dosPercent !== 0.5,
  );
  await page.goto(`${application.url}/colorways/copper-cupola`);
  await expect(
    page.getByText(/^Five dyeings of it: .+ (paler|deeper|redder|yellower|brighter|duller)/),
  ).toBeVisible();
});

test('a dye that was never measured is named in the book and on the shelf', async ({ page }) => {
  await page.goto(`${application.url}/book`);
  await expect(
    page.getByText(/^Colors from \d+ measured samples, all invented; Pewter by picked swatch/),
  ).toBeVisible();
  await page.goto(`${application.url}/shelf/dyes`);
  const line = (name: string) => page.getByRole('listitem').filter({ hasText: name });
  await expect(line('Pewter')).toContainText('color picked, not measured');
  await expect(line('Vault Blue')).toContainText('9 measured samples, all invented');
  await expect(line('Patina Mix')).toContainText('12 measured samples of its powders, all invented');
});

test('the bench asks for no colors', async ({ page }) => {
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  for (const place of ['/pour', '/pots', '/pots/b14-green-bronze']) {
    await page.goto(application.url + place);
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
    await page.waitForLoadState('networkidle').catch(() => undefined);
  }
  expect(asked).toContain('/api/shelf');
  expect(asked).not.toContain('/api/colors');
});
