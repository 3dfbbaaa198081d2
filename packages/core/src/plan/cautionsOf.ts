import type { CautionName } from '../materials/cautionNames';
import type { Line } from '../method/line';

/** Every caution that any of the acts carries, in the order they come up. */
export const cautionsOf = (lines: readonly Pick<Line, 'cautions'>[]): CautionName[] => [
  ...new Set(lines.flatMap((line) => line.cautions)),
];
