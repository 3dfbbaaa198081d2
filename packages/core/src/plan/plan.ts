import { singleDyes } from '../amounts/premix';
import { dyeableShare } from '../amounts/dyeableShare';
import { figure, measuredOut, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { methodFacts } from '../method';
import { lineGrams } from '../recipe/lineGrams';
import { goodsText } from '../recipe/measureOf';
import { named } from '../recipe/materials';
import type { Formulation, GoodsLine } from '../recipe/recipe';
import type { Base } from '../shelf/base';
import { formatAmount } from '../units/formatQuantity';
import { cautionsOf } from './cautionsOf';
import { plannedGoods } from './goods';
import { noticesFor, type PlanContext } from './notices';
import { planSet } from './planSet';
import { readOnce } from './keptPasses';
import type { Plan, PlannedPass } from './planTypes';
import { readPass } from './readPass';
import { tellRecipe } from './story';
import { totalsOf } from './totals';

/**
 * The full plan of a formulation: what to weigh, pour, heat and wait for, and why. Its acts are told in order, each with
 * what is there when its turn comes; every figure is read from them and from the states between them. Pure; every
 * screen, sheet and command shows parts of this one result.
 * @param context what jars still hold and what day it is; a jar not named is taken as full
 * @throws FieldError when an id is unknown or an amount is impossible
 */
export function planFormulation(asDecided: Formulation, context: PlanContext = {}): Plan {
  const formulation = withoutIdleHeat(asDecided);
  const { recipe } = formulation;
  const bases = recipe.goods.map((line, i) =>
    named(formulation.bases, line.baseId, `recipe.goods.${i}.baseId`, 'yarn base'),
  );
  const wog = sumGoods(recipe.goods, formulation.asWritten ?? {});
  const dyeable = dyeableMass(recipe.goods, bases);
  const story = tellRecipe(formulation, bases, { wogGrams: wog.value, dyeableGrams: dyeable.value });
  const passes = story.passes.map((told, i) =>
    i === story.passes.length - 1
      ? readPass(told, story.set, formulation, wog.value)
      : readOnce(told, () => readPass(told, [], formulation, wog.value)),
  );
  const plan: Omit<Plan, 'notices'> = {
    name: formulation.name,
    goods: plannedGoods(formulation, bases, passes),
    wog,
    dyeable,
    dyeablePercent: figure(
      (100 * dyeable.value) / wog.value,
      '%',
      () => `${formatAmount(dyeable.value, 'g')} dyeable ÷ ${formatAmount(wog.value, 'g')} goods`,
    ),
    passes,
    set: planSet(formulation, story),
    totals: totalsOf(passes, story.lines),
    singleDyes: takenApart(formulation, passes),
    lines: story.lines,
    cautions: cautionsOf(story.lines),
  };
  return { ...plan, notices: noticesFor(plan, formulation, bases, context) };
}

/** Heat decided for a pass of a way that stands cold is no heat: its acid “when warm” goes in when it will be warm. */
const withoutIdleHeat = (formulation: Formulation): Formulation => ({
  ...formulation,
  recipe: {
    ...formulation.recipe,
    passes: formulation.recipe.passes.map((pass) =>
      pass.heat !== null && !methodFacts(pass.method.kind).hot ? { ...pass, heat: null } : pass,
    ),
  },
});

/** A line of goods in words: `2 × 100 g`. */
export const goodsLineWords = (line: GoodsLine): string =>
  line.weighedGrams === null
    ? `${line.count} × ${plainNumber(line.gramsEach)} g`
    : `${plainNumber(line.weighedGrams)} g as weighed`;

function sumGoods(goods: readonly GoodsLine[], asWritten: Readonly<Record<string, string>>): Figure {
  const counted = goods.filter((line) => !line.catchUp);
  const value = counted.reduce((sum, line) => sum + lineGrams(line), 0);
  const [first] = counted;
  const said = (first && goodsText(first, asWritten)) ?? null;
  return measuredOut(
    figure(value, 'g', () => `${counted.map(goodsLineWords).join(' + ')} = ${plainNumber(value)} g`),
    { as: 'goods', said },
  );
}

function dyeableMass(goods: readonly GoodsLine[], bases: readonly Base[]): Figure {
  const parts = goods
    .map((line, i) => ({ line, mass: lineGrams(line), share: dyeableShare(bases[i]?.fibers ?? []) }))
    .filter(({ line }) => !line.catchUp);
  return figure(
    parts.reduce((sum, part) => sum + part.mass * part.share, 0),
    'g',
    () => parts.map((part) => `${plainNumber(part.mass)} g × ${plainNumber(100 * part.share)} %`).join(' + '),
  );
}

function takenApart({ dyes }: Formulation, passes: readonly PlannedPass[]): Plan['singleDyes'] {
  const sums = new Map<string, number>();
  for (const { pours } of passes)
    for (const pour of pours)
      for (const { dyeId, grams } of singleDyes(pour.dyeId, pour.grams.value, dyes))
        sums.set(dyeId, (sums.get(dyeId) ?? 0) + grams);
  return [...sums].map(([dyeId, grams]) => ({
    dyeId,
    name: named(dyes, dyeId, 'dyeId', 'dye').name,
    grams: figure(grams, 'g', 'every line of every pass, premixes taken apart by their parts'),
  }));
}
