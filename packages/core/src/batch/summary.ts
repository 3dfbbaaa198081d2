import { drawnColor } from '../color/drawnColor';
import type { Shelf } from '../recipe/materials';
import { named } from '../recipe/materials';
import { planFormulation } from '../recipe/plan';
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
  const planned = plan.passes
    .flatMap((pass) => pass.pours)
    .map((pour) => ({ dyeId: pour.dyeId, name: pour.dyeName, dos: pour.dos.value }));
  const used =
    actual.dyes.length > 0
      ? actual.dyes.map((dye) => ({ dyeId: dye.dyeId, name: dye.dyeName, dos: dye.dos.value }))
      : planned;
  const undyedHex = plan.goods[0]?.undyedHex ?? '#efe9dc';
  const drawn = used.map(({ dyeId, dos }) => {
    const dye = named([...formulation.dyes, ...dyes], dyeId, 'dyeId', 'dye');
    return { swatchHex: dye.swatchHex, swatchDosPercent: dye.swatchDosPercent, dosPercent: dos };
  });
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
    hex: drawnColor(undyedHex, drawn),
    outcome: state.closed?.outcome ?? null,
    standing: state.closed?.standing ?? null,
  };
}
