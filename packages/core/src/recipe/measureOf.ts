import type { Measure } from '../figure/figure';
import { acidSpoon, dyeSpoon } from '../materials/spoonWeight';
import type { Act, ActOf } from '../process/act';
import { amountOf, type MeasuredOut } from '../process/amountOf';
import type { Dye } from '../shelf/dye';
import { dyePath } from './dyeEntry';
import type { Formulation, GoodsLine, Pass } from './recipe';

/** What is known of the powders that are measured out. */
export interface Weighed {
  dyes: readonly Pick<Dye, 'id' | 'gramsPerTeaspoon'>[];
  citricGramsPerTeaspoon?: number | null | undefined;
}

/** How a material is measured out. @param said what was typed for it; null where nobody said it in words */
export function measureOf(
  material: MeasuredOut['material'],
  said: string | null,
  { dyes, citricGramsPerTeaspoon = null }: Weighed,
): Measure | null {
  switch (material.kind) {
    case 'water':
      return { as: 'water', said };
    case 'acid':
      return {
        as: 'pour',
        said,
        gramsPerTeaspoon: acidSpoon(material.acid, { citricGramsPerTeaspoon })?.grams,
      };
    case 'dye': {
      if (material.strengthPercent !== null) return { as: 'pour', said };
      const spoon = dyeSpoon(dyes.find(({ id }) => id === material.dyeId) ?? { gramsPerTeaspoon: null });
      // Nobody measures a dye by a spoon that was never weighed, unless it was said so.
      return { as: 'pour', said, gramsPerTeaspoon: spoon.weighed || said ? spoon.grams : undefined };
    }
    default:
      return null;
  }
}

/** How an act is measured out; null for one that measures nothing. */
export function measureOfAct(act: Act, said: string | null, weighed: Weighed): Measure | null {
  const measured = amountOf(act);
  return measured && measureOf(measured.material, said, weighed);
}

/** How the amount behind an act was said when it was planned; null where nobody said it in words. */
export function plannedText(
  act: Act,
  { recipe, asWritten = {} }: Pick<Formulation, 'recipe' | 'asWritten'>,
): string | null {
  const pass = recipe.passes.find(({ id }) => id === act.pass);
  switch (act.kind) {
    case 'heat':
    case 'hold':
      return asWritten[pass ? `passes.${pass.id}.heat.temperatureC` : 'set.temperatureC'] ?? null;
    case 'run':
      if (!pass) return null;
      return (
        asWritten[act.purpose === 'top up' ? `passes.${pass.id}.topUpMl` : `passes.${pass.id}.water`] ?? null
      );
    case 'move':
      return pass && act.holds === null ? (asWritten[`passes.${pass.id}.takesOverMl`] ?? null) : null;
    case 'put':
      if (act.material.kind === 'acid') return asWritten[acidPathOf(act)] ?? null;
      // What nobody planned stands in a recipe by its dye.
      return act.material.kind === 'dye' && pass
        ? dyeText(act.line ?? act.material.dyeId, pass, asWritten, act.material.strengthPercent !== null)
        : null;
    default:
      return null;
  }
}

type AsWritten = Readonly<Record<string, string>>;

/** The path under which what was typed for a dose of acid is kept with a colorway. */
export const acidPath = (passId: string, doseId: string): string => `passes.${passId}.acid.${doseId}`;

/** The same for an act that puts it in; one that nobody planned stands by its acid. */
export const acidPathOf = ({ pass, line, material }: ActOf<'put'>): string =>
  acidPath(pass ?? '', line ?? (material.kind === 'acid' ? material.acid : ''));

/**
 * How a dye was said; a school of spoons is said by the spoon even where nobody typed the word.
 * @param poured whether it comes out of a jar: spoons of powder say nothing of the stock that is poured for them
 */
export function dyeText(
  lineId: string | null,
  { dyes }: Pick<Pass, 'dyes'>,
  asWritten: AsWritten,
  poured: boolean,
): string | null {
  const line = dyes.find(({ id }) => id === lineId);
  if (!line) return null;
  const { entry } = line;
  if (entry.school === 'powder spoons' && poured) return null;
  const typed = asWritten[dyePath(line.id, entry.school)];
  if (entry.school !== 'stock spoons' && entry.school !== 'powder spoons') return typed ?? null;
  return typed !== undefined && /[a-z]/i.test(typed) ? typed : `${entry.teaspoons} tsp`;
}

/** How the mass of a line of goods was said: of one of them, or of all. */
export const goodsText = ({ id, weighedGrams }: GoodsLine, asWritten: AsWritten): string | null =>
  asWritten[`goods.${id}.${weighedGrams === null ? 'gramsEach' : 'weighedGrams'}`] ?? null;
