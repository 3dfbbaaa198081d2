import { useState } from 'react';
import type { Colorway, Recipe } from '@ythrion/core';

/** A colorway being worked on: kept in this browser at every keystroke until it is saved. */
export interface Draft {
  colorway: Colorway;
  /** True when it differs from the saved version. */
  changed: boolean;
  change: (changes: Partial<Colorway>) => void;
  changeRecipe: (changes: Partial<Recipe>, written?: Record<string, string>) => void;
  /** Forgets the draft and takes up a saved version. */
  takeUp: (saved: Colorway) => void;
}

const keyOf = (id: string): string => `ythrion.draft.${id}`;

/** Opens the draft of a saved colorway, as it was left in this browser, or the saved version itself. */
export function useDraft(saved: Colorway, isNew: boolean): Draft {
  const [base, setBase] = useState(saved);
  const [colorway, setColorway] = useState<Colorway>(() => keptDraft(saved) ?? saved);
  const put = (next: Colorway): void => {
    setColorway(next);
    localStorage.setItem(keyOf(saved.id), JSON.stringify(next));
  };
  return {
    colorway,
    changed: isNew || colorway !== base,
    change: (changes) => put({ ...colorway, ...changes }),
    changeRecipe: (changes, written = {}) =>
      put({
        ...colorway,
        recipe: { ...colorway.recipe, ...changes },
        asWritten: merged(colorway.asWritten, written),
      }),
    takeUp: (version) => {
      localStorage.removeItem(keyOf(saved.id));
      setBase(version);
      setColorway(version);
    },
  };
}

function keptDraft(saved: Colorway): Colorway | undefined {
  const kept = localStorage.getItem(keyOf(saved.id));
  if (kept === null) return undefined;
  try {
    const draft = JSON.parse(kept) as Colorway;
    return draft.version === saved.version ? draft : undefined;
  } catch {
    return undefined;
  }
}

/** What was typed replaces what was typed before; an empty text means the plain number stands for itself. */
function merged(before: Record<string, string>, written: Record<string, string>): Record<string, string> {
  return Object.fromEntries(Object.entries({ ...before, ...written }).filter(([, text]) => text !== ''));
}
