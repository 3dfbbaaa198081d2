import { lineWith, type Line, type WayStep, type Written } from '../method/line';
import type { VesselRole } from '../process/act';
import { apply } from '../process/apply';
import type { Impossible } from '../process/impossible';
import type { State } from '../process/state';
import { vesselsNamed } from '../process/vesselsNamed';

/** A line of a plan with the states around it. */
export interface Told extends Line {
  before: State;
  after: State;
  impossible: Impossible | null;
}

/** A plan as it is being written down: each step becomes acts once its turn comes, each act is done at once. */
export interface Telling {
  state: State;
  lines: Told[];
  /** What each vessel is that an act may name. */
  roles: Map<string, VesselRole>;
  /** A vessel as it comes in. */
  vessel(state: State, id: string, role: VesselRole): Written;
  /** Ids that stand in the list so far. */
  ids: Set<string>;
}

/** Written out field by field: a plan has hundreds of lines, and they are to be quick to make. */
const withStates = (line: Line, before: State, after: State, impossible: Told['impossible']): Told => ({
  id: line.id,
  act: line.act,
  quiet: line.quiet,
  tool: line.tool,
  madeUp: line.madeUp,
  askedGrams: line.askedGrams,
  estimated: line.estimated,
  dose: line.dose,
  cautions: line.cautions,
  hands: line.hands,
  because: line.because,
  before,
  after,
  impossible,
});

/** Tells some steps, each with what is there when its turn comes. @returns the lines they became */
export function tell(telling: Telling, steps: readonly WayStep[]): Told[] {
  const from = telling.lines.length;
  for (const step of steps)
    for (const written of typeof step === 'function' ? step(telling.state) : [step]) told(telling, written);
  return telling.lines.slice(from);
}

/** An id of its own for a line whose role may stand in the list several times. */
function freeId({ ids }: Telling, role: string): string {
  let id = role;
  for (let times = 2; ids.has(id); times += 1) id = `${role}:${times}`;
  ids.add(id);
  return id;
}

/** Does one act. A vessel that it is the first to name comes in before it. */
function told(telling: Telling, written: Written): void {
  for (const id of vesselsNamed(written.act))
    if (!telling.state.vessels.has(id)) {
      const role = telling.roles.get(id);
      if (role !== undefined) told(telling, telling.vessel(telling.state, id, role));
    }
  const line = lineWith(written, { id: freeId(telling, written.id) });
  const before = telling.state;
  const { state, impossible } = apply(before, line);
  telling.state = state;
  telling.lines.push(withStates(line, before, state, impossible));
}
