import { figure, measuredOut } from '../figure/figure';
import { lineGrams } from '../recipe/lineGrams';
import { goodsText } from '../recipe/measureOf';
import type { Formulation } from '../recipe/recipe';
import type { Base } from '../shelf/base';
import { plainLook, type YarnLook } from '../skein/yarnLook';
import { lookAfter, type LineDepth } from './looks';
import { goodsLineWords } from './plan';
import type { PlannedGoods, PlannedPass } from './planTypes';

/** Undyed goods of a base without a color of its own. */
const ECRU = '#efe9dc';

/** The goods of a plan, line by line, and how each looks after every pass. */
export function plannedGoods(
  { recipe, dyes, asWritten = {} }: Formulation,
  bases: readonly Base[],
  passes: readonly PlannedPass[],
): PlannedGoods[] {
  const looksAfter = (undyed: YarnLook): YarnLook[] => {
    const looks = [undyed];
    recipe.passes.forEach((pass, p) => {
      const planned = passes[p];
      const before = looks.at(-1) ?? undyed;
      looks.push(planned ? lookAfter(before, pass, depthsIn(planned), dyes) : before);
    });
    return looks;
  };
  return recipe.goods.map((line, i) => {
    const base = bases[i];
    const ground = line.dyedOverHex ?? base?.hex ?? ECRU;
    const form = line.form ?? base?.form ?? 'skein';
    const undyed = plainLook(ground, form, line.dyedOverHex === null ? base?.id : undefined);
    const looks = line.catchUp ? [undyed] : looksAfter(undyed);
    return {
      lineId: line.id,
      baseName: base?.name ?? '',
      form,
      count: line.count,
      grams: measuredOut(
        figure(lineGrams(line), 'g', () => goodsLineWords(line)),
        {
          as: 'goods',
          said: goodsText(line, asWritten),
        },
      ),
      catchUp: line.catchUp,
      undyedHex: ground,
      looks,
    };
  });
}

/** What each line of a pass comes to on the goods it is for. */
export const depthsIn = (planned: PlannedPass): LineDepth[] =>
  planned.pours.map(({ dyeId, sectionId, dos }) => ({ dyeId, sectionId, dosPercent: dos.value }));
