import type { CautionName } from '../materials/cautionNames';
import type { Line } from '../method/line';

/** Every caution that any of the acts carries, in the order they come up. */
export function cautionsOf(lines: readonly Pick<Line, 'cautions'>[]): CautionName[] {
  const names: CautionName[] = [];
  for (const { cautions } of lines) for (const name of cautions) if (!names.includes(name)) names.push(name);
  return names;
}
