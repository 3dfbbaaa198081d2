import { dyeableShare } from '../../amounts/dyeableShare';
import { FieldError } from '../../figure/fieldError';
import type { Thing } from '../../process/act';
import { lineGrams } from '../../recipe/lineGrams';
import { named, type Shelf } from '../../recipe/materials';
import { newGoodsLine } from '../../recipe/newGoodsLine';
import type { GoodsLine, Recipe } from '../../recipe/recipe';
import type { Batch } from '../batch';
import type { FoldedRecord } from '../foldRecord';
import type { Again, GoodsAgain } from './again';
import type { LineOfGoods } from './reach';

/** A line of goods of a record, as it was brought. */
export type GoodsThen = Extract<Thing, { kind: 'goods' }> & { line: string };

/** Every line of goods that a record brings, those that came in later among them. */
export const goodsThen = ({ toTheEnd }: Pick<FoldedRecord, 'toTheEnd'>): GoodsThen[] =>
  toTheEnd.flatMap(({ id, act }) =>
    act.kind === 'bring' && act.thing.kind === 'goods' ? [{ ...act.thing, line: act.line ?? id }] : [],
  );

/** How a record is dyed again when nothing changes. */
export function asItWas({ formulation }: Pick<Batch, 'formulation'>, folded: FoldedRecord): Again {
  return {
    goods: goodsThen(folded).map(({ line, baseId, count, grams }): GoodsAgain => {
      const gramsEach = formulation.recipe.goods.find(({ id }) => id === line)?.gramsEach ?? grams / count;
      return {
        line,
        baseId,
        count,
        gramsEach,
        weighedGrams: gramsEach * count === grams ? null : grams,
      };
    }),
    stockFor: {},
    depthOn: 'dyeable',
    dyePercent: 100,
    potId: formulation.pot?.id ?? null,
  };
}

/** The lines of goods that are dyed now, in the order of the record. @throws FieldError for an unknown base, or none to dye */
export function goodsLines(
  then: readonly GoodsThen[],
  { goods }: Again,
  recipe: Recipe,
  { bases }: Pick<Shelf, 'bases'>,
): GoodsLine[] {
  const lines = then.flatMap((thing): GoodsLine[] => {
    const now = goods.find(({ line }) => line === thing.line);
    if (!now) return [];
    const { line: id, ...measures } = now;
    const planned = recipe.goods.find((line) => line.id === id);
    const base = named(bases, now.baseId, 'goods', 'yarn base');
    const form = planned?.form ?? base.form;
    return [
      {
        ...newGoodsLine(id, base),
        ...planned,
        ...measures,
        form: base.id === thing.baseId && form !== base.form ? form : null,
        catchUp: thing.catchUp,
      },
    ];
  });
  if (!lines.some(({ catchUp }) => !catchUp))
    throw new FieldError('goods', 'Something besides the catch-up skein must be dyed.');
  return lines;
}

/** What each line weighed, and weighs now. @throws FieldError for an unknown base */
export const thenAndNow = (
  then: readonly GoodsThen[],
  lines: readonly GoodsLine[],
  { bases }: Pick<Shelf, 'bases'>,
): Map<string, LineOfGoods> =>
  new Map(
    then.map((thing): [string, LineOfGoods] => {
      const now = lines.find(({ id }) => id === thing.line);
      const grams = now ? lineGrams(now) : 0;
      const share = now ? dyeableShare(named(bases, now.baseId, 'goods', 'yarn base').fibers) : 0;
      return [
        thing.line,
        {
          then: { grams: thing.grams, dyeable: thing.grams * thing.dyeableShare },
          now: { grams, dyeable: grams * share },
        },
      ];
    }),
  );
