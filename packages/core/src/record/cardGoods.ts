import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import type { Thing, VesselRole } from '../process/act';
import type { Card } from './card';

/** One line of goods as the card brings it. */
export type CardGoods = Extract<Thing, { kind: 'goods' }> & { line: string };

/** The goods of a batch, as its card brings them. */
export const goodsOf = (card: Card): CardGoods[] =>
  card.acts.flatMap(({ act }) =>
    act.kind === 'bring' && act.thing.kind === 'goods' ? [{ ...act.thing, line: act.line ?? '' }] : [],
  );

/** Weight of goods, g: every line but the catch-up goods. */
export function weightOfGoods(card: Card): Figure {
  const counted = goodsOf(card).filter((line) => !line.catchUp);
  const value = counted.reduce((sum, line) => sum + line.grams, 0);
  return figure(
    value,
    'g',
    () =>
      `${counted.map((line) => `${line.count} × ${line.name}, ${plainNumber(line.grams)} g`).join(' + ')} = ${plainNumber(value)} g`,
  );
}

/** `2 × Sexton worsted, 1 × Ratchet sock`. */
export const goodsWords = (card: Card): string =>
  goodsOf(card)
    .map((line) => `${line.count} × ${line.name}`)
    .join(', ');

/** What a vessel of the card is; undefined for one that it does not bring. */
export function vesselRole(card: Card, vessel: string): VesselRole | undefined {
  for (const { act } of card.acts)
    if (act.kind === 'bring' && act.thing.kind === 'vessel' && act.thing.vessel === vessel)
      return act.thing.role;
  return undefined;
}

/** The vessel on the shelf that the batch is in: its name and what it holds, where one was chosen. */
export function vesselOfCard(card: Card): { name: string; capacityMl: number } | null {
  for (const { act } of card.acts.toReversed())
    if (act.kind === 'bring' && act.thing.kind === 'vessel' && act.thing.shelfId !== null)
      return { name: act.thing.name, capacityMl: act.thing.capacityMl ?? 0 };
  return null;
}
