import { FieldError } from '../../figure/fieldError';
import type { Act, VesselRole } from '../../process/act';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { goodsOf, vesselRole } from '../cardGoods';
import type { NewEvent } from '../newEvent';
import { altered } from './alter';
import { afterLast, isSet } from './setWhere';
import { lineOfAct } from './step';
import { isSetDone, toCome } from './toCome';

/** The hold of a set that is still to come; null where there is none. */
export const holdToCome = (batch: Batch): CardAct | null =>
  toCome(batch).find(({ act }) => act.kind === 'hold' && act.purpose === 'set') ?? null;

/** Whether the goods of a batch are set without a bath of their own around them, so that others can lie beside them. */
export function canShareSet(batch: Batch): boolean {
  const held = holdToCome(batch)?.act;
  const role =
    held?.kind === 'hold' && held.vessel !== null ? vesselRole(batch.card, held.vessel) : undefined;
  return role !== undefined && SHARED_IN.includes(role);
}

/** Vessels with room for several bundles. */
const SHARED_IN: readonly VesselRole[] = ['steamer', 'oven', 'microwave'];

/** Bundles that lie in the set of a batch: its own, and those of its guests. */
export const bundlesIn = ({ card }: Pick<Batch, 'card'>): number =>
  1 + new Set(goodsOf(card).flatMap(({ from, catchUp }) => (from !== null && catchUp ? [from] : []))).size;

/** What enters the two records when goods of one batch are set together with another. */
export interface SharedSet {
  host: NewEvent[];
  guest: NewEvent[];
}

/**
 * Goods of one batch laid into the set of another: one wait, in the record of the host, with the others as guests.
 * @param host as it stands; its set is the one that is waited for
 * @param guest as it stands; its own set is left out
 * @param places bundles that the vessel has room for; null where nobody counted
 * @param id names the lines that come in
 * @throws FieldError where one of them is set already, the host sets in a bath, or there is no room
 */
export function shareSet(host: Batch, guest: Batch, places: number | null, id: string): SharedSet {
  const held = holdToCome(host);
  if (!held || held.act.kind !== 'hold' || isSetDone(host))
    throw new FieldError(
      'set',
      `${host.name} is set already. Let another batch be the one that the set is waited for.`,
    );
  if (!canShareSet(host))
    throw new FieldError(
      'set',
      `${host.name} is set in its own bath: goods laid in there would be dyed. Set it in the steamer or the oven first.`,
    );
  if (isSetDone(guest) || holdToCome(guest) === null)
    throw new FieldError('set', `${guest.name} is set already.`);
  if (places !== null && bundlesIn(host) + 1 > places)
    throw new FieldError(
      'set',
      `There is room for ${places} ${places === 1 ? 'bundle' : 'bundles'}, and ${bundlesIn(host)} lie in it. Set ${guest.name} after them.`,
    );
  const lines = goodsOf(guest.card).filter(({ catchUp }) => !catchUp);
  const named = new Map(lines.map(({ line }, i) => [line, `${id}-${i + 1}`]));
  const bring = lines.map(({ line, ...thing }) => {
    const own = named.get(line) ?? id;
    return lineOfAct(
      `bring.goods.${own}`,
      {
        kind: 'bring',
        pass: null,
        line: own,
        purpose: 'set',
        thing: { ...thing, from: guest.id, catchUp: true },
      },
      { quiet: true },
    );
  });
  const place: Act = {
    kind: 'place',
    pass: null,
    line: null,
    purpose: 'set',
    goods: [...named.values()],
    vessel: held.act.vessel ?? 'steamer',
    reach: 'none',
    lies: null,
    wet: true,
  };
  const rest = toCome(guest);
  const out = rest.filter(isSet);
  return {
    host: [
      altered('shared', {
        about: `${guest.code} ${guest.name}`.trim(),
        lines: [...bring, lineOfAct(`place.goods.${id}`, place)],
        before: held.id,
        goods: guest.formulation.recipe.goods
          .filter(({ catchUp }) => !catchUp)
          .map((line) => ({ ...line, id: named.get(line.id) ?? `${id}-0`, catchUp: true })),
        bases: guest.formulation.bases,
      }),
    ],
    guest: [
      altered('set elsewhere', {
        about: `${host.code} ${host.name}`.trim(),
        out,
        lines: [
          lineOfAct(`${id}.unwrap`, {
            kind: 'handle',
            pass: null,
            line: null,
            purpose: 'set',
            goods: [],
            what: 'unwrap',
            lies: null,
          }),
        ],
        before: afterLast(rest, out),
      }),
    ],
  };
}
