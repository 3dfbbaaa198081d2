import type { Page } from '@playwright/test';

export const FRAME_MS = 1000 / 60;
/** A phone: four times slower than a desk, as Lighthouse reckons one (developer.chrome.com, throttling). */
export const SLOWER = 4;

/** Times from one frame of a page to the next while something is done, ms, smallest first. */
export async function framesWhile(page: Page, work: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const frames: number[] = [];
    (window as unknown as { frames: number[] }).frames = frames;
    let last = performance.now();
    const frame = (now: number): void => {
      frames.push(now - last);
      last = now;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });
  await work();
  const frames = await page.evaluate(() => (window as unknown as { frames: number[] }).frames);
  return frames.slice(5).toSorted((a, b) => a - b);
}

/** The value below which so many of some values lie: 0.5 is the median. */
export const share = (values: readonly number[], part: number): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length * part)] ?? 0;
