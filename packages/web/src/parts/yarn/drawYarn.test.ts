import { byBands, coated, type Part, plainLook, type Where, type YarnLook } from '@ythrion/core';
import { drawYarn, type Shown } from './drawYarn';
import { bytesOf, type Dots } from './pixels';

const dye = (swatchHex: string) => ({ swatchHex, swatchDosPercent: 1, dosPercent: 30 });
const part = (where: Where, hex: string): Part => ({ where, dyes: [dye(hex)] });
const open = { kind: 'open', count: 1 } as const;

interface Wish {
  form?: YarnLook['form'];
  shown?: Shown;
  hex?: string;
  seed?: string;
  parts?: Part[];
  unevenness?: number;
}

function draw(
  { form = 'skein', shown = 'open', hex = '#7a4a2c', seed = 'a', parts = [], unevenness = 0.3 }: Wish,
  width = 120,
  height = 160,
  scale = 2,
): Dots {
  const look = coated({ ...plainLook(hex, form), unevenness }, { parts, lying: open });
  return drawYarn(width, height, scale, { seed, shown, look }, byBands);
}

interface Lying {
  rgb: readonly [number, number, number];
  x: number;
  y: number;
}

/** Every dot that something lies on. */
function lyingOn(drawn: Dots): Lying[] {
  const [bytes, { wide }] = [bytesOf(drawn), drawn];
  const dots: Lying[] = [];
  for (let at = 0; at < bytes.length; at += 4) {
    const [r = 0, g = 0, b = 0, opaque] = [bytes[at], bytes[at + 1], bytes[at + 2], bytes[at + 3]];
    if (opaque === 255) dots.push({ rgb: [r, g, b], x: (at / 4) % wide, y: Math.floor(at / 4 / wide) });
  }
  return dots;
}

const GOODS: [string, Wish][] = [
  ['an open hank', {}],
  ['a finished hank', { shown: 'twisted' }],
  ['a mini', { form: 'mini' }],
  ['a top', { form: 'top' }],
  ['a knitted blank', { form: 'blank' }],
  ['a flat piece', { form: 'flat piece' }],
  ['a finished piece', { form: 'finished piece' }],
];

/** Dot by dot. */
const isSame = (one: Dots, other: Dots): boolean =>
  Buffer.from(bytesOf(one)).equals(Buffer.from(bytesOf(other)));

/** How much of what is drawn is nearly pure in one channel, as a share. */
function shareOf(dots: Dots, channel: number): number {
  let [mine, all] = [0, 0];
  for (const { rgb } of lyingOn(dots)) {
    all += 1;
    // Its shadows are darker than itself.
    if ((rgb[channel] ?? 0) > 40 && rgb.every((value, i) => i === channel || value < 40)) mine += 1;
  }
  return mine / all;
}

describe.each(GOODS)('%s', (_, goods) => {
  test('is drawn thread by thread, not as a flat patch', () => {
    const colors = new Set(lyingOn(draw(goods)).map(({ rgb }) => rgb.join()));
    expect(colors.size).toBeGreaterThan(6);
  });
  test('is the same for the same recipe and another for another', () => {
    expect(isSame(draw(goods), draw(goods))).toBe(true);
    expect(isSame(draw({ ...goods, seed: 'b' }), draw(goods))).toBe(false);
  });
  test('fills its box and is not cut off by it, at every size it is used at', () => {
    for (const [width, height] of [
      [44, 44],
      [56, 92],
      [92, 128],
      [124, 150],
      [120, 220],
    ] as const) {
      const dots = draw(goods, width, height);
      const lies = lyingOn(dots);
      const onEdge = lies.filter(
        ({ x, y }) => x === 0 || y === 0 || x === dots.wide - 1 || y === dots.high - 1,
      );
      // A strand may touch the edge with its side, none of it is lost.
      expect(onEdge.length).toBeLessThan(0.06 * (dots.wide + dots.high));
      expect(lies.length / (dots.wide * dots.high)).toBeGreaterThan(0.2);
    }
  });
  test('covers as much of its box with three dots to a pixel as with one', () => {
    const covered = (scale: number): number => {
      const dots = draw(goods, 92, 128, scale);
      return lyingOn(dots).length / (dots.wide * dots.high);
    };
    expect(covered(3)).toBeCloseTo(covered(1), 1);
  });
  test('shows a section of 30 % on 30 % of it, and each in its own color', () => {
    const drawn = draw({
      ...goods,
      hex: '#ffffff',
      unevenness: 0,
      parts: [
        part({ kind: 'along', from: 0, to: 0.3 }, '#ff0000'),
        part({ kind: 'along', from: 0.3, to: 0.8 }, '#0000ff'),
      ],
    });
    expect(Math.abs(shareOf(drawn, 0) - 0.3)).toBeLessThan(0.07);
    expect(Math.abs(shareOf(drawn, 2) - 0.5)).toBeLessThan(0.07);
  });
});

test('a pile shows its layers, one sheet behind the other', () => {
  const layers = ['#ff0000', '#00ff00', '#0000ff'].map((hex, i) =>
    part({ kind: 'layer', from: i / 3, to: (i + 1) / 3 }, hex),
  );
  const drawn = draw({ form: 'flat piece', hex: '#ffffff', unevenness: 0, parts: layers });
  // The one in front hides most of those behind.
  const [front, ...behind] = [0, 1, 2].map((channel) => shareOf(drawn, channel));
  expect(front).toBeGreaterThan(0.5);
  for (const share of behind) expect(share).toBeGreaterThan(0.05);
});
