import { coated, plainLook, type Part, type Where, type YarnLook } from '@ythrion/core';
import { drawnYarn } from '../packages/web/src/parts/yarn/drawnYarn';
import type { YarnPicture } from '../packages/web/src/parts/yarn/drawYarn';

const DYES = ['#22449a', '#b0203a', '#e0b020'];
const part = (where: Where, depth: number): Part => ({
  where,
  dyes: DYES.map((swatchHex) => ({ swatchHex, swatchDosPercent: 1, dosPercent: depth })),
});

/** A hank of so many passes, each laid another way. */
function hank(passes: number, n: number): YarnLook {
  let look = plainLook('#efe9dc');
  for (let i = 0; i < passes; i += 1)
    look = coated(look, {
      parts: [
        part(i % 3 === 2 ? { kind: 'patches', share: 0.4 } : { kind: 'all' }, 0.05 * (1 + ((i + n) % 4))),
      ],
      lying: { kind: (['open', 'twisted', 'knotted', 'open'] as const)[i % 4] ?? 'open', count: 2 + (i % 3) },
    });
  return look;
}

function timeOf(pictures: readonly YarnPicture[], width: number, height: number): number[] {
  return pictures.map((picture) => {
    const begun = performance.now();
    const canvas = drawnYarn(JSON.stringify(picture), picture, { width, height, scale: 1 });
    // Read back, so that what was put off is counted.
    canvas.getContext('2d')?.getImageData(0, 0, 1, 1);
    return performance.now() - begun;
  });
}

const median = (times: readonly number[]): number => times.toSorted((a, b) => a - b)[times.length >> 1] ?? 0;
const sum = (times: readonly number[]): number => times.reduce((all, one) => all + one, 0);
const pictures = (passes: number, count: number, seed: string): YarnPicture[] =>
  Array.from({ length: count }, (_, n) => ({ look: hank(passes, n), seed: `${seed}${n}`, shown: 'open' }));

/** How long hanks take to be drawn, ms. */
export function yarnTimes(): { what: string; measured: number; allowed: number }[] {
  timeOf(pictures(12, 20, 'warm'), 124, 150);
  const shelf = pictures(3, 60, 'shelf');
  return [
    {
      what: 'a hank of 12 passes',
      measured: median(timeOf(pictures(12, 40, 'twelve'), 124, 150)),
      allowed: 8,
    },
    { what: 'a shelf of 60 hanks, at first', measured: sum(timeOf(shelf, 92, 128)), allowed: 1000 },
    { what: 'the same 60 hanks again', measured: sum(timeOf(shelf, 92, 128)), allowed: 1000 },
  ];
}
