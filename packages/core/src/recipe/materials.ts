import { FieldError } from '../figure/fieldError';
import type { Base } from '../shelf/base';
import type { Dye } from '../shelf/dye';
import type { Pot } from '../shelf/pot';
import type { Stock } from '../shelf/stock';
import type { Studio } from '../shelf/studio';
import type { Tool } from '../shelf/tool';
import { DEFAULT_PLACE, DEFAULT_WATER } from '../shelf/water';
import { powdersWithin } from '../amounts/premix';
import type { Colorway, Formulation, Pass, Recipe } from './recipe';

/** Everything a recipe may refer to. */
export interface Shelf {
  bases: readonly Base[];
  dyes: readonly Dye[];
  stocks: readonly Stock[];
  pots?: readonly Pot[] | undefined;
  tools?: readonly Tool[] | undefined;
  /** The studio whose water is dyed in; middling water when left out. */
  studio?: Studio | undefined;
}

/** Finds a thing by id, or says which field names something unknown. @throws FieldError */
export function named<T extends { id: string }>(
  things: readonly T[],
  id: string,
  field: string,
  what: string,
): T {
  const found = things.find((thing) => thing.id === id);
  if (!found)
    throw new FieldError(field, `There is no ${what} with the id “${id}”. Name one that is on the shelf.`);
  return found;
}

/**
 * Puts a recipe together with just the materials it names, so that it can be kept and planned by itself.
 * @throws FieldError when an id is unknown, or a jar holds another dye than the line that pours from it
 */
export function formulate(
  name: string,
  recipe: Recipe,
  shelf: Shelf,
  pot: Pot | null = shelf.pots?.find((candidate) => candidate.id === recipe.potId) ?? null,
): Formulation {
  const bases = new Map<string, Base>();
  const dyes = new Map<string, Dye>();
  const stocks = new Map<string, Stock>();
  recipe.goods.forEach((line, i) => {
    bases.set(line.baseId, named(shelf.bases, line.baseId, `recipe.goods.${i}.baseId`, 'yarn base'));
  });
  recipe.passes.forEach((pass, p) => {
    pass.dyes.forEach((line, d) => {
      const field = `recipe.passes.${p}.dyes.${d}`;
      named(shelf.dyes, line.dyeId, `${field}.dyeId`, 'dye');
      for (const id of powdersWithin(line.dyeId, shelf.dyes))
        dyes.set(id, named(shelf.dyes, id, `${field}.dyeId`, 'dye'));
      if (line.stockId === null) return;
      const stock = named(shelf.stocks, line.stockId, `${field}.stockId`, 'stock jar');
      if (stock.dyeId !== line.dyeId)
        throw new FieldError(
          `${field}.stockId`,
          'This jar holds another dye than the line that pours from it.',
        );
      stocks.set(stock.id, stock);
    });
  });
  const citric = shelf.studio?.citricGramsPerTeaspoon;
  return {
    name,
    recipe,
    bases: [...bases.values()],
    dyes: [...dyes.values()],
    stocks: [...stocks.values()],
    pot,
    passPots: potsOfPasses(recipe, pot, shelf.pots ?? []),
    tools: (shelf.tools ?? []).filter((tool) => !tool.retired),
    spoons: shelf.studio?.spoons ?? 'US',
    water: shelf.studio?.water ?? DEFAULT_WATER,
    place: shelf.studio?.place ?? DEFAULT_PLACE,
    ...(typeof citric === 'number' && { citricGramsPerTeaspoon: citric }),
  };
}

/** Vessels that passes have for themselves, each once; one that has left the shelf is none, as for a whole recipe. */
const potsOfPasses = ({ passes }: Recipe, main: Pot | null, pots: readonly Pot[]): Pot[] =>
  pots.filter(({ id }) => id !== main?.id && passes.some(({ potId }) => potId === id));

/** The vessel that one pass has for itself; null where it is dyed in that of the batch. */
export const ownPot = (
  { potId }: Pick<Pass, 'potId'>,
  { passPots }: Pick<Formulation, 'passPots'>,
): Pot | null => passPots.find(({ id }) => id === potId) ?? null;

/** The vessel that a pass is dyed in; null where none was chosen. */
export const potOfPass = (
  pass: Pick<Pass, 'potId'>,
  formulation: Pick<Formulation, 'pot' | 'passPots'>,
): Pot | null => ownPot(pass, formulation) ?? formulation.pot;

/** Every vessel that goods are dyed in. */
export const potsOf = ({ pot, passPots }: Pick<Formulation, 'pot' | 'passPots'>): Pot[] => [
  ...(pot ? [pot] : []),
  ...passPots,
];

/** A colorway as a formulation: with its materials, and with what was typed for its amounts. @throws FieldError as `formulate` */
export const formulateColorway = (
  { name, recipe, asWritten }: Pick<Colorway, 'name' | 'recipe' | 'asWritten'>,
  shelf: Shelf,
  pot?: Pot | null,
): Formulation => ({ ...formulate(name, recipe, shelf, pot), asWritten });
