import { colorsOf, rgbBytes, strands, type Rgb, type YarnLook } from '@ythrion/core';
import type { Point } from './points';
import type { Drawing } from './drawing';

/** Most sheets of a pile that are drawn. */
const MOST_SHEETS = 4;

/** Flat goods, loop by loop or thread by thread: a knitted blank, a woven piece, or a pile of them, the lowest behind. */
export function drawCloth(drawing: Drawing): void {
  const { width, height, look, seed } = drawing;
  const piled = look.coats.some(({ parts }) => parts.some(({ where }) => where.kind === 'layer'));
  const sheets = piled ? Math.min(MOST_SHEETS, mostLayers(look)) : 1;
  const shift = sheets === 1 ? 0 : Math.min(width, height) * 0.11;
  const [wide, high] = [width - 6 - shift * (sheets - 1), height - 6 - shift * (sheets - 1)];
  for (let sheet = sheets - 1; sheet >= 0; sheet -= 1)
    drawSheet(
      drawing,
      { x: 3 + sheet * shift, y: 3 + sheet * shift, wide, high },
      {
        seed: `${seed}${sheet === 0 ? '' : sheet}`,
        layer: piled ? (sheet + 0.5) / sheets : null,
      },
    );
}

const mostLayers = ({ coats }: YarnLook): number =>
  Math.max(...coats.map(({ parts }) => parts.filter(({ where }) => where.kind === 'layer').length));

function drawSheet(
  drawing: Drawing,
  { x, y, wide, high }: { x: number; y: number; wide: number; high: number },
  { seed, layer }: { seed: string; layer: number | null },
): void {
  const { look } = drawing;
  const columns = Math.max(6, Math.round(wide / 6));
  const rows = Math.max(8, Math.round(high / 5));
  const { lights, at } = colorsOf(
    look,
    {
      ends: 'two ends',
      strands: columns,
      steps: rows,
      seed,
      ragged: 0.004,
      layer,
    },
    drawing.painting,
  );
  const [w, h] = [wide / columns, high / rows];
  const rowShades = strands(rows, look.unevenness, seed);
  const lightAt = (column: number, row: number): Rgb => lights[at[column * rows + row] ?? 0] as Rgb;
  // Every row lies over the one below it: drawn from the lower end up.
  for (let row = 0; row < rows; row += 1) {
    const bottom = y + high - row * h;
    const by = rowShades[row]?.shade ?? 1;
    for (let column = 0; column < columns; column += 1) {
      const left = x + column * w;
      const light = lightAt(column, row);
      const stroke = (from: Point, to: Point, lit: number, thick: number): void =>
        drawing.piece(from, to, thick, rgbBytes(light, by * lit));
      if (look.form === 'flat piece') {
        const over = (row + column) % 2 === 0;
        const middle = bottom - h / 2;
        if (over) stroke([left + w * 0.12, middle], [left + w * 0.88, middle], 1, h * 0.92);
        else stroke([left + w / 2, bottom - h * 0.12], [left + w / 2, bottom - h * 0.88], 0.82, w * 0.85);
      } else {
        const foot: Point = [left + w / 2, bottom - h * 0.05];
        stroke([left + w * 0.16, bottom - h * 0.95], foot, 1, w * 0.42);
        stroke([left + w * 0.84, bottom - h * 0.95], foot, 0.86, w * 0.42);
      }
    }
  }
}
