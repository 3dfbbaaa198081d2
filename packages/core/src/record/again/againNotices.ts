import { saidBySpoon } from '../../units/saidBy';
import { plannedText } from '../../recipe/measureOf';
import { chooseTool, MOST_ERROR_PERCENT } from '../../amounts/chooseTool';
import { jarAgeDays, OLD_STOCK_DAYS } from '../../shelf/jarAge';
import type { PlanContext } from '../../plan/notices';
import type { Told } from '../../plan/tell';
import { vesselHeat } from '../../plan/vesselHeat';
import { amountOf } from '../../process/amountOf';
import { potsOf } from '../../recipe/materials';
import type { Formulation } from '../../recipe/recipe';
import type { Stock } from '../../shelf/stock';

/** Something worth a second look before a record is dyed again: a code with its values. */
export type AgainNotice =
  | { code: 'no acid'; blocks: false }
  | { code: 'too small'; vessel: string; holdsMl: number; needsMl: number; blocks: true }
  | { code: 'jar short'; stock: Stock; holdsMl: number; needsMl: number; blocks: false }
  | { code: 'jar gone'; stock: Stock; blocks: false }
  | { code: 'other jar'; was: Stock; now: Stock; blocks: false }
  | { code: 'jar old'; stock: Stock; days: number; blocks: false }
  | { code: 'no tool'; dyeId: string; amount: number; unit: 'mL' | 'g'; blocks: false }
  | {
      code: 'coarse';
      dyeId: string;
      amount: number;
      unit: 'mL' | 'g';
      tool: string;
      percent: number;
      blocks: false;
    };

/** What to say of a card made from a record. */
export function againNotices(
  told: readonly Told[],
  formulation: Formulation,
  { left = {}, today }: PlanContext = {},
): AgainNotice[] {
  const { stocks } = formulation;
  return [
    ...acidNotices(told),
    ...potsOf(formulation).flatMap((pot) => vesselNotices(fullestMl(told, pot), pot)),
    ...jarNotices(told, stocks, left, today),
    ...toolNotices(told, formulation),
  ];
}

/** Where none went in then, none is on the card. */
const acidNotices = (told: readonly Told[]): AgainNotice[] =>
  told.some(({ act }) => act.kind === 'put' && act.material.kind === 'acid')
    ? []
    : [{ code: 'no acid', blocks: false }];

/** The fullest that the chosen vessel becomes, liquid and goods, mL; 0 where none is chosen. Goods of 1 g/mL. */
export function fullestMl(told: readonly Told[], pot: Formulation['pot']): number {
  let needsMl = 0;
  for (const { act } of told)
    if (act.kind === 'bring' && act.thing.kind === 'vessel' && pot && act.thing.shelfId === pot.id)
      for (const { after } of told) {
        const { waterMl, fiberGrams } = vesselHeat(after, act.thing.vessel);
        needsMl = Math.max(needsMl, waterMl > 0 ? waterMl + fiberGrams : 0);
      }
  return needsMl;
}

const vesselNotices = (needsMl: number, pot: Formulation['pot']): AgainNotice[] =>
  pot && needsMl > pot.capacityMl
    ? [{ code: 'too small', vessel: pot.name, holdsMl: pot.capacityMl, needsMl, blocks: true }]
    : [];

function jarNotices(
  told: readonly Told[],
  stocks: readonly Stock[],
  left: NonNullable<PlanContext['left']>,
  today: string | undefined,
): AgainNotice[] {
  const drawn = new Map<string, number>();
  for (const { act } of told)
    if (
      act.kind === 'put' &&
      act.material.kind === 'dye' &&
      act.material.stockId !== null &&
      act.unit === 'mL'
    )
      drawn.set(act.material.stockId, (drawn.get(act.material.stockId) ?? 0) + (act.amount ?? 0));
  return [...drawn].flatMap(([id, needsMl]): AgainNotice[] => {
    const stock = stocks.find((jar) => jar.id === id);
    if (!stock) return [];
    const holdsMl = Math.max(0, left[id] ?? stock.volumeMl);
    const days = today === undefined ? null : jarAgeDays(stock, today);
    if (stock.retired) return [{ code: 'jar gone', stock, blocks: false }];
    return [
      ...(needsMl > holdsMl + 1e-9
        ? [{ code: 'jar short' as const, stock, holdsMl, needsMl, blocks: false as const }]
        : []),
      ...(days !== null && days > OLD_STOCK_DAYS
        ? [{ code: 'jar old' as const, stock, days, blocks: false as const }]
        : []),
    ];
  });
}

function toolNotices(told: readonly Told[], { tools, ...planned }: Formulation): AgainNotice[] {
  if (tools.length === 0) return [];
  return told.flatMap(({ act }): AgainNotice[] => {
    const much = amountOf(act);
    if (much?.material.kind !== 'dye' || !(much.amount > 0)) return [];
    // What is said by the spoon is measured by the spoon.
    if (saidBySpoon(plannedText(act, planned) ?? '')) return [];
    const { amount, unit } = much;
    const { dyeId } = much.material;
    const chosen = chooseTool(amount, unit, tools);
    if (!chosen) return [{ code: 'no tool', dyeId, amount, unit, blocks: false }];
    return chosen.errorPercent > MOST_ERROR_PERCENT
      ? [
          {
            code: 'coarse',
            dyeId,
            amount,
            unit,
            tool: chosen.tool.name,
            percent: chosen.errorPercent,
            blocks: false,
          },
        ]
      : [];
  });
}
