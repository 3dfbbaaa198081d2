import { figure, measuredOut } from '../figure/figure';
import { lineGrams } from '../recipe/lineGrams';
import { goodsText } from '../recipe/measureOf';
import type { Formulation } from '../recipe/recipe';
import type { Base } from '../shelf/base';
import { averageHex, plainLook, type YarnLook } from '../skein/yarnLook';
import { lookAfter, type LineDepth } from './looks';
import { lookOnce } from './keptPasses';
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
  // Goods of one color look alike after every pass.
  const dyed = new Map<string, YarnLook[]>();
  const looksOf = (ground: string): YarnLook[] => {
    const known = dyed.get(ground);
    if (known) return known;
    const looks: YarnLook[] = [plainLook(ground)];
    recipe.passes.forEach((pass, p) => {
      const planned = passes[p];
      const before = looks.at(-1) ?? plainLook(ground);
      looks.push(
        planned ? lookOnce(planned, before, () => lookAfter(before, pass, depthsIn(planned), dyes)) : before,
      );
    });
    dyed.set(ground, looks);
    return looks;
  };
  return recipe.goods.map((line, i) => {
    const base = bases[i];
    const ground = line.dyedOverHex ?? base?.hex ?? ECRU;
    const looks = line.catchUp ? [plainLook(ground)] : looksOf(ground);
    return {
      lineId: line.id,
      baseName: base?.name ?? '',
      form: line.form ?? base?.form ?? 'skein',
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
      dyedHex: averageHex(looks.at(-1) ?? plainLook(ground)),
      looks,
    };
  });
}

const depthsIn = (planned: PlannedPass): LineDepth[] =>
  planned.pours.map(({ dyeId, sectionId, dos }) => ({ dyeId, sectionId, dosPercent: dos.value }));
