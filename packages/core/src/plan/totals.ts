import { figure, measuredOut } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { ACIDS, type AcidMaterial } from '../materials/acids';
import { minutesOf } from '../process/amountOf';
import { formatAmount } from '../units/formatQuantity';
import type { Plan, PlannedPass, PourLine } from './planTypes';
import type { Told } from './tell';

const PRACTICE = 'common practice, no source';

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** Whether an act stands on heat. */
const isOnHeat = ({ act }: Told): boolean => act.kind === 'heat' || (act.kind === 'hold' && act.onHeat);

/** What a whole plan comes to: sums over its acts. */
export function totalsOf(passes: readonly PlannedPass[], lines: readonly Told[]): Plan['totals'] {
  const pours: PourLine[] = [];
  for (const pass of passes) pours.push(...pass.pours);
  const priced = pours.filter((pour) => pour.cost !== null).map((pour) => pour.cost?.value ?? 0);
  let [heated, hands, waits] = [0, 0, 0];
  for (const line of lines) {
    const minutes = minutesOf(line.act) ?? 0;
    if (isOnHeat(line)) heated += minutes;
    waits += minutes;
    hands += line.hands;
  }
  const unsure = pours.some((pour) => pour.grams.sureness === 'estimate') ? 'estimate' : 'exact';
  const count = passes.length;
  return {
    dye: figure(
      sum(pours.map((pour) => pour.grams.value)),
      'g',
      () => `${pours.map((pour) => plainNumber(pour.grams.value)).join(' + ') || '0'} g`,
      unsure,
    ),
    dos: figure(
      sum(passes.map((pass) => pass.dosOnAllGoods.value)),
      '%',
      () => `${passes.map((pass) => plainNumber(pass.dosOnAllGoods.value)).join(' + ')} % on all the goods`,
      unsure,
    ),
    water: measuredOut(
      figure(sum(passes.map((pass) => pass.water.value)), 'mL', () =>
        passes.map((pass) => formatAmount(pass.water.value, 'mL')).join(' + '),
      ),
      { as: 'water', said: passes.length === 1 ? (passes[0]?.water.measure?.said ?? null) : null },
    ),
    acids: acidTotals(passes, lines),
    onHeat: figure(heated, 'min', 'rise and hold of every step on heat', 'estimate', PRACTICE),
    handsOn: figure(
      hands,
      'min',
      () => `usual hands-on minutes of ${lines.filter(({ quiet }) => !quiet).length} steps`,
      'estimate',
      PRACTICE,
    ),
    elapsed: figure(
      waits + hands,
      'min',
      () =>
        `${waits.toFixed(0)} min of waits + ${hands.toFixed(0)} min of hands, ${count} ${count === 1 ? 'pass' : 'passes'}`,
      'estimate',
      PRACTICE,
    ),
    cost:
      priced.length === pours.length && pours.length > 0
        ? figure(sum(priced), 'cents', 'dye powder of every line, at the price of its jar', unsure)
        : null,
  };
}

/** Acid to have at hand, each kind by itself, for top-ups too. */
function acidTotals(passes: readonly PlannedPass[], lines: readonly Told[]): Plan['totals']['acids'] {
  const doses = new Map<AcidMaterial, number[]>();
  for (const { act } of lines)
    if (act.kind === 'put' && act.material.kind === 'acid' && act.amount !== null)
      doses.set(act.material.acid, [...(doses.get(act.material.acid) ?? []), act.amount]);
  const planned = passes.flatMap((pass) => pass.acids);
  return [...doses].map(([material, amounts]) => {
    // Said as its doses are, so that what goes by the spoon does so in all.
    const measure = planned.find((acid) => acid.material === material)?.amount.measure ?? null;
    const { label, unit } = ACIDS[material];
    return {
      label,
      amount: measuredOut(
        figure(sum(amounts), unit, () => amounts.map((one) => formatAmount(one, unit)).join(' + ')),
        measure,
      ),
    };
  });
}
