import { coated, plainLook, type Part, type Where, type YarnLook } from '@ythrion/core';
import { drawYarn, type Shown } from './drawYarn';

interface Drawn {
  points: [number, number][];
  styles: string[];
  strokes: number;
  /** Length drawn in each style, px. */
  lengths: Map<string, number>;
}

/** A pen that only remembers what it was told to draw. */
function rememberingPen(): { pen: CanvasRenderingContext2D; drawn: Drawn } {
  const drawn: Drawn = { points: [], styles: [], strokes: 0, lengths: new Map() };
  let [at, style]: [[number, number], string] = [[0, 0], ''];
  const pen = {
    clearRect: () => undefined,
    beginPath: () => undefined,
    moveTo(x: number, y: number) {
      at = [x, y];
      drawn.points.push(at);
    },
    lineTo(x: number, y: number) {
      drawn.lengths.set(style, (drawn.lengths.get(style) ?? 0) + Math.hypot(x - at[0], y - at[1]));
      at = [x, y];
      drawn.points.push(at);
    },
    stroke: () => (drawn.strokes += 1),
    set strokeStyle(to: string) {
      style = to;
      drawn.styles.push(to);
    },
  };
  return { pen: pen as unknown as CanvasRenderingContext2D, drawn };
}

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
): Drawn {
  const { pen, drawn } = rememberingPen();
  const look = coated({ ...plainLook(hex, form), unevenness }, { parts, lying: open });
  drawYarn(pen, width, height, { seed, shown, look });
  return drawn;
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

/** How much of a picture is drawn in a color that is nearly pure in one channel, as a share of red, green and blue. */
function shareOf({ lengths }: Drawn, channel: number): number {
  let [mine, all] = [0, 0];
  for (const [style, length] of lengths) {
    if (!/^#[0-9a-f]{6}$/.test(style)) continue;
    const rgb = [1, 3, 5].map((at) => Number.parseInt(style.slice(at, at + 2), 16));
    all += length;
    if ((rgb[channel] ?? 0) > 60 && rgb.every((value, i) => i === channel || value < 40)) mine += length;
  }
  return mine / all;
}

describe.each(GOODS)('%s', (_, goods) => {
  test('is drawn thread by thread, not as a flat patch', () => {
    const drawn = draw(goods);
    expect(drawn.strokes).toBeGreaterThan(20);
    expect(new Set(drawn.styles).size).toBeGreaterThan(6);
  });
  test('is the same for the same recipe and another for another', () => {
    expect(draw(goods)).toEqual(draw(goods));
    expect(draw({ ...goods, seed: 'b' })).not.toEqual(draw(goods));
  });
  test('stays in its box at every size it is used at', () => {
    for (const [width, height] of [
      [44, 44],
      [56, 92],
      [92, 128],
      [124, 150],
      [120, 220],
    ] as const) {
      const { points } = draw(goods, width, height);
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      expect(Math.min(...xs, ...ys)).toBeGreaterThanOrEqual(-2);
      expect(Math.max(...xs)).toBeLessThanOrEqual(width + 2);
      expect(Math.max(...ys)).toBeLessThanOrEqual(height + 2);
    }
  });
  test('uses only colors a screen can show', () => {
    const { styles } = draw({ ...goods, hex: '#ffffff', unevenness: 1 });
    expect(styles.filter((style) => !/^#[0-9a-f]{6}([0-9a-f]{2})?$/.test(style))).toEqual([]);
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
  for (const channel of [0, 1, 2]) expect(shareOf(drawn, channel)).toBeCloseTo(1 / 3, 1);
});
