import { useReducer } from 'react';
import { colorwaySchema, upgradeRecipe, type Colorway, type Pass, type Recipe } from '@ythrion/core';
import { draftReducer, type DraftState } from './draftHistory';

/** What was typed, by the path of its field; an empty text means the plain number stands for itself. */
export type Written = Record<string, string>;

/** A colorway being worked on: kept in this browser at every keystroke until it is saved. */
export interface Draft {
  colorway: Colorway;
  /** True when it differs from the saved version. */
  changed: boolean;
  change: (changes: Partial<Colorway>) => void;
  changeRecipe: (changes: Partial<Recipe>, written?: Written) => void;
  changePass: (passId: string, changes: Partial<Pass>, written?: Written) => void;
  /** Forgets the draft and takes up a saved version. */
  takeUp: (saved: Colorway) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
}

const keyOf = (id: string): string => `ythrion.draft.${id}`;

/** Opens the draft of a saved colorway, as it was left in this browser, or the saved version itself. */
export function useDraft(saved: Colorway, isNew: boolean): Draft {
  const [state, dispatch] = useReducer(draftReducer, saved, (kept): DraftState => ({
    base: kept,
    past: [],
    present: keptDraft(kept) ?? kept,
    future: [],
    tag: '',
    at: 0,
  }));
  const { present: colorway, base, past, future } = state;
  const keep = (next: Colorway): void => localStorage.setItem(keyOf(saved.id), JSON.stringify(next));
  const put = (next: Colorway, tag: string): void => {
    keep(next);
    dispatch({ kind: 'put', next, tag, at: Date.now() });
  };
  const changeRecipe = (changes: Partial<Recipe>, written: Written = {}): void =>
    put(
      {
        ...colorway,
        recipe: { ...colorway.recipe, ...changes },
        asWritten: merged(colorway.asWritten, written),
      },
      [...Object.keys(changes), ...Object.keys(written)].join(' '),
    );
  const step = (kind: 'undo' | 'redo', to: Colorway | undefined): (() => void) | null =>
    to === undefined
      ? null
      : () => {
          keep(to);
          dispatch({ kind });
        };
  return {
    colorway,
    changed: isNew || !sameButPot(colorway, base),
    change: (changes) => put({ ...colorway, ...changes }, Object.keys(changes).join(' ')),
    changeRecipe,
    changePass: (passId, changes, written) =>
      changeRecipe(
        {
          passes: colorway.recipe.passes.map((pass) => (pass.id === passId ? { ...pass, ...changes } : pass)),
        },
        written,
      ),
    takeUp: (version) => {
      localStorage.removeItem(keyOf(saved.id));
      dispatch({ kind: 'take up', saved: version });
    },
    undo: step('undo', past.at(-1)),
    redo: step('redo', future[0]),
  };
}

/** The pot is chosen anew for every batch: another pot alone makes no new version. */
function sameButPot(one: Colorway, other: Colorway): boolean {
  const alike = <T extends object>(a: T, b: T, except: keyof T): boolean =>
    (Object.keys(a) as (keyof T)[]).every((key) => key === except || a[key] === b[key]);
  return one === other || (alike(one, other, 'recipe') && alike(one.recipe, other.recipe, 'potId'));
}

function keptDraft(saved: Colorway): Colorway | undefined {
  const kept = localStorage.getItem(keyOf(saved.id));
  if (kept === null) return undefined;
  try {
    const draft = JSON.parse(kept) as Colorway;
    const recipe = colorwaySchema.shape.recipe.safeParse(upgradeRecipe(draft.recipe));
    return draft.version === saved.version && recipe.success ? { ...draft, recipe: recipe.data } : undefined;
  } catch {
    return undefined;
  }
}

function merged(before: Written, written: Written): Written {
  if (Object.keys(written).length === 0) return before;
  return Object.fromEntries(Object.entries({ ...before, ...written }).filter(([, text]) => text !== ''));
}
