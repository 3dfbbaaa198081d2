import { figure, measuredOut, type Figure } from '../figure/figure';
import { measureOf } from '../recipe/measureOf';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { ACIDS } from '../materials/acids';
import { actualDyes, type ActualDye } from './actualDyes';
import { additionsOf, type PotAddition } from './additions';
import type { Batch } from './batch';
import { foldRecord } from './foldRecord';
import { saidOfEvent, saidTogether } from './saidInRecord';

/** What is in a pot by now, in the dyer's own measure. */
export interface SoFar {
  dyes: ActualDye[];
  acids: { name: string; amount: Figure }[];
}

/** The running total at a pot: dye for dye and acid for acid, over every addition that stands. @param dyes on the shelf */
export function soFar(batch: Batch, dyes: readonly Dye[]): SoFar {
  const additions = additionsOf(batch.events);
  const known = [...batch.formulation.dyes, ...dyes];
  return {
    dyes: actualDyes(batch, foldRecord(batch).end, additions, known),
    acids: acidsIn(batch, additions, known),
  };
}

function acidsIn(
  { formulation }: Batch,
  additions: readonly PotAddition[],
  dyes: readonly Dye[],
): SoFar['acids'] {
  const kinds = new Map<string, PotAddition[]>();
  for (const addition of additions) {
    if (addition.material.kind !== 'acid') continue;
    const key = JSON.stringify(addition.material);
    kinds.set(key, [...(kinds.get(key) ?? []), addition]);
  }
  return [...kinds.values()].flatMap((mine) => {
    const [first] = mine;
    if (first?.material.kind !== 'acid') return [];
    const said = saidTogether(mine.map((one) => saidOfEvent(one, formulation)));
    const sum = mine.reduce((all, { amount }) => all + amount, 0);
    return [
      {
        name: ACIDS[first.material.acid].label,
        amount: measuredOut(
          figure(sum, first.unit, () =>
            mine.map(({ amount, unit }) => formatAmount(amount, unit)).join(' + '),
          ),
          measureOf(first.material, said, {
            dyes,
            citricGramsPerTeaspoon: formulation.citricGramsPerTeaspoon,
          }),
        ),
      },
    ];
  });
}
