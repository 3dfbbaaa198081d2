import { quickFormulation, type QuickPour } from '../recipe/quickPour';
import type { Colorway } from '../recipe/recipe';
import type { StudioDocument } from './document';

/** Everything a kept quick pour adds to the studio, as one document: a base, its dyes and jars, and the colorway. */
export function keepQuickPour(
  quick: QuickPour,
  name: string,
  newId: (what: string) => string,
): { document: StudioDocument; colorway: Colorway } {
  const formulation = quickFormulation(quick, newId);
  const colorway: Colorway = {
    id: newId('colorway'),
    code: '',
    name,
    note: '',
    version: 1,
    recipe: formulation.recipe,
    asWritten: quick.written,
    retired: false,
  };
  return {
    colorway,
    document: {
      format: 'ythrion',
      version: 3,
      bases: formulation.bases,
      dyes: formulation.dyes,
      stocks: formulation.stocks,
      pots: [],
      tools: [],
      patterns: [],
      soughts: [],
      samples: [],
      cups: [],
      colorways: [colorway],
      batches: [],
    },
  };
}
