import type { GoodsLine } from './recipe';

/** Dry mass of a line of goods, g: as weighed, or count × nominal. */
export const lineGrams = (line: GoodsLine): number => line.weighedGrams ?? line.count * line.gramsEach;
