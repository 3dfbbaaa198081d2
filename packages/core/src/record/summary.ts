import type { Pass } from '../recipe/recipe';
import { lookAfter, type LineDepth } from '../plan/looks';
import { sectionOfLine } from '../recipe/entryContext';
import { averageHex, plainLook, type YarnLook } from '../skein/yarnLook';
import type { Dye } from '../shelf/dye';
import type { Batch, BegunBatch } from './batch';
import { goodsWords, weightOfGoods } from './cardGoods';
import { askedTotals, depthsOnGoods, dyeName, dyeTotals, type DyeTotal } from './dyeTotals';
import type { EventOf } from './event';
import { lastVerdict, nameOf } from './lastSaid';
import { depthOnLine, lineOfDye } from './lineOfDye';

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
  /** The same goods as they are drawn, stretch by stretch, with what lies on top. */
  look: YarnLook;
  outcome: string | null;
  standing: string | null;
}

/** What the dye of a batch makes of its line in the Book. */
export type DyedSummary = Pick<BatchSummary, 'dosPercent' | 'dyes' | 'hex' | 'look'>;
/** What its verdict makes of it. */
export type ClosedSummary = Pick<BatchSummary, 'closedAt' | 'outcome' | 'standing'>;

/** Sums a batch up from its card and its record. @param dyes dyes on the shelf */
export function summarizeBatch(batch: Batch, dyes: readonly Dye[]): BatchSummary {
  const { id, code, colorwayId, startedAt } = batch;
  return {
    id,
    code,
    name: nameOf(batch),
    colorwayId,
    startedAt,
    wogGrams: weightOfGoods(batch.card).value,
    bases: goodsWords(batch.card),
    undyedHex: undyed(batch).ground,
    ...dyedSummary(batch, dyeTotals(batch.events), dyes),
    ...closedSummary(lastVerdict(batch.events)),
  };
}

export const closedSummary = (verdict: EventOf<'closed'> | null): ClosedSummary => ({
  closedAt: verdict?.at ?? null,
  outcome: verdict?.outcome ?? null,
  standing: verdict?.standing ?? null,
});

/** Depth, dyes and color from what has gone in; as the card asks for while nothing has. */
export function dyedSummary(
  batch: BegunBatch,
  totals: readonly DyeTotal[],
  dyes: readonly Dye[],
): DyedSummary {
  const known = [...batch.formulation.dyes, ...dyes];
  const counted = totals.length === 0 ? askedTotals(batch.card) : totals;
  const depths = depthsOnGoods(counted, weightOfGoods(batch.card).value);
  const look = dyedLook(batch, counted, known);
  return {
    dosPercent: depths.reduce((sum, { dosPercent }) => sum + dosPercent, 0),
    dyes: depths.map(({ dyeId }) => dyeName(dyeId, known)).join(', '),
    hex: averageHex(look),
    look,
  };
}

/** The first goods of a batch before they were dyed. */
function undyed({ formulation }: BegunBatch): YarnLook {
  const [line] = formulation.recipe.goods;
  const base = formulation.bases.find(({ id }) => id === line?.baseId);
  const own = line?.dyedOverHex ?? null;
  return plainLook(
    own ?? base?.hex ?? '#efe9dc',
    line?.form ?? base?.form,
    own === null ? base?.id : undefined,
  );
}

/** Deepest that is drawn, %: a pour far over what a recipe allows still has a color. */
const DEEPEST = 12;

/** Colors of the first goods, pass by pass. An estimate for drawing. */
function dyedLook(batch: BegunBatch, totals: readonly DyeTotal[], dyes: readonly Dye[]): YarnLook {
  const wog = weightOfGoods(batch.card).value;
  return batch.formulation.recipe.passes.reduce((before, pass) => {
    const depths = depthsOfLines(pass, totals, wog);
    return depths.length === 0 ? before : lookAfter(before, pass, depths, dyes);
  }, undyed(batch));
}

/** Depth of each line of a pass on the goods it is for; dye nobody planned counts with the line of the same dye. */
function depthsOfLines(pass: Pass, totals: readonly DyeTotal[], wogGrams: number): LineDepth[] {
  const lines = new Map<string, LineDepth>();
  for (const total of totals) {
    if (total.pass !== pass.id) continue;
    const line = lineOfDye(pass, total.line, total.dyeId) ?? { id: total.dyeId, sectionId: null };
    const earlier = lines.get(line.id)?.dosPercent ?? 0;
    lines.set(line.id, {
      dyeId: total.dyeId,
      sectionId: sectionOfLine(pass, line),
      dosPercent: earlier + depthOnLine(pass, line, total.standardGrams, wogGrams),
    });
  }
  return [...lines.values()].map((line) => ({ ...line, dosPercent: Math.min(DEEPEST, line.dosPercent) }));
}
