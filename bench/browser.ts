import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import type { Colorway } from '@ythrion/core';
import { CHROMIUM } from '../scripts/chromium.mjs';
import type { Measure } from './bench';
import { cardTimes } from './card';
import { cupTimes } from './cup';
import { FRAME_MS, framesWhile, share } from './frames';
import { tapTimes } from './tap';

const KEYSTROKES = 60;

/** The plan in a real browser, and what a keystroke costs there on a colorway of one pass and of twelve. */
export async function browserTimes(root: string): Promise<Measure[]> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-bench-'));
  const child = spawn(process.execPath, [path.join(root, 'packages/server/dist/main.js'), 'demo'], {
    env: { ...process.env, PORT: '0', YTHRION_DATA: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const browser = await chromium.launch(CHROMIUM as object);
  try {
    const [chunk] = (await once(child.stdout, 'data')) as [Buffer];
    const url = /http:\/\/\S+/.exec(chunk.toString())?.[0] ?? '';
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    // A blank page has no content policy of the application's, which rightly refuses foreign scripts.
    await page.goto('about:blank');
    await page.addScriptTag({
      content: await readFile(path.join(root, '.cache/bench-page/plan.js'), 'utf8'),
    });
    const plans = await page.evaluate(() =>
      (window as unknown as { planTimes: () => { what: string; measured: number }[] }).planTimes(),
    );
    const yarn = await page.evaluate(() =>
      (
        window as unknown as { yarnTimes: () => { what: string; measured: number; allowed: number }[] }
      ).yarnTimes(),
    );
    await twelvePasses(url);
    return [
      ...plans.map(({ what, measured }, i) => ({
        what: `in the browser: ${what}`,
        measured,
        allowed: i === 0 ? 1 : 5,
        unit: 'ms',
      })),
      ...yarn.map((one) => ({ ...one, unit: 'ms' as const })),
      ...(await typing(page, `${url}/colorways/green-bronze`, 'Depth', 'one pass')),
      ...(await typing(page, `${url}/colorways/twelve`, 'Each, dry', 'twelve passes')),
      ...(await tapTimes(browser, url)),
      ...(await cardTimes(browser, url, 'twelve')),
      ...(await cupTimes(browser, url)),
    ];
  } finally {
    await browser.close();
    child.kill();
    await rm(folder, { recursive: true, force: true });
  }
}

/** A colorway of twelve passes, made of the demo's four. */
async function twelvePasses(url: string): Promise<void> {
  const [four] = (await (await fetch(`${url}/api/colorways/carillon`)).json()) as (Colorway & {
    savedAt?: string;
  })[];
  if (!four) throw new Error('The demo has no colorway of four passes.');
  const passes = [0, 1, 2].flatMap((round) =>
    four.recipe.passes.map((pass) => ({
      ...pass,
      id: `${pass.id}-${round}`,
      dyes: pass.dyes.map((line) => ({ ...line, id: `${line.id}-${round}` })),
    })),
  );
  const { savedAt: _, ...rest } = four;
  const answer = await fetch(`${url}/api/colorways`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Ythrion': '1' },
    body: JSON.stringify({ ...rest, id: 'twelve', version: 1, recipe: { ...four.recipe, passes } }),
  });
  if (!answer.ok) throw new Error(await answer.text());
}

/** Time from one frame to the next while somebody types ten keys a second: the usual frame, and one in twenty. */
async function typing(page: Page, url: string, label: string, what: string): Promise<Measure[]> {
  await page.goto(url);
  const field = page.getByLabel(label, { exact: true }).first();
  await field.waitFor();
  await field.fill('1');
  const frames = await framesWhile(page, async () => {
    for (let i = 0; i < KEYSTROKES; i += 1) {
      await page.keyboard.press(i % 2 === 0 ? String(1 + (i % 9)) : 'Backspace');
      await page.waitForTimeout(100);
    }
  });
  return [
    {
      what: `frame while typing, ${what}, median`,
      measured: share(frames, 0.5),
      allowed: FRAME_MS,
      unit: 'ms',
    },
    {
      what: `frame while typing, ${what}, one in twenty`,
      measured: share(frames, 0.95),
      allowed: FRAME_MS,
      unit: 'ms',
    },
  ];
}
