import { FieldError } from '../../figure/fieldError';
import { broughtGoods } from '../../plan/brought';
import type { Act } from '../../process/act';
import { isMeant } from '../../process/whichGoods';
import type { State } from '../../process/state';
import type { GoodsLine } from '../../recipe/recipe';
import type { Base } from '../../shelf/base';
import type { Batch } from '../batch';
import { foldRecord } from '../foldRecord';
import { lineDone, type NewEvent } from '../newEvent';
import { altered } from './alter';
import { lineOfAct } from './step';
import { isSetDone, nextToCome } from './toCome';

/** Goods that nobody had planned, and where they come from. */
export interface ComingGoods {
  /** A spare that catches what is left counts in no depth; anything else shares the dye from now on. */
  line: GoodsLine;
  base: Base;
  /** The batch they were dyed in before; null for goods off the shelf. */
  from: string | null;
}

/**
 * More goods laid in where the others lie: the change of the card, and the goods going in.
 * @param batch as it stands @param pass the one being dyed
 * @throws FieldError where there is no bath to lay them into, or they would never be set
 */
export function goodsIn(batch: Batch, pass: string | null, { line, base, from }: ComingGoods): NewEvent[] {
  const { card } = batch;
  if (isSetDone(batch))
    throw new FieldError(
      'goods',
      'The set is over: what goes in now is never set. Begin a batch for these goods in this bath instead.',
    );
  const { now } = foldRecord(batch);
  const vessel = vesselOfGoods(now);
  if (vessel === null)
    throw new FieldError(
      'goods',
      'The first goods are in no vessel yet, so these would lie alone. Lay those in first, or put these into the plan.',
    );
  if (card.acts.some(({ act }) => act.kind === 'bring' && act.thing.kind === 'goods' && act.line === line.id))
    throw new FieldError('goods', 'These goods are on the card already.');
  const common = { pass: null, line: line.id, purpose: null } as const;
  const thing = { ...broughtGoods(line, base, batch.formulation.water), from };
  const bring = lineOfAct(`bring.goods.${line.id}`, { kind: 'bring', ...common, thing }, { quiet: true });
  const act: Act = {
    kind: 'place',
    ...common,
    pass,
    purpose: line.catchUp ? 'catch up' : 'unplanned',
    goods: [line.id],
    vessel,
    reach: null,
    lies: null,
    wet: true,
  };
  const place = lineOfAct(`place.goods.${line.id}`, act);
  return [
    altered('goods', {
      about: `${line.count} × ${base.name}`,
      lines: [bring, place],
      before: nextToCome(batch)?.before ?? null,
      goods: [line],
      bases: [base],
    }),
    lineDone(place),
  ];
}

/** The vessel that goods lie in, in its liquid where they lie in any; null where they lie in none. */
export function vesselOfGoods(now: State): string | null {
  const places = now.pieces
    .values()
    .filter(isMeant)
    .flatMap(({ at }) => at);
  return (places.find(({ reach }) => reach !== 'none') ?? places[0])?.vessel ?? null;
}
