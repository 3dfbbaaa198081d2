import { isWait } from '../../process/isWait';
import type { CardAct } from '../card';

/** The vessel that the last of some lines lays goods into to dye them; undefined where none does. */
export const lastDyedIn = (lines: readonly CardAct[]): string | undefined =>
  lines
    .flatMap(({ act }) =>
      act.kind === 'place' && act.pass !== null && act.purpose !== 'soak' ? [act.vessel] : [],
    )
    .at(-1);

/** Lines of a set that was to be in one vessel, in another. */
export function setIn(
  rest: readonly CardAct[],
  from: string | undefined,
  vessel: string | undefined,
): CardAct[] {
  if (from === undefined || vessel === undefined || from === vessel) return [];
  return rest.flatMap((line): CardAct[] =>
    line.act.pass === null && isWait(line.act) && line.act.vessel === from
      ? [{ ...line, act: { ...line.act, vessel } }]
      : [],
  );
}

/** Whether a line belongs to the set. */
export const isSet = ({ act }: CardAct): boolean => act.pass === null && act.purpose === 'set';

/** What comes after the last of some lines; null where nothing does. */
export function afterLast(rest: readonly CardAct[], out: readonly CardAct[]): string | null {
  const last = rest.findLastIndex((line) => out.includes(line));
  return rest[last + 1]?.id ?? null;
}
