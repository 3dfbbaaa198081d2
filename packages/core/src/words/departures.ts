import { ACIDS } from '../materials/acids';
import type { Act } from '../process/act';
import { amountOf } from '../process/amountOf';
import type { Batch } from '../record/batch';
import { cardLines } from '../record/cardLines';
import { dyeName } from '../record/dyeTotals';
import { isOpen } from '../record/open/isOpen';
import { byLine, standingEvents } from '../record/standing';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { alterationWords } from './alterationWords';
import { titleOf } from './lineWords';

/** Dye, or acid that was decided on: what only its own tick says of. */
export const isPutIn = (act: Act): boolean =>
  act.purpose === 'dose' || (act.kind === 'put' && act.material.kind === 'acid' && act.purpose !== 'top up');

/** Where a record departs from its card, one sentence each. @param dyes every dye it may name */
export function departures(batch: Batch, dyes: readonly Dye[]): string[] {
  const { standing } = standingEvents(batch.events);
  const done = standing.filter((event) => event.kind === 'act');
  const doneLines = byLine(done);
  if (isOpen(batch.card)) return [];
  const reading = { batch, dyes };
  const onCard = cardLines(batch.card);
  const isClosed = standing.some(({ kind }) => kind === 'closed');
  // Of a batch that still runs, what comes after the last thing done is still to come.
  const reached = isClosed ? onCard.length : onCard.findLastIndex(({ id }) => doneLines.has(id));
  const lines = onCard.flatMap((line, i): string[] => {
    const asked = amountOf(line.act);
    if (asked === null) return [];
    const acts = doneLines.get(line.id);
    if (!acts)
      return isPutIn(line.act) && i <= reached
        ? [`${titleOf(line, reading)}: not ticked, so it did not go in.`]
        : [];
    const got = acts.flatMap(({ act }) => amountOf(act) ?? []);
    const inAll = got.reduce((sum, { amount }) => sum + amount, 0);
    if (got.length === 0 || Math.abs(inAll - asked.amount) <= 0.005 * asked.amount) return [];
    const poured = got.map(({ amount, unit }) => formatAmount(amount, unit)).join(' and ');
    const meant = formatAmount(asked.amount, asked.unit);
    return poured === meant ? [] : [`${titleOf(line, reading)}: ${poured} instead of ${meant}.`];
  });
  for (const event of standing)
    if (event.kind === 'altered') lines.push(`${alterationWords(event.change, reading)}.`);
  for (const { act, planned } of done) {
    const measured = planned === null ? amountOf(act) : null;
    if (measured === null) continue;
    const { material, amount, unit } = measured;
    const what =
      material.kind === 'dye'
        ? dyeName(material.dyeId, dyes)
        : material.kind === 'acid'
          ? ACIDS[material.acid].label
          : material.kind;
    lines.push(`Also added: ${formatAmount(amount, unit)} of ${what}.`);
  }
  return lines;
}
