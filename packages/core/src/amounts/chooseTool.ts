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

/** An amount as one tool would measure it, the reading not yet free of binary dust. A spoon only measures whole spoons. */
function readingOn(tool: Tool, amount: number, unit: 'mL' | 'g'): ToolReading | null {
  if (toolUnit(tool.kind) !== unit || !(amount > 0)) return null;
  const step = tool.kind === 'spoon' ? tool.capacity : tool.graduation;
  const reading = Math.round(amount / step) * step;
  if (reading <= 0 || Math.abs(reading - amount) > tool.graduation / 2 + 1e-9) return null;
  const fills = Math.ceil(reading / tool.capacity - 1e-9);
  return { tool, fills, reading, errorPercent: (100 * (tool.graduation / 2) * Math.sqrt(fills)) / amount };
}

/** How a tool does: finely in a few fills, coarsely in a few, or filled again and again. The least is best. */
const suits = ({ fills, errorPercent }: ToolReading): 0 | 1 | 2 =>
  fills > MOST_FILLS ? 2 : errorPercent > MOST_ERROR_PERCENT ? 1 : 0;

function isBetter(one: ToolReading, other: ToolReading): boolean {
  const does = suits(one);
  if (does !== suits(other)) return does < suits(other);
  const fills = one.fills - other.fills;
  const error = one.errorPercent - other.errorPercent;
  return (does === 1 ? error || fills : fills || error) < 0;
}

/**
 * The tool to measure an amount with. Of those that read it to 3 % in at most four fills, the one with the fewest fills,
 * then the finest: nobody fills a small syringe four times beside a cylinder that will do. When none reads it so well,
 * the finest with at most four fills; when all need more, the one with the fewest. Exact on the tools' graduations.
 * @param amount mL, or g for a scale, > 0
 * @returns null when no tool on the shelf can measure it
 */
export function chooseTool(amount: number, unit: 'mL' | 'g', tools: readonly Tool[]): ToolReading | null {
  let best: ToolReading | null = null;
  for (const tool of tools) {
    const reading = readingOn(tool, amount, unit);
    if (reading && (!best || isBetter(reading, best))) best = reading;
  }
  if (best) best.reading = Number(best.reading.toPrecision(12));
  return best;
}
