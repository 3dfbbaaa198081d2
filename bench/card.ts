import type { Browser, Page } from '@playwright/test';
import { formulateColorway, type BeginBatch, type Colorway, type ShelfResponse } from '@ythrion/core';
import type { Measure } from './bench';
import { FRAME_MS, framesWhile, share, SLOWER } from './frames';

const STEPS = 24;

/**
 * The card of a batch of twelve passes: from a tap to the next step on a desk and on a slow phone, and how it scrolls there.
 * @param colorway the id of one of twelve passes
 */
export async function cardTimes(browser: Browser, url: string, colorway: string): Promise<Measure[]> {
  const acts = await begun(url, colorway);
  const measures: Measure[] = [];
  for (const [where, slower] of [
    ['desk', 1],
    ['slow phone', SLOWER],
  ] as const) {
    const context = await browser.newContext({
      viewport: slower === 1 ? { width: 1280, height: 800 } : { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.goto(`${url}/pots/card-of-twelve`);
    await keyOf(page).waitFor();
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
    await page.waitForTimeout(2000);
    const scrolled = await framesWhile(page, () => scrollThrough(page));
    measures.push(
      {
        what: `${where}, a card of ${acts} acts scrolls, median frame`,
        measured: share(scrolled, 0.5),
        allowed: FRAME_MS,
        unit: 'ms',
      },
      {
        what: `${where}, a card of ${acts} acts scrolls, one frame in twenty`,
        measured: share(scrolled, 0.95),
        allowed: FRAME_MS,
        unit: 'ms',
      },
    );
    const steps: number[] = [];
    for (let i = 0; i < STEPS; i += 1) {
      await page.waitForTimeout(600);
      steps.push(await stepTime(page));
    }
    measures.push({
      what: `${where}, twelve passes, tap to the next step, median`,
      measured: share(steps, 0.5),
      allowed: FRAME_MS,
      unit: 'ms',
    });
    await context.close();
  }
  return measures;
}

const keyOf = (page: Page) =>
  page.getByRole('group', { name: 'Keys of this step' }).getByRole('button').first();

/** From a tap on the large key until what it belongs to has changed, as of the frame in which that is so, ms. */
const stepTime = (page: Page): Promise<number> =>
  page
    .getByRole('group', { name: 'Keys of this step' })
    .locator('.MuiButton-contained')
    .first()
    .evaluate(
      (key: HTMLButtonElement) =>
        new Promise<number>((resolve) => {
          requestAnimationFrame((from) => {
            key.click();
            const look = (now: number): void => {
              if (key.isConnected) requestAnimationFrame(look);
              else resolve(now - from);
            };
            requestAnimationFrame(look);
          });
        }),
    );

/** To the end of the page, 40 px a frame. */
const scrollThrough = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const further = (): void => {
          const before = scrollY;
          scrollBy(0, 40);
          if (scrollY > before) requestAnimationFrame(further);
          else resolve();
        };
        requestAnimationFrame(further);
      }),
  );

/** Begins a batch of a colorway, and says how many acts its card has. */
async function begun(url: string, colorwayId: string): Promise<number> {
  const asked = async <T>(path: string, body?: object): Promise<T> => {
    const answer = await fetch(`${url}${path}`, {
      ...(body && { method: 'POST', body: JSON.stringify(body) }),
      headers: { 'Content-Type': 'application/json', 'X-Ythrion': '1' },
    });
    if (!answer.ok) throw new Error(await answer.text());
    return (await answer.json()) as T;
  };
  const shelf = await asked<ShelfResponse>('/api/shelf');
  const [colorway] = await asked<Colorway[]>(`/api/colorways/${colorwayId}`);
  if (!colorway) throw new Error(`There is no colorway ${colorwayId}.`);
  const begin: BeginBatch = {
    id: 'card-of-twelve',
    name: colorway.name,
    colorwayId,
    colorwayVersion: colorway.version,
    againOf: null,
    loadOf: null,
    startedAt: new Date().toISOString(),
    formulation: formulateColorway(colorway, shelf),
  };
  const { card } = await asked<{ card: { acts: { quiet: boolean }[] } }>('/api/batches', begin);
  return card.acts.filter(({ quiet }) => !quiet).length;
}
