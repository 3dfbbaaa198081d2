import { methodFacts, passShare } from '../method';
import { readEntry } from './dyeEntry';
import { entryContext } from './entryContext';
import { jarFor } from './newColorway';
import { lineGrams } from './lineGrams';
import type { Shelf } from './materials';
import type { Colorway, DyeLine, Pass } from './recipe';

/** Whether a colorway has a dye in it. */
export const usesDye = ({ recipe }: Pick<Colorway, 'recipe'>, dyeId: string): boolean =>
  recipe.passes.some(({ dyes }) => dyes.some((line) => line.dyeId === dyeId));

/**
 * A colorway with one dye in the place of another. What was said as a depth, parts or ink stays said so; what was measured as
 * stock, spoons or grams becomes the depth that it was, since the other dye comes from another jar.
 * @param percent depth of the new dye as a share of the old one's, %; 100 keeps it
 * @throws FieldError where the recipe names what is not on the shelf
 */
export function replaceDye<T extends Pick<Colorway, 'recipe' | 'asWritten'>>(
  colorway: T,
  from: string,
  to: string,
  percent: number,
  shelf: Shelf,
): T {
  const { recipe } = colorway;
  const wog = recipe.goods.reduce((sum, line) => (line.catchUp ? sum : sum + lineGrams(line)), 0);
  const changed = new Set<string>();
  const lineWith = (pass: Pass, line: DyeLine): DyeLine => {
    if (line.dyeId !== from) return line;
    changed.add(line.id);
    return {
      ...line,
      dyeId: to,
      entry: entryWith(pass, line, wog, percent / 100, shelf),
      stockId: methodFacts(pass.method.kind).dry || line.stockId === null ? null : jarFor(shelf, to),
    };
  };
  const passes = recipe.passes.map((pass) => ({
    ...pass,
    dyes: pass.dyes.map((line) => lineWith(pass, line)),
  }));
  return {
    ...colorway,
    recipe: { ...recipe, passes },
    asWritten: Object.fromEntries(
      Object.entries(colorway.asWritten).filter(([path]) => {
        const [what, id = ''] = path.split('.');
        return what !== 'dyes' || !changed.has(id);
      }),
    ),
  };
}

function entryWith(
  pass: Pass,
  line: DyeLine,
  wogGrams: number,
  share: number,
  shelf: Shelf,
): DyeLine['entry'] {
  const { entry } = line;
  if (entry.school === 'depth') return { ...entry, percent: rounded(entry.percent * share) };
  if (entry.school === 'parts') return { ...entry, parts: rounded(entry.parts * share) };
  if (entry.school === 'print') return { ...entry, inkPercent: rounded(entry.inkPercent * share) };
  const context = entryContext(pass, line, wogGrams, passShare(pass.method), {
    dyes: [...shelf.dyes],
    stocks: [...shelf.stocks],
    spoons: shelf.studio?.spoons ?? 'US',
  });
  return { school: 'depth', percent: rounded(readEntry(entry, context).dosPercent * share) };
}

const rounded = (value: number): number => Number(value.toPrecision(4));
