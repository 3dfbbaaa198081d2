import type { Browser } from '@playwright/test';
import type { Measure } from './bench';
import { FRAME_MS, share, SLOWER } from './frames';

const TAPS = 12;

/** From a tap on a spoon at the mixing cup to the key that looks pressed, and to the total that has grown: on a slow phone. */
export async function cupTimes(browser: Browser, url: string): Promise<Measure[]> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await page.goto(`${url}/pots`);
  await page.getByRole('button', { name: 'Mix a color' }).click();
  await page.getByLabel('Base').selectOption({ label: 'Ratchet Sock' });
  const key = page.getByRole('button', { name: /^1 tsp of / });
  await key.waitFor();
  const slow = await context.newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const pressed: number[] = [];
  const told: number[] = [];
  for (let i = 0; i < TAPS; i += 1) {
    await page.waitForTimeout(800);
    const took = await key.evaluate(
      (button: HTMLButtonElement) =>
        new Promise<{ pressed: number; told: number }>((resolve) => {
          const total = document.querySelector('section[aria-label="In the cup"]');
          const before = total?.textContent;
          const from = performance.now();
          let pressedAt = 0;
          const look = (): void => {
            const now = performance.now() - from;
            if (pressedAt === 0 && 'resting' in document.documentElement.dataset) pressedAt = now;
            if (total?.textContent !== before) resolve({ pressed: pressedAt, told: now });
            else requestAnimationFrame(look);
          };
          button.click();
          requestAnimationFrame(look);
        }),
    );
    pressed.push(took.pressed);
    told.push(took.told);
  }
  await context.close();
  return [
    {
      what: 'slow phone, a spoon into the cup, tap to pressed',
      measured: share(pressed, 0.5),
      allowed: 2 * FRAME_MS,
      unit: 'ms',
    },
    {
      what: 'slow phone, a spoon into the cup, tap to its total',
      measured: share(told, 0.5),
      allowed: 100,
      unit: 'ms',
    },
  ];
}
