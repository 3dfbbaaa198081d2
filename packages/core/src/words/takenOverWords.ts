import { dyeName } from '../record/dyeTotals';
import type { TakenOver } from '../record/open/sourceChanged';
import type { LeavingLiquid } from '../record/open/liquidLeaving';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';

/** What a batch took over from another, in a sentence; and one more where the other has changed since. */
export function takenOverWords(
  { was, is, changed }: TakenOver,
  code: string,
  dyes: readonly Dye[],
): string[] {
  return [
    `Begun in what was left of batch ${code}: ${liquidWords(was, dyes)}.`,
    ...(changed
      ? [
          is === null
            ? `By its record of today that bath did not leave batch ${code}.`
            : `By its record of today that would be ${liquidWords(is, dyes)}. The figures here stay as they were taken over.`,
        ]
      : []),
  ];
}

function liquidWords({ ml, acids, dyes: left }: LeavingLiquid, dyes: readonly Dye[]): string {
  const acid = acids.reduce((sum, { pureGrams }) => sum + pureGrams, 0);
  const sums = new Map<string, number>();
  for (const { dyeId, standardGrams } of left) sums.set(dyeId, (sums.get(dyeId) ?? 0) + standardGrams);
  return [
    formatAmount(ml, 'mL'),
    ...(acid > 0 ? [`${formatAmount(acid, 'g')} of acid`] : []),
    ...[...sums].map(([dyeId, grams]) => `${formatAmount(grams, 'g')} of ${dyeName(dyeId, dyes)}`),
  ].join(', ');
}
