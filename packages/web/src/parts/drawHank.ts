import { linearRgb, rgbHex, strands, type Strand } from '@ythrion/core';

export type HankForm = 'open' | 'twisted';

/** What a hank is drawn from; equal values always draw the same picture. */
export interface HankLook {
  hex: string;
  seed: string;
  form: HankForm;
  /** Spread of depth, 0 level to 1 strongly tonal. */
  unevenness: number;
}

/** Strands a hank of this width is drawn with. */
const strandCount = (width: number): number => Math.max(10, Math.min(34, Math.round(width / 4)));

const darker = (hex: string, by: number): string => {
  const [r, g, b] = linearRgb(hex);
  return rgbHex([r * by, g * by, b * by]);
};

/** Draws a hank into a box, strand by strand. */
export function drawHank(pen: CanvasRenderingContext2D, width: number, height: number, look: HankLook): void {
  pen.clearRect(0, 0, width, height);
  pen.lineCap = 'round';
  const drawn = strands(look.hex, strandCount(Math.min(width, height)), look.unevenness, look.seed);
  if (look.form === 'open') drawOpen(pen, width, height, drawn, look.hex);
  else drawTwisted(pen, width, height, drawn);
}

/** An open loop, hung from above and held by three loose ties. */
function drawOpen(
  pen: CanvasRenderingContext2D,
  width: number,
  height: number,
  drawn: readonly Strand[],
  hex: string,
): void {
  const middle = width / 2;
  const outer = Math.min(width * 0.46, height * 0.9);
  const inner = outer * 0.5;
  const thickness = ((outer - inner) / drawn.length) * 1.9;
  for (const strand of drawn) {
    const reach = inner + (outer - inner) * strand.across + strand.wander * thickness * 0.7;
    const top = 3 + (outer - reach) * 0.55 + Math.abs(strand.wander);
    const bottom = height - 3 - (outer - reach) * 0.45 + strand.wander * 2;
    const loop = (): void => {
      pen.beginPath();
      pen.moveTo(middle, top);
      pen.bezierCurveTo(
        middle + reach * 1.15,
        top,
        middle + reach,
        height * 0.3,
        middle + reach * 0.86 + strand.wander,
        height * 0.55,
      );
      pen.bezierCurveTo(middle + reach * 0.7, bottom, middle + reach * 0.3, bottom, middle, bottom);
      pen.bezierCurveTo(
        middle - reach * 0.3,
        bottom,
        middle - reach * 0.7,
        bottom,
        middle - reach * 0.86 + strand.wander,
        height * 0.55,
      );
      pen.bezierCurveTo(middle - reach, height * 0.3, middle - reach * 1.15, top, middle, top);
    };
    loop();
    pen.strokeStyle = darker(strand.hex, 0.55);
    pen.lineWidth = thickness + 0.8;
    pen.stroke();
    loop();
    pen.strokeStyle = strand.hex;
    pen.lineWidth = thickness * 0.72;
    pen.stroke();
  }
  drawTies(pen, middle, height, inner, outer, darker(hex, 0.32));
}

function drawTies(
  pen: CanvasRenderingContext2D,
  middle: number,
  height: number,
  inner: number,
  outer: number,
  color: string,
): void {
  pen.strokeStyle = color;
  pen.lineWidth = 1.6;
  for (const [side, at] of [
    [-1, 0.42],
    [1, 0.36],
  ] as const) {
    const y = height * at;
    pen.beginPath();
    pen.moveTo(middle + side * (inner * 0.86), y - 2);
    pen.bezierCurveTo(
      middle + side * (inner + outer) * 0.5,
      y + 5,
      middle + side * (inner + outer) * 0.5,
      y - 7,
      middle + side * (outer * 1.02),
      y + 2,
    );
    pen.stroke();
  }
}

/** A finished hank, twisted on itself: two plies that pass over and under each other. */
function drawTwisted(
  pen: CanvasRenderingContext2D,
  width: number,
  height: number,
  drawn: readonly Strand[],
): void {
  const middle = width / 2;
  const swing = Math.min(width * 0.15, height * 0.12);
  const body = swing * 1.12;
  const turns = Math.max(1.25, height / (swing * 8.4));
  const steps = Math.round(height / 2.5);
  const taper = (t: number): number =>
    Math.min(1, Math.sin(Math.PI * Math.min(0.5, Math.min(t, 1 - t) * 3.2)) * 0.75 + 0.3);
  const strandWidth = ((2 * body) / drawn.length) * 1.5;
  for (let k = 0; k < steps; k += 1) {
    const t = k / steps;
    const plies = [0, Math.PI]
      .map((shift) => 2 * Math.PI * turns * t + shift)
      .toSorted((a, b) => Math.cos(a) - Math.cos(b));
    for (const phase of plies) {
      const depth = 0.82 + 0.18 * Math.cos(phase);
      for (const strand of drawn) {
        const round = Math.sqrt(Math.max(0, 1 - (strand.across * 2 - 1) ** 2));
        pen.strokeStyle = darker(strand.hex, depth * (0.22 + 0.78 * round));
        pen.lineWidth = strandWidth;
        pen.beginPath();
        pen.moveTo(along(phase, t, strand), 4 + t * (height - 8));
        const next = t + 1.7 / steps;
        const nextPhase = phase + (2 * Math.PI * turns * 1.7) / steps;
        pen.lineTo(along(nextPhase, next, strand), 4 + next * (height - 8));
        pen.stroke();
      }
    }
  }
  function along(phase: number, t: number, strand: Strand): number {
    return (
      middle + taper(t) * (swing * Math.sin(phase) + (strand.across * 2 - 1) * body) + strand.wander * 0.4
    );
  }
}
