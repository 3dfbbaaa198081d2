import {
  beginCup,
  cupFor,
  type Base,
  type GoodsLine,
  type NewEvent,
  type ShelfResponse,
} from '@ythrion/core';
import { studioNow } from '../api/studioClock';
import { askToKeep, outbox } from '../outbox/thisDevice';
import { newId } from '../parts/newId';

/** What a cup at hand holds, mL (common practice, no source). */
const USUAL_CUP_ML = 500;

/** What a new cup is for. */
export interface CupWanted {
  name: string;
  /** The goods it is mixed for; null where none are chosen yet. */
  goods: { line: GoodsLine; base: Base } | null;
  /** The color it is an attempt at. */
  sought: string | null;
}

/** Begins a cup on this device, with or without the studio. @returns its id */
export async function startCup(
  { name, goods, sought }: CupWanted,
  shelf: Pick<ShelfResponse, 'studio'>,
): Promise<string> {
  const id = newId();
  const at = studioNow();
  const events: NewEvent[] = [
    beginCup(name, USUAL_CUP_ML),
    ...(goods ? [cupFor(goods.line, goods.base, shelf.studio.water)] : []),
    ...(sought === null ? [] : [{ kind: 'sought', color: sought } as const]),
  ];
  await outbox.enter(
    { kind: 'vessel', id },
    events.map((event) => ({ event, at })),
  );
  askToKeep();
  return id;
}
