import type { YarnLook } from './yarnLook';

/** Dyes that lie evenly on goods of a base, coat by coat. */
export interface EvenRecipe {
  baseId: string;
  dyes: { dyeId: string; dosPercent: number; pass: number }[];
}

/** How a recipe stands in the address by which its color is asked for. */
export const expectedAddress = (recipe: EvenRecipe): string =>
  `recipe=${encodeURIComponent(JSON.stringify(recipe))}`;

/** Goods that dye reaches everywhere alike. */
const EVEN = ['open', 'laid flat'] as const;

/**
 * What goods are dyed with that are of one color all over and through.
 * @returns null where they are of several, where their base is not known, or nothing lies on them
 */
export function evenRecipe({ undyedBaseId, coats }: YarnLook): EvenRecipe | null {
  const dyes: EvenRecipe['dyes'] = [];
  for (const [pass, { parts, lying }] of coats.entries()) {
    const [part, other] = parts;
    if (!part || other || part.where.kind !== 'all') return null;
    if (!(EVEN as readonly string[]).includes(lying.kind)) return null;
    for (const { dyeId, dosPercent } of part.dyes) {
      if (dyeId === undefined) return null;
      dyes.push({ dyeId, dosPercent, pass });
    }
  }
  return undyedBaseId === undefined || dyes.length === 0 ? null : { baseId: undyedBaseId, dyes };
}
