import type { Tool } from '../shelf/tool';
import { toolUnit } from '../shelf/toolKinds';

/** An amount as one tool measures it. */
export interface ToolReading {
  tool: Tool;
  /** How often the tool is filled or the scale pan loaded. */
  fills: number;
  /** What can be read on it nearest to the amount, in the tool's unit. */
  reading: number;
  /** Reading error: half a graduation, in quadrature over the fills; % of the reading. */
  errorPercent: number;
}

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
    errorPercent: (100 * (tool.graduation / 2) * Math.sqrt(fills)) / reading,
  };
}

/**
 * The tool that measures an amount with the least relative error, among those that need at most four fills; when
 * none does, the one with the fewest fills. Exact on the tools' graduations.
 * @param amount mL, or g for a scale, > 0
 * @returns null when no tool on the shelf can measure it
 */
export function chooseTool(amount: number, unit: 'mL' | 'g', tools: readonly Tool[]): ToolReading | null {
  const readings = tools.flatMap((tool) => readWith(tool, amount, unit) ?? []);
  const few = readings.filter(({ fills }) => fills <= MOST_FILLS);
  const [best] =
    few.length > 0
      ? few.toSorted((a, b) => a.errorPercent - b.errorPercent || a.fills - b.fills)
      : readings.toSorted((a, b) => a.fills - b.fills || a.errorPercent - b.errorPercent);
  return best ?? null;
}
