import type { Act } from '../../process/act';
import type { CardAct } from '../card';

/** Acts that are done to a vessel, whatever lies in it. */
const atVessel = (act: Act): act is Extract<Act, { kind: 'heat' | 'hold' | 'stand' | 'cool' }> =>
  act.kind === 'heat' || act.kind === 'hold' || act.kind === 'stand' || act.kind === 'cool';

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
    line.act.pass === null && atVessel(line.act) && line.act.vessel === from
      ? [{ ...line, act: { ...line.act, vessel } }]
      : [],
  );
}
