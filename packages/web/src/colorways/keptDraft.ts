import { colorwaySchema, upgradeRecipe, type Colorway } from '@ythrion/core';
import { draftKey } from './draftKey';

/** The draft of a saved colorway as it was left in this browser; null where there is none that can be read. */
export function keptDraft(saved: Colorway): Colorway | null {
  const kept = localStorage.getItem(draftKey(saved.id));
  if (kept === null) return null;
  try {
    const draft = JSON.parse(kept) as Colorway;
    const recipe = colorwaySchema.shape.recipe.safeParse(upgradeRecipe(draft.recipe));
    // One that stands on an older version is kept too: the head of the screen offers both.
    return draft.version <= saved.version && recipe.success ? { ...draft, recipe: recipe.data } : null;
  } catch {
    return null;
  }
}
