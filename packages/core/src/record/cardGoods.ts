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

/** A vessel of the shelf as a card brings it. */
export interface CardVessel {
  name: string;
  capacityMl: number;
}

/** Vessels of the shelf that goods are dyed in, by the name that acts have for them. */
function vesselsOfCard({ acts }: Card): Map<string, CardVessel> {
  const vessels = new Map<string, CardVessel>();
  for (const { act } of acts)
    if (act.kind === 'bring' && act.thing.kind === 'vessel' && act.thing.shelfId !== null)
      vessels.set(act.thing.vessel, { name: act.thing.name, capacityMl: act.thing.capacityMl ?? 0 });
  return vessels;
}

/** The vessel of the shelf that goods lie in during a pass, or at the end when null; null where none was chosen. */
export function vesselOfCard(card: Card, pass: string | null = null): CardVessel | null {
  const vessels = vesselsOfCard(card);
  const laid = card.acts.findLast(
    ({ act }) => act.kind === 'place' && act.pass === pass && vessels.has(act.vessel),
  )?.act;
  const there = laid?.kind === 'place' ? vessels.get(laid.vessel) : undefined;
  return there ?? [...vessels.values()].at(-1) ?? null;
}

/** Every vessel of the shelf that goods of a card are dyed in, by name; each once. */
export const vesselNames = (card: Card): string[] => [
  ...new Set([...vesselsOfCard(card).values()].map(({ name }) => name)),
];
