import { useEffect, useReducer, useRef } from 'react';
import type { Colorway, Pass, Recipe } from '@ythrion/core';
import { draftKey } from './draftKey';
import { draftReducer, type DraftAction, type DraftState } from './draftHistory';

/** What was typed, by the path of its field; an empty text means the plain number stands for itself. */
export type Written = Record<string, string>;

/** Some fields of a thing, or a function that gives them from the thing as it stands. */
export type Change<T> = Partial<T> | ((now: T) => Partial<T>);

const changesOf = <T>(changes: Change<T>, now: T): Partial<T> =>
  typeof changes === 'function' ? changes(now) : changes;
const keysOf = (changes: object): string[] => (typeof changes === 'function' ? [] : Object.keys(changes));

/** A colorway being worked on: kept in this browser at every keystroke until it is saved. */
export interface Draft {
  colorway: Colorway;
  /** The same with every change that is made, though not all of them may be shown yet: what is saved. */
  asItStands: () => Colorway;
  /** True when it differs from the saved version. */
  changed: boolean;
  change: (changes: Partial<Colorway>) => void;
  /** What changes, or what it becomes from how it stands: a change must never build on a screen that is behind. */
  changeRecipe: (changes: Change<Recipe>, written?: Written) => void;
  changePass: (passId: string, changes: Change<Pass>, written?: Written) => void;
  /** Forgets the draft and takes up a saved version. */
  takeUp: (saved: Colorway) => void;
  /** Puts a saved version in the place of what stands; one step back brings that again. */
  open: (saved: Colorway) => void;
  /** How often something other than typing changed it: see `DeferChanges`. */
  turned: number;
  undo: (() => void) | null;
  redo: (() => void) | null;
}

/**
 * Opens the draft of a saved colorway, or the saved version itself.
 * @param kept the draft as it was left in this browser; null where there is none
 */
export function useDraft(saved: Colorway, isNew: boolean, kept: Colorway | null): Draft {
  const [state, show] = useReducer(draftReducer, saved, (base): DraftState => ({
    base,
    past: [],
    present: kept ?? base,
    future: [],
    tag: '',
    at: 0,
    turned: 0,
  }));
  // What is shown may be behind what was typed; this never is.
  const standing = useRef(state);
  const dispatch = (action: DraftAction): void => {
    standing.current = draftReducer(standing.current, action);
    show(action);
  };
  const { present: colorway, base, past, future } = state;
  useEffect(() => {
    if (colorway === base) localStorage.removeItem(draftKey(saved.id));
    else localStorage.setItem(draftKey(saved.id), JSON.stringify(colorway));
  }, [colorway, base, saved.id]);
  const put = (update: (now: Colorway) => Colorway, tag: string[]): void =>
    dispatch({ kind: 'put', update, tag: tag.join(' '), at: Date.now() });
  const changeRecipe = (changes: Change<Recipe>, written: Written = {}, tag: string[] = []): void =>
    put(
      (now) => ({
        ...now,
        recipe: { ...now.recipe, ...changesOf(changes, now.recipe) },
        asWritten: merged(now.asWritten, written),
      }),
      [...tag, ...keysOf(changes), ...Object.keys(written)],
    );
  return {
    colorway,
    asItStands: () => standing.current.present,
    changed: isNew || !sameButPot(colorway, base),
    change: (changes) => put((now) => ({ ...now, ...changes }), Object.keys(changes)),
    changeRecipe,
    changePass: (passId, changes, written) =>
      changeRecipe(
        ({ passes }) => ({
          passes: passes.map((pass) =>
            pass.id === passId ? { ...pass, ...changesOf(changes, pass) } : pass,
          ),
        }),
        written,
        [passId, ...keysOf(changes)],
      ),
    takeUp: (version) => dispatch({ kind: 'take up', saved: version }),
    open: (version) => dispatch({ kind: 'open', saved: version }),
    turned: state.turned,
    undo: past.length > 0 ? () => dispatch({ kind: 'undo' }) : null,
    redo: future.length > 0 ? () => dispatch({ kind: 'redo' }) : null,
  };
}

/** The pot is chosen anew for every batch: another pot alone makes no new version. */
function sameButPot(one: Colorway, other: Colorway): boolean {
  const alike = <T extends object>(a: T, b: T, except: keyof T): boolean =>
    (Object.keys(a) as (keyof T)[]).every((key) => key === except || a[key] === b[key]);
  return one === other || (alike(one, other, 'recipe') && alike(one.recipe, other.recipe, 'potId'));
}

function merged(before: Written, written: Written): Written {
  if (Object.keys(written).length === 0) return before;
  return Object.fromEntries(Object.entries({ ...before, ...written }).filter(([, text]) => text !== ''));
}
