import { apply } from './apply';
import type { Impossible } from './impossible';
import type { ListedAct, State } from './state';

/** A step of a plan: an act, or acts that hang on what is there when their turn comes. */
export type PlanStep = ListedAct | ((state: State) => readonly ListedAct[]);

/** One act with the states around it. */
export interface Trace extends ListedAct {
  before: State;
  after: State;
  impossible: Impossible | null;
}

/** A list of acts, done. */
export interface Folded {
  state: State;
  trace: readonly Trace[];
}

/** Does every act in its turn. What cannot be changes nothing and is named in the trace. */
export function fold(start: State, acts: readonly ListedAct[]): Folded {
  let state = start;
  const trace = acts.map((listed): Trace => {
    const before = state;
    const applied = apply(before, listed);
    state = applied.state;
    return { id: listed.id, act: listed.act, before, after: state, impossible: applied.impossible };
  });
  return { state, trace };
}

/** Writes a plan down as plain acts. Folding those comes to the same state. */
export function unfold(start: State, steps: readonly PlanStep[]): ListedAct[] {
  let state = start;
  return steps.flatMap((step) => {
    const acts = typeof step === 'function' ? step(state) : [step];
    for (const listed of acts) state = apply(state, listed).state;
    return acts;
  });
}
