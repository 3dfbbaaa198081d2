import type { Colorway } from '@ythrion/core';

/** A draft with every state it went through. */
export interface DraftState {
  /** The saved version it started from. */
  base: Colorway;
  past: readonly Colorway[];
  present: Colorway;
  future: readonly Colorway[];
  /** What the last change was about, and when it was made: typing on in one field is one step back. */
  tag: string;
  at: number;
  /** How often another state was put in the place of what was typed: fields then show what stands, whatever is on its way. */
  turned: number;
}

export type DraftAction =
  /** A change, as a function of what stands: several may be on their way at once. */
  | { kind: 'put'; update: (now: Colorway) => Colorway; tag: string; at: number }
  | { kind: 'take up'; saved: Colorway }
  /** Another version instead of what stands, which can be brought back. */
  | { kind: 'open'; saved: Colorway }
  | { kind: 'undo' }
  | { kind: 'redo' };

/** Changes to the same thing this close together are undone together, ms. */
const ONE_STEP_MS = 1200;
const MOST_STEPS = 200;

/** Every change can be taken back, and brought again. */
export function draftReducer(state: DraftState, action: DraftAction): DraftState {
  const { past, present, future } = state;
  const turned = { tag: '', at: 0, turned: state.turned + 1 };
  switch (action.kind) {
    case 'put': {
      // What names no field is done, not typed: two of a kind are two steps, however quick.
      const sameField = action.tag !== '' && action.tag === state.tag;
      const typingOn = sameField && action.at - state.at < ONE_STEP_MS && past.length > 0;
      return {
        ...state,
        past: typingOn ? past : [...past, present].slice(-MOST_STEPS),
        present: action.update(present),
        future: [],
        tag: action.tag,
        at: action.at,
      };
    }
    case 'take up':
      return { base: action.saved, past: [], present: action.saved, future: [], ...turned };
    case 'open':
      return {
        ...{ base: action.saved, past: [...past, present].slice(-MOST_STEPS), present: action.saved },
        ...{ future: [], ...turned },
      };
    case 'undo': {
      const to = past.at(-1);
      if (!to) return state;
      return { ...state, past: past.slice(0, -1), present: to, future: [present, ...future], ...turned };
    }
    case 'redo': {
      const [to, ...rest] = future;
      if (!to) return state;
      return { ...state, past: [...past, present], present: to, future: rest, ...turned };
    }
  }
}
