import { plainLook, type YarnLook } from '@ythrion/core';
import { drawHank, type HankForm } from './drawHank';

interface Drawn {
  points: [number, number][];
  styles: string[];
  strokes: number;
}

/** A pen that only remembers what it was told to draw. */
function rememberingPen(): { pen: CanvasRenderingContext2D; drawn: Drawn } {
  const drawn: Drawn = { points: [], styles: [], strokes: 0 };
  const pen = {
    clearRect: () => undefined,
    beginPath: () => undefined,
    moveTo: (x: number, y: number) => drawn.points.push([x, y]),
    lineTo: (x: number, y: number) => drawn.points.push([x, y]),
    stroke: () => (drawn.strokes += 1),
    set strokeStyle(style: string) {
      drawn.styles.push(style);
    },
  };
  return { pen: pen as unknown as CanvasRenderingContext2D, drawn };
}

interface Wish {
  form: HankForm;
  hex?: string;
  seed?: string;
  look?: Partial<YarnLook>;
}

function draw({ form, hex = '#7a4a2c', seed = 'a', look = {} }: Wish, width = 120, height = 160): Drawn {
  const { pen, drawn } = rememberingPen();
  drawHank(pen, width, height, { seed, form, look: { ...plainLook(hex), unevenness: 0.3, ...look } });
  return drawn;
}

describe.each(['open', 'twisted'] as const)('an %s hank', (form) => {
  test('is drawn strand by strand, not as a flat patch', () => {
    const drawn = draw({ form });
    expect(drawn.strokes).toBeGreaterThan(20);
    expect(new Set(drawn.styles).size).toBeGreaterThan(10);
  });
  test('is the same for the same recipe and another for another', () => {
    expect(draw({ form })).toEqual(draw({ form }));
    expect(draw({ form, seed: 'b' })).not.toEqual(draw({ form }));
  });
  test('stays in its box at every size it is used at', () => {
    for (const [width, height] of [
      [44, 44],
      [56, 92],
      [92, 128],
      [124, 150],
      [120, 220],
    ] as const) {
      const { points } = draw({ form }, width, height);
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      expect(Math.min(...xs, ...ys)).toBeGreaterThanOrEqual(-2);
      expect(Math.max(...xs)).toBeLessThanOrEqual(width + 2);
      expect(Math.max(...ys)).toBeLessThanOrEqual(height + 2);
    }
  });
  test('uses only colors a screen can show', () => {
    const { styles } = draw({ form, hex: '#ffffff', look: { unevenness: 1 } });
    expect(styles.filter((style) => !/^#[0-9a-f]{6}$/.test(style))).toEqual([]);
  });
  test('shows every section in its own color, and speckles on top', () => {
    const bands = [
      { share: 0.5, hex: '#ff0000' },
      { share: 0.5, hex: '#0000ff' },
    ];
    const styles = draw({ form, look: { bands, speckles: [{ hex: '#00ff00', cover: 0.3 }] } }).styles;
    const has = (channel: number): boolean =>
      styles.some((style) => {
        const rgb = [1, 3, 5].map((at) => Number.parseInt(style.slice(at, at + 2), 16));
        return (rgb[channel] ?? 0) > 60 && rgb.every((value, i) => i === channel || value < 20);
      });
    expect([has(0), has(1), has(2)]).toEqual([true, true, true]);
  });
});
