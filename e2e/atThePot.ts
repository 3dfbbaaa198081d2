import { expect, type Locator, type Page } from '@playwright/test';
import { keysOf } from './keys';

export const PHONE = { width: 390, height: 844 };

export const main = (page: Page): Locator => page.getByRole('main');
export const key = (page: Page, name: string): Locator =>
  keysOf(page).getByRole('button', { name, exact: true });
export const current = (page: Page): Locator => page.locator('[aria-current="step"]');
export const title = (page: Page): Locator => current(page).getByRole('heading');

/** Does a step by its large key, and waits until the next one stands there. */
export async function step(page: Page, tap: Locator): Promise<void> {
  const line = await current(page).getAttribute('data-line');
  await tap.click();
  await expect(page.locator(`[aria-current="step"][data-line="${line}"]`)).toHaveCount(0);
}

/** The key that does the step that is to be done as it is planned. */
export async function asPlanned(page: Page): Promise<void> {
  const mask = keysOf(page).getByRole('button', { name: 'Mask, gloves and eye cover are on' });
  if (await mask.isVisible()) {
    await mask.click();
    await expect(mask).toHaveCount(0);
  }
  const [poured, already, done] = [key(page, 'Poured'), key(page, 'Already done'), key(page, 'Done')];
  await expect(poured.or(already).or(done).first()).toBeVisible();
  for (const one of [poured, already, done]) if (await one.isVisible()) return step(page, one);
  throw new Error(`No key for “${await title(page).textContent()}”.`);
}

/** Steps as planned until one is next whose title says so; all of them where none does. */
export async function until(page: Page, said: RegExp | null): Promise<void> {
  for (let i = 0; i < 80; i += 1) {
    const verdict = main(page).getByRole('heading', { name: 'Judge it dry, beside its target' });
    await expect(current(page).or(verdict).first()).toBeVisible();
    if ((await current(page).count()) === 0) return;
    if (said?.test((await title(page).textContent()) ?? '')) return;
    await asPlanned(page);
  }
  throw new Error(`“${said}” never came.`);
}

/** Saves the colorway that stands there, answers what is asked of it, and begins it: on to the pot, with the phone. */
export async function saveAndBegin(page: Page): Promise<void> {
  await main(page).getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  const asked = main(page).getByRole('button', { name: /^Do it all the same/ });
  const begins = main(page).getByRole('button', { name: /^Begin/ });
  await expect(asked.or(begins).first()).toBeVisible();
  while ((await asked.count()) > 0) await asked.first().click();
  await begins.click();
  await expect(page).toHaveURL(/\/pots\//);
  await page.setViewportSize(PHONE);
}
