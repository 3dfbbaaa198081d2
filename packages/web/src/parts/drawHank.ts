import {
  averageHex,
  colorAt,
  seededStream,
  shaded,
  strands,
  type Strand,
  type YarnLook,
} from '@ythrion/core';

export type HankForm = 'open' | 'twisted';

/** What a hank is drawn from; equal values always draw the same picture. */
export interface HankPicture {
  look: YarnLook;
  seed: string;
  form: HankForm;
}

/** Strands a hank of this width is drawn with. */
const strandCount = (width: number): number => Math.max(10, Math.min(34, Math.round(width / 4)));

/** Draws a hank into a box, strand by strand. */
export function drawHank(
  pen: CanvasRenderingContext2D,
  width: number,
  height: number,
  picture: HankPicture,
): void {
  pen.clearRect(0, 0, width, height);
  pen.lineCap = 'round';
  const { look, seed } = picture;
  const drawn = strands(averageHex(look), strandCount(Math.min(width, height)), look.unevenness, seed);
  if (picture.form === 'open') drawOpen(pen, width, height, drawn, look, seed);
  else drawTwisted(pen, width, height, drawn, look, seed);
}

type Point = readonly [number, number];

const CURVE_STEPS = 11;

/** A cubic curve as points, its start left out. */
function curve(from: Point, a: Point, b: Point, to: Point): Point[] {
  return Array.from({ length: CURVE_STEPS }, (_, i): Point => {
    const t = (i + 1) / CURVE_STEPS;
    const u = 1 - t;
    const at = (k: 0 | 1): number =>
      u ** 3 * from[k] + 3 * u * u * t * a[k] + 3 * u * t * t * b[k] + t ** 3 * to[k];
    return [at(0), at(1)];
  });
}

/** The way of one strand round an open loop, from the top and back to it. */
function loopPath(width: number, height: number, reach: number, outer: number, wander: number): Point[] {
  const middle = width / 2;
  const top = 3 + (outer - reach) * 0.55 + Math.abs(wander);
  const bottom = height - 3 - (outer - reach) * 0.45 + wander * 2;
  const side = height * 0.55;
  const start: Point = [middle, top];
  const right: Point = [middle + reach * 0.86 + wander, side];
  const foot: Point = [middle, bottom];
  const left: Point = [middle - reach * 0.86 + wander, side];
  return [
    start,
    ...curve(start, [middle + reach * 1.15, top], [middle + reach, height * 0.3], right),
    ...curve(right, [middle + reach * 0.7, bottom], [middle + reach * 0.3, bottom], foot),
    ...curve(foot, [middle - reach * 0.3, bottom], [middle - reach * 0.7, bottom], left),
    ...curve(left, [middle - reach, height * 0.3], [middle - reach * 1.15, top], start),
  ];
}

function strokePath(pen: CanvasRenderingContext2D, points: readonly Point[]): void {
  const [first] = points;
  if (!first || points.length < 2) return;
  pen.beginPath();
  pen.moveTo(first[0], first[1]);
  for (const point of points.slice(1)) pen.lineTo(point[0], point[1]);
  pen.stroke();
}

/** An open loop, hung from above and held by two loose ties; its bands lie round the loop or across it. */
function drawOpen(
  pen: CanvasRenderingContext2D,
  width: number,
  height: number,
  drawn: readonly Strand[],
  look: YarnLook,
  seed: string,
): void {
  const outer = Math.min(width * 0.46, height * 0.9);
  const inner = outer * 0.5;
  const thickness = ((outer - inner) / drawn.length) * 1.9;
  const next = seededStream(`${seed}-speckles`);
  for (const strand of drawn) {
    const reach = inner + (outer - inner) * strand.across + strand.wander * thickness * 0.7;
    const path = loopPath(width, height, reach, outer, strand.wander);
    const last = path.length - 1;
    pen.strokeStyle = shaded(look.across ? colorAt(look, strand.across) : strand.hex, 0.5 * strand.shade);
    pen.lineWidth = thickness + 0.8;
    strokePath(pen, path);
    pen.lineWidth = thickness * 0.72;
    if (look.across || look.bands.length === 1) {
      pen.strokeStyle = shaded(look.across ? colorAt(look, strand.across) : colorAt(look, 0), strand.shade);
      strokePath(pen, path);
    } else {
      // Color wanders a little past the edge of a section, differently on every strand.
      let from = 0;
      for (const band of look.bands) {
        const to = from + band.share;
        const ragged = (place: number): number =>
          place <= 0 || place >= 1 ? place : Math.min(1, Math.max(0, place + strand.wander * 0.018));
        pen.strokeStyle = shaded(band.hex, strand.shade);
        strokePath(
          pen,
          path.slice(Math.round(ragged(from) * last), Math.round(ragged(Math.min(1, to)) * last) + 1),
        );
        from = to;
      }
    }
    for (const speckle of look.speckles) {
      pen.strokeStyle = shaded(speckle.hex, strand.shade);
      for (let i = 0; i < last; i += 1)
        if (next() < speckle.cover * 0.9) strokePath(pen, path.slice(i, i + 2));
    }
  }
  drawTies(pen, width / 2, height, inner, outer, shaded(averageHex(look), 0.32));
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
    const from: Point = [middle + side * (inner * 0.86), y - 2];
    strokePath(pen, [
      from,
      ...curve(
        from,
        [middle + side * (inner + outer) * 0.5, y + 5],
        [middle + side * (inner + outer) * 0.5, y - 7],
        [middle + side * (outer * 1.02), y + 2],
      ),
    ]);
  }
}

/** A finished hank, twisted on itself: two plies that pass over and under each other. */
function drawTwisted(
  pen: CanvasRenderingContext2D,
  width: number,
  height: number,
  drawn: readonly Strand[],
  look: YarnLook,
  seed: string,
): void {
  const middle = width / 2;
  const swing = Math.min(width * 0.15, height * 0.12);
  const body = swing * 1.12;
  const turns = Math.max(1.25, height / (swing * 8.4));
  const steps = Math.round(height / 2.5);
  const next = seededStream(`${seed}-speckles`);
  const taper = (t: number): number =>
    Math.min(1, Math.sin(Math.PI * Math.min(0.5, Math.min(t, 1 - t) * 3.2)) * 0.75 + 0.3);
  const strandWidth = ((2 * body) / drawn.length) * 1.5;
  const plain = look.bands.length === 1 && look.speckles.length === 0;
  const colorOf = (strand: Strand, ply: number, t: number): string => {
    if (plain) return strand.hex;
    const speckle = look.speckles.find(({ cover }) => next() < cover);
    if (speckle) return shaded(speckle.hex, strand.shade);
    const place = look.across ? strand.across : (ply === 0 ? t / 2 : 1 - t / 2) + strand.wander * 0.02;
    return shaded(colorAt(look, Math.min(1, Math.max(0, place))), strand.shade);
  };
  for (let k = 0; k < steps; k += 1) {
    const t = k / steps;
    const plies = [0, 1]
      .map((ply) => ({ ply, phase: 2 * Math.PI * turns * t + ply * Math.PI }))
      .toSorted((a, b) => Math.cos(a.phase) - Math.cos(b.phase));
    for (const { ply, phase } of plies) {
      const depth = 0.82 + 0.18 * Math.cos(phase);
      for (const strand of drawn) {
        const round = Math.sqrt(Math.max(0, 1 - (strand.across * 2 - 1) ** 2));
        pen.strokeStyle = shaded(colorOf(strand, ply, t), depth * (0.22 + 0.78 * round));
        pen.lineWidth = strandWidth;
        pen.beginPath();
        pen.moveTo(along(phase, t, strand), 4 + t * (height - 8));
        const after = t + 1.7 / steps;
        const nextPhase = phase + (2 * Math.PI * turns * 1.7) / steps;
        pen.lineTo(along(nextPhase, after, strand), 4 + after * (height - 8));
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
