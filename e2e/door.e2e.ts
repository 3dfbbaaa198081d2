import { createHash, X509Certificate } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { chromium, expect, test, type Page } from '@playwright/test';
import jsQR from 'jsqr';
import { CHROMIUM } from '../scripts/chromium.mjs';
import { startApplication, type Application } from './application';

test.use({ serviceWorkers: 'allow' });

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo', undefined, ['--lan']);
  await expect.poll(() => application.said()).toContain('The certificate must read');
});
test.afterEach(() => application.remove());

const line = (pattern: RegExp): string => pattern.exec(application.said())?.[1] ?? '';
const passphrase = (): string => line(/shown this once: (\S+)/);
const trustUrl = (): string => line(/^ {2}(http:\S+)/m);
const lanUrl = (): string => line(/then (https:\S+)/);

/** A browser that was told to trust the studio's authority, as a phone is. */
async function trustingBrowser() {
  const authority = new X509Certificate(
    await readFile(path.join(application.folder, 'access/authority.pem')),
  );
  const key = authority.publicKey.export({ type: 'spki', format: 'der' });
  const hash = createHash('sha256').update(key).digest('base64');
  return chromium.launch({
    ...CHROMIUM,
    args: [...CHROMIUM.args, `--ignore-certificate-errors-spki-list=${hash}`],
  });
}

/** Nothing on the page is out of reach for anybody: WCAG 2.2 AA. */
async function expectWithinReach(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`)).toEqual([]);
}

/** What a camera reads off the picture with the code. */
async function readByCamera(page: Page): Promise<string | undefined> {
  const { data, width, height } = await page
    .getByAltText('The address and the code, for a camera')
    .evaluate((image: HTMLImageElement) => {
      const canvas = document.createElement('canvas');
      canvas.width = image.naturalWidth;
      canvas.height = image.naturalHeight;
      const drawn = canvas.getContext('2d');
      drawn?.drawImage(image, 0, 0);
      const read = drawn?.getImageData(0, 0, canvas.width, canvas.height);
      return { data: [...(read?.data ?? [])], width: canvas.width, height: canvas.height };
    });
  return jsQR(Uint8ClampedArray.from(data), width, height)?.data;
}

test('a phone is shown the way in, trusts the authority, pairs by the code, logs under its person’s name, and is sent away', async ({
  page,
}) => {
  await page.goto(`${application.url}/shelf/studio`);
  await page.getByLabel('Who uses it').fill('Bram');
  await page.getByRole('button', { name: 'Let a device in' }).click();
  await expectWithinReach(page);
  const address = await readByCamera(page);
  expect(address).toMatch(new RegExp(`^${trustUrl()}/\\?code=[a-z0-9]{8}$`));

  const browser = await trustingBrowser();
  try {
    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await phone.goto(address ?? '');
    await expect(phone.getByText(line(/must read (\S+)/))).toBeVisible();
    await expectWithinReach(phone);
    await phone.getByRole('link', { name: '3. Open the studio' }).click();
    await phone.getByRole('heading', { name: 'Into the studio' }).waitFor();
    await expectWithinReach(phone);
    await phone.getByRole('button', { name: 'Come in' }).click();
    await expect(phone.getByRole('link', { name: 'Pots' })).toBeVisible();
    expect(phone.url().startsWith(lanUrl())).toBe(true);
    // Trusted, the browser keeps the screens.
    await phone.evaluate(async () => void (await navigator.serviceWorker.ready));
    await expect(phone.getByText(/does not trust the studio/)).toBeHidden();

    await phone.goto(`${lanUrl()}/pots/b15-angelus`);
    await phone.getByRole('button', { name: 'Poured', exact: true }).click();
    await page.goto(`${application.url}/book/b15-angelus`);
    await expect(page.getByText(/Add white vinegar to the bath: 160 mL · Bram/)).toBeVisible();

    await page.goto(`${application.url}/shelf/studio`);
    await page.getByRole('button', { name: 'Send away: Bram' }).click();
    await page.getByRole('button', { name: 'Send Bram’s device away' }).click();
    await expect(phone.getByRole('heading', { name: 'Into the studio' })).toBeVisible();
    // What it entered meanwhile it keeps, and the passphrase lets it in again.
    await phone.getByLabel('Your name').fill('Bram');
    await phone.getByLabel('Passphrase', { exact: true }).fill('not-the-passphrase');
    await phone.getByRole('button', { name: 'Sign in' }).click();
    await expect(phone.getByText('That is not the studio’s passphrase.')).toBeVisible();
    await phone.getByLabel('Passphrase', { exact: true }).fill(passphrase());
    await phone.getByRole('button', { name: 'Sign in' }).click();
    await expect(phone.getByRole('link', { name: 'Pots' })).toBeVisible();
  } finally {
    await browser.close();
  }
});

test('who does not trust the authority is warned by the browser, and gets nothing without encryption', async ({
  page,
}) => {
  await expect(page.goto(lanUrl())).rejects.toThrow(/ERR_CERT_AUTHORITY_INVALID/);
  const plain = await page.request.get(`${trustUrl()}/api/shelf`);
  expect(plain.status()).toBe(404);
});

test('a page that does not trust the studio says what does not work, and its entries go all the same', async ({
  browser,
}) => {
  const context = await browser.newContext({ ignoreHTTPSErrors: true, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.goto(lanUrl());
  await page.getByLabel('Your name').fill('Odile');
  await page.getByLabel('Passphrase', { exact: true }).fill(passphrase());
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('link', { name: 'Pots' }).click();
  await expect(page.getByText(/This device does not trust the studio yet/)).toBeVisible();
  await page.goto(`${lanUrl()}/pots/b15-angelus`);
  await page.getByRole('button', { name: 'Poured', exact: true }).click();
  const whoWasLast = async (): Promise<string | null | undefined> =>
    (
      (await (await context.request.get(`${lanUrl()}/api/batches/b15-angelus`)).json()) as {
        events: { person: string | null }[];
      }
    ).events.at(-1)?.person;
  await expect.poll(whoWasLast).toBe('Odile');
  await context.close();
});
