import { drawHank, type HankLook } from './drawHank';

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
    bezierCurveTo: (...at: number[]) => drawn.points.push([at[4] ?? 0, at[5] ?? 0]),
    stroke: () => (drawn.strokes += 1),
    set strokeStyle(style: string) {
      drawn.styles.push(style);
    },
  };
  return { pen: pen as unknown as CanvasRenderingContext2D, drawn };
}

function draw(look: Partial<HankLook>, width = 120, height = 160): Drawn {
  const { pen, drawn } = rememberingPen();
  drawHank(pen, width, height, { hex: '#7a4a2c', seed: 'a', form: 'open', unevenness: 0.3, ...look });
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
    ] as const)
      for (const [x, y] of draw({ form }, width, height).points) {
        expect(x).toBeGreaterThanOrEqual(-2);
        expect(x).toBeLessThanOrEqual(width + 2);
        expect(y).toBeGreaterThanOrEqual(-2);
        expect(y).toBeLessThanOrEqual(height + 2);
      }
  });
  test('uses only colors a screen can show', () => {
    for (const style of draw({ form, hex: '#ffffff', unevenness: 1 }).styles)
      expect(style).toMatch(/^#[0-9a-f]{6}$/);
  });
});
