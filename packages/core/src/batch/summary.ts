import { depthOfShade } from '../amounts/dyeMass';
import type { Shelf } from '../recipe/materials';
import { entryAmount } from '../recipe/dyeEntry';
import { planFormulation } from '../recipe/plan';
import type { Plan } from '../recipe/planTypes';
import type { Formulation, Recipe } from '../recipe/recipe';
import type { Batch } from './batch';
import { actualRecipe } from './actualRecipe';
import { batchState } from './batchState';
import type { Entry } from './entry';

/** A batch as one line of the Book. */
export interface BatchSummary {
  id: string;
  code: string;
  name: string;
  colorwayId: string | null;
  startedAt: string;
  closedAt: string | null;
  wogGrams: number;
  /** Sum of dye as it went in (as planned while nothing has), % on weight of fiber. */
  dosPercent: number;
  bases: string;
  dyes: string;
  /** Undyed and dyed color of the first goods line, for drawing. */
  undyedHex: string;
  hex: string;
  outcome: string | null;
  standing: string | null;
}

/** Sums a batch up from its record: what really went in, as soon as something has. */
export function summarizeBatch(
  batch: Omit<Batch, 'entries'>,
  entries: readonly Entry[],
  dyes: Shelf['dyes'],
): BatchSummary {
  const { formulation } = batch;
  const plan = planFormulation(formulation);
  const state = batchState(plan, [...formulation.dyes, ...dyes], entries, batch.startedAt);
  const actual = actualRecipe(formulation, plan, entries, dyes);
  const planned = takenTogether(plan);
  const used =
    actual.dyes.length > 0
      ? actual.dyes.map((dye) => ({ dyeId: dye.dyeId, name: dye.dyeName, dos: dye.dos.value }))
      : planned;
  const undyedHex = plan.goods[0]?.undyedHex ?? '#efe9dc';
  return {
    id: batch.id,
    code: batch.code,
    name: batch.name,
    colorwayId: batch.colorwayId,
    startedAt: batch.startedAt,
    closedAt: state.closed?.at ?? null,
    wogGrams: plan.wog.value,
    dosPercent: used.reduce((sum, dye) => sum + dye.dos, 0),
    bases: plan.goods.map((line) => `${line.count} × ${line.baseName}`).join(', '),
    dyes: used.map((dye) => dye.name).join(', '),
    undyedHex,
    hex: colorOf(formulation, plan, actual.recipe, undyedHex, [...formulation.dyes, ...dyes]),
    outcome: state.closed?.outcome ?? null,
    standing: state.closed?.standing ?? null,
  };
}

/** Planned dyes over every pass, each on all the goods. */
function takenTogether(plan: Plan): { dyeId: string; name: string; dos: number }[] {
  const sums = new Map<string, { dyeId: string; name: string; dos: number }>();
  for (const { dyeId, dyeName, grams, lotStrength } of plan.passes.flatMap((pass) => pass.pours)) {
    const dos = depthOfShade(grams.value, plan.wog.value, lotStrength);
    const known = sums.get(dyeId);
    if (known) known.dos += dos;
    else sums.set(dyeId, { dyeId, name: dyeName, dos });
  }
  return [...sums.values()];
}

/** Color of the first goods: from what really went in, pass by pass, or as planned while nothing has. */
function colorOf(
  formulation: Formulation,
  plan: Plan,
  recipe: Recipe | null,
  undyedHex: string,
  dyes: Shelf['dyes'],
): string {
  if (recipe === null) return plan.goods[0]?.dyedHex ?? undyedHex;
  // A pour far over what a recipe allows still has a color: the deepest that can be planned.
  const bounded = recipe.passes.map((pass) => ({
    ...pass,
    dyes: pass.dyes.map((line) => ({
      ...line,
      stockId: null,
      entry: { school: 'depth' as const, percent: Math.min(12, entryAmount(line.entry)) },
    })),
  }));
  const really = planFormulation({
    ...formulation,
    recipe: { ...recipe, passes: bounded },
    dyes: [...dyes],
    stocks: [],
    tools: [],
  });
  return really.goods[0]?.dyedHex ?? undyedHex;
}
