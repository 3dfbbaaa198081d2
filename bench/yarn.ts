import {
  byBands,
  bySamples,
  coated,
  colorsOfShelf,
  inventedBase,
  inventedDyeing,
  plainLook,
  type Part,
  type Where,
  type YarnLook,
} from '@ythrion/core';
import { drawnYarn } from '../packages/web/src/parts/yarn/drawnYarn';
import type { YarnPicture } from '../packages/web/src/parts/yarn/drawYarn';
import type { YarnPainting } from '../packages/web/src/parts/yarn/painting';

const DYES = [
  { dyeId: 'blue', swatchHex: '#22449a', nm: 610 },
  { dyeId: 'red', swatchHex: '#b0203a', nm: 520 },
  { dyeId: 'yellow', swatchHex: '#e0b020', nm: 435 },
];
const part = (where: Where, depth: number): Part => ({
  where,
  dyes: DYES.map(({ dyeId, swatchHex }) => ({ dyeId, swatchHex, swatchDosPercent: 1, dosPercent: depth })),
});

/** By picked colors, and by ladders of invented dyes. */
const PAINTINGS: Record<string, YarnPainting> = {
  'picked colors': { painting: byBands, number: 0 },
  'measured colors': { painting: bySamples(measured()), number: 1 },
};

function measured(): Parameters<typeof bySamples>[0] {
  const base = inventedBase({ top: 0.88, drop: 0.3, over: 60 });
  const colors = colorsOfShelf({
    bases: [{ id: 'wool', hex: '#efe9dc' }],
    dyes: DYES.map(({ dyeId, swatchHex }) => ({
      id: dyeId,
      name: dyeId,
      swatchHex,
      swatchDosPercent: 1,
      madeOf: [],
    })),
    samples: DYES.flatMap(({ dyeId, nm }) =>
      [0.1, 0.5, 2].map((dosPercent) => ({
        id: `${dyeId}-${dosPercent}`,
        baseId: 'wool',
        dyes: [{ dyeId, dosPercent }],
        color: {
          kind: 'reflectance' as const,
          reflectance: [
            ...inventedDyeing(
              { bands: [{ nm, width: 40, strength: 9 }], everywhere: 0.05, power: 1, saturation: 0.05 },
              base,
              0,
              dosPercent,
            ),
          ],
        },
        invented: true,
        note: '',
        retired: false,
      })),
    ),
  });
  if (!colors) throw new Error('Nothing was measured.');
  return colors;
}

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

function timeOf(
  pictures: readonly YarnPicture[],
  painting: YarnPainting,
  width: number,
  height: number,
): number[] {
  return pictures.map((picture) => {
    const begun = performance.now();
    const canvas = drawnYarn(JSON.stringify(picture), picture, { width, height, scale: 1 }, painting);
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
  return Object.entries(PAINTINGS).flatMap(([by, painting]) => {
    timeOf(pictures(12, 20, 'warm'), painting, 124, 150);
    const shelf = pictures(3, 60, 'shelf');
    return [
      {
        what: `a hank of 12 passes, ${by}`,
        measured: median(timeOf(pictures(12, 40, 'twelve'), painting, 124, 150)),
        allowed: 8,
      },
      {
        what: `a shelf of 60 hanks, at first, ${by}`,
        measured: sum(timeOf(shelf, painting, 92, 128)),
        allowed: 1000,
      },
      {
        what: `the same 60 hanks again, ${by}`,
        measured: sum(timeOf(shelf, painting, 92, 128)),
        allowed: 1000,
      },
    ];
  });
}
