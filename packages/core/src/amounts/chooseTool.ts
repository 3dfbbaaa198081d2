import type { Tool } from '../shelf/tool';
import { toolUnit } from '../shelf/toolKinds';

/** An amount as one tool measures it. */
export interface ToolReading {
  tool: Tool;
  /** How often the tool is filled or the scale pan loaded. */
  fills: number;
  /** What can be read on it nearest to the amount, in the tool's unit. */
  reading: number;
  /** Reading error: half a graduation, in quadrature over the fills; % of the amount that was asked for. */
  errorPercent: number;
}

/** Relative error over which a tool is too coarse for a pour, % (common practice, no source). */
export const MOST_ERROR_PERCENT = 3;

/** More fills than this lose count at the bench (common practice, no source). */
const MOST_FILLS = 4;

/**
 * An amount as one tool would measure it. A spoon only measures whole spoons.
 * @returns null when the tool measures the other unit, or the amount rounds to nothing on it
 */
export function readWith(tool: Tool, amount: number, unit: 'mL' | 'g'): ToolReading | null {
  if (toolUnit(tool.kind) !== unit || !(amount > 0)) return null;
  const step = tool.kind === 'spoon' ? tool.capacity : tool.graduation;
  const reading = Number((Math.round(amount / step) * step).toPrecision(12));
  if (reading <= 0 || Math.abs(reading - amount) > tool.graduation / 2 + 1e-9) return null;
  const fills = Math.ceil(reading / tool.capacity - 1e-9);
  return {
    tool,
    fills,
    reading,
    errorPercent: (100 * (tool.graduation / 2) * Math.sqrt(fills)) / amount,
  };
}

/**
 * The tool to measure an amount with. Of those that read it to 3 % in at most four fills, the one with the fewest fills,
 * then the finest: nobody fills a small syringe four times beside a cylinder that will do. When none reads it so well,
 * the finest with at most four fills; when all need more, the one with the fewest. Exact on the tools' graduations.
 * @param amount mL, or g for a scale, > 0
 * @returns null when no tool on the shelf can measure it
 */
export function chooseTool(amount: number, unit: 'mL' | 'g', tools: readonly Tool[]): ToolReading | null {
  const readings = tools.flatMap((tool) => readWith(tool, amount, unit) ?? []);
  const few = readings.filter(({ fills }) => fills <= MOST_FILLS);
  const fine = few.filter(({ errorPercent }) => errorPercent <= MOST_ERROR_PERCENT);
  const [best] =
    fine.length === 0 && few.length > 0
      ? few.toSorted((a, b) => a.errorPercent - b.errorPercent || a.fills - b.fills)
      : (fine.length > 0 ? fine : readings).toSorted(
          (a, b) => a.fills - b.fills || a.errorPercent - b.errorPercent,
        );
  return best ?? null;
}
