import { measureOf } from '../recipe/measureOf';
import { saidOfEvent, saidTogether } from './saidInRecord';
import { figure, measuredOut, type Figure, type Measure, type Sureness } from '../figure/figure';
import { depths } from '../process/depths';
import type { State } from '../process/state';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { dyeGramsOf, liquidMl, mainJar, standardGramsOf, type PotAddition } from './additions';
import type { Batch } from './batch';
import { weightOfGoods } from './cardGoods';
import { askedTotals, depthsOnGoods, dyeName } from './dyeTotals';
import { actsDone } from './standing';

/** One dye as it really went in. */
export interface ActualDye {
  dyeId: string;
  dyeName: string;
  /** The jar most of it came from; null for powder. */
  stockId: string | null;
  grams: Figure;
  /** The same as it was poured from jars of one strength; null for powder, and where the jars differed. */
  poured: Figure | null;
  /** What of it reached the goods, on all of them. */
  dos: Figure;
  /** What the card asked for on all the goods, %; null when the dye was not on it. */
  plannedDos: number | null;
  /** Number of separate additions. */
  additions: number;
  /** True where some of it was never measured: its depth is at least this. */
  atLeast: boolean;
}

/** Every dye that went in, of what stands. @param end where the goods are once all is done @param dyes for their names */
export function actualDyes(
  batch: Batch,
  end: State,
  additions: readonly PotAddition[],
  dyes: readonly Dye[],
): ActualDye[] {
  const { card, formulation } = batch;
  const planned = depthsOnGoods(askedTotals(card), weightOfGoods(card).value);
  const asked = new Map(planned.map((one) => [one.dyeId, one.dosPercent]));
  // What was put down from an old notebook was hardly weighed.
  const sureness: Sureness = card.remembered ? 'estimate' : 'exact';
  const onGoods = depths(end);
  const unmeasured = unmeasuredDyes(batch);
  const wog = end.pieces.values().reduce((sum, { catchUp, grams }) => (catchUp ? sum : sum + grams), 0);
  const byDye = new Map<string, PotAddition[]>();
  for (const addition of additions)
    if (addition.material.kind === 'dye')
      byDye.set(addition.material.dyeId, [...(byDye.get(addition.material.dyeId) ?? []), addition]);
  for (const dyeId of unmeasured) if (!byDye.has(dyeId)) byDye.set(dyeId, []);
  return [...byDye].map(([dyeId, mine]) => {
    const total = mine.reduce((sum, addition) => sum + dyeGramsOf(addition), 0);
    const standard = mine.reduce((sum, addition) => sum + standardGramsOf(addition), 0);
    const said = saidTogether(mine.map((one) => saidOfEvent(one, formulation)));
    return {
      dyeId,
      dyeName: dyeName(dyeId, dyes),
      stockId: mainJar(mine),
      grams: measuredOut(
        figure(
          total,
          'g',
          () => mine.map((one) => `${plainAmount(one)} = ${formatAmount(dyeGramsOf(one), 'g')}`).join(' + '),
          sureness,
        ),
        powderMeasure(mine, said, dyes),
      ),
      poured: pouredFigure(mine, said, sureness),
      dos: trueDepth(onGoods.get(dyeId) ?? 0, { total, standard, wog, sureness }),
      plannedDos: asked.get(dyeId) ?? null,
      additions: mine.length,
      atLeast: unmeasured.has(dyeId),
    };
  });
}

/** Dyes of which something went in that nobody measured. */
function unmeasuredDyes({ events }: Batch): ReadonlySet<string> {
  return new Set(
    actsDone(events).flatMap(({ act }) =>
      act.kind === 'put' && act.amount === null && act.material.kind === 'dye' ? [act.material.dyeId] : [],
    ),
  );
}

/** What was poured of a dye from jars of one strength, together. */
function pouredFigure(mine: readonly PotAddition[], said: string | null, sureness: Sureness): Figure | null {
  const strengths = new Set(
    mine.map(({ material }) => (material.kind === 'dye' ? material.strengthPercent : null)),
  );
  if (strengths.size !== 1 || strengths.has(null)) return null;
  return measuredOut(
    figure(liquidMl(mine), 'mL', () => mine.map(plainAmount).join(' + '), sureness),
    { as: 'pour', said },
  );
}

/** How the powder of a dye was measured out; null where stock was poured. */
function powderMeasure(
  mine: readonly PotAddition[],
  said: string | null,
  dyes: readonly Dye[],
): Measure | null {
  const [first] = mine;
  return first && mine.every(({ unit }) => unit === 'g') ? measureOf(first.material, said, { dyes }) : null;
}

/** Depth of a dye on the goods, with how it came to that. @param percent what reached them, of standard strength */
function trueDepth(
  percent: number,
  { total, standard, wog, sureness }: { total: number; standard: number; wog: number; sureness: Sureness },
): Figure {
  const reached = (percent * wog) / 100;
  const strength = standard === total ? '' : ' of standard strength';
  const all = Math.abs(reached - standard) <= 1e-6 * standard;
  return figure(
    percent,
    '%',
    () =>
      `100 × ${formatAmount(all ? standard : reached, 'g')}${strength}${all ? '' : `, what reached them of ${formatAmount(standard, 'g')},`} ÷ ${formatAmount(wog, 'g')} of goods`,
    sureness,
  );
}

function plainAmount({ unit, amount, material }: PotAddition): string {
  return unit === 'mL' && material.kind === 'dye'
    ? `${formatAmount(amount, 'mL')} of ${material.strengthPercent} %`
    : formatAmount(amount, unit);
}
