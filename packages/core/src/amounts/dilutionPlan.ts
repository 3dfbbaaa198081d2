import type { Tool } from '../shelf/tool';
import { chooseTool, MOST_ERROR_PERCENT, type ToolReading } from './chooseTool';

/** Working dilutions a dyer makes, one part in so many. */
const RATIOS = [5, 10, 20] as const;

/** Volumes a working dilution is made up to, mL. */
const MAKE_UP_ML = [25, 50, 100, 200, 250, 500, 1000] as const;

/** How to pour what is too small to pour: dilute, then pour more of the weaker one. */
export interface DilutionPlan {
  /** One part of stock in this many parts. */
  ratio: (typeof RATIOS)[number];
  take: ToolReading;
  makeUp: ToolReading;
  pour: ToolReading;
  /** Strength of the dilution as it is really made, % w/v. */
  strengthPercent: number;
  /** Errors of taking, making up and pouring, in quadrature, and what rounding the pour makes of the dye, %. */
  errorPercent: number;
}

/**
 * A working dilution that brings the error of a small pour under 3 %, the mildest first. It holds enough for every dose.
 * @param volumeMl stock to pour in one dose, mL, > 0
 * @param doses how many equal doses are poured from it
 * @param strengthPercent of the stock, % w/v
 * @returns null when no dilution with these tools does
 */
export function dilutionPlan(
  volumeMl: number,
  strengthPercent: number,
  tools: readonly Tool[],
  doses = 1,
): DilutionPlan | null {
  for (const ratio of RATIOS) {
    const needed = volumeMl * ratio * doses;
    for (const total of MAKE_UP_ML) {
      if (total < needed) continue;
      const take = chooseTool(total / ratio, 'mL', tools);
      const makeUp = chooseTool(total, 'mL', vesselsFor(total, tools));
      if (!take || !makeUp) continue;
      const diluted = (strengthPercent * take.reading) / makeUp.reading;
      const pour = chooseTool((volumeMl * strengthPercent) / diluted, 'mL', tools);
      if (!pour || pour.reading * doses > makeUp.reading) continue;
      const rounding = 100 * Math.abs((pour.reading * diluted) / (volumeMl * strengthPercent) - 1);
      const errorPercent = rounding + Math.hypot(take.errorPercent, makeUp.errorPercent, pour.errorPercent);
      if (errorPercent < MOST_ERROR_PERCENT)
        return { ratio, take, makeUp, pour, strengthPercent: diluted, errorPercent };
    }
  }
  return null;
}

/** What a dilution can be made up in: it must hold all of it at once, and a vessel goes before a syringe. */
function vesselsFor(totalMl: number, tools: readonly Tool[]): Tool[] {
  const holding = tools.filter((tool) => tool.capacity >= totalMl);
  const vessels = holding.filter((tool) => tool.kind === 'cylinder' || tool.kind === 'jug');
  return vessels.length > 0 ? vessels : holding;
}
