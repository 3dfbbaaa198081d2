import type { Browser } from '@playwright/test';
import type { Measure } from './bench';
import { FRAME_MS, share, SLOWER } from './frames';

const TAPS = 8;

/**
 * From a tap on the card to the key that looks pressed, and to the line that is done: on a slow phone, the studio's server
 * there, and gone. What was tapped is in the phone's own database by then.
 */
export async function tapTimes(browser: Browser, url: string): Promise<Measure[]> {
  const measures: Measure[] = [];
  for (const offline of [false, true]) {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.goto(`${url}/pots/b15-angelus`);
    const key = page.getByRole('button', { name: 'Poured', exact: true });
    const back = page.getByRole('button', { name: 'Take back: Add white vinegar to the bath' });
    await key.waitFor();
    const slow = await context.newCDPSession(page);
    await slow.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    await context.setOffline(offline);
    const pressed: number[] = [];
    const done: number[] = [];
    for (let i = 0; i < TAPS; i += 1) {
      await page.waitForTimeout(1500);
      const took = await key.evaluate(
        (button: HTMLButtonElement) =>
          new Promise<{ pressed: number; done: number }>((resolve) => {
            const from = performance.now();
            let pressedAt = 0;
            const look = (): void => {
              const now = performance.now() - from;
              if (pressedAt === 0 && 'resting' in document.documentElement.dataset) pressedAt = now;
              if (!button.isConnected) resolve({ pressed: pressedAt, done: now });
              else requestAnimationFrame(look);
            };
            button.click();
            requestAnimationFrame(look);
          }),
      );
      pressed.push(took.pressed);
      done.push(took.done);
      await back.click();
      await key.waitFor();
    }
    const where = offline ? 'without the server' : 'the server there';
    measures.push(
      {
        what: `slow phone, tap to pressed, ${where}`,
        measured: share(pressed, 0.5),
        allowed: 2 * FRAME_MS,
        unit: 'ms',
      },
      { what: `slow phone, tap to done, ${where}`, measured: share(done, 0.5), allowed: 100, unit: 'ms' },
    );
    await context.close();
  }
  return measures;
}
