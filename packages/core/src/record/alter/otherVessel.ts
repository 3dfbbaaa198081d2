import { FieldError } from '../../figure/fieldError';
import { FIBER_G_PER_ML } from '../../materials/fiberDensity';
import { broughtVessel, potRole } from '../../plan/brought';
import type { Act, End } from '../../process/act';
import { piecesAt } from '../../plan/liquids';
import { formatAmount } from '../../units/formatQuantity';
import type { Pot } from '../../shelf/pot';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { foldRecord } from '../foldRecord';
import type { NewEvent } from '../newEvent';
import { vesselOfPass } from '../unplanned';
import type { SetMethod } from '../../heat/setMethods';
import { usualSet } from '../../recipe/usualSet';
import { altered } from './alter';
import { vesselOfGoods } from './goodsIn';
import { setOtherwise } from './setOtherwise';
import { lineOfAct } from './step';
import { nextToCome, toCome } from './toCome';

/** What goes into these goes in to be set, in its own vessel or wrapped: nothing is poured over. */
const SETS_BY: Partial<Record<Pot['kind'], SetMethod>> = {
  oven: 'oven',
  microwave: 'microwave',
  steamer: 'steam',
};

/**
 * Everything that is in a vessel, and all that was still to be done in it, in another vessel. Before water was run it is
 * only another vessel that the batch begins in. What goes into an oven, a microwave or a steamer is set there.
 * @param batch as it stands @param pass the one being dyed @param id names what comes in
 * @param busy the batch that dyes in it now, in words; null for none
 * @throws FieldError where it does not fit, or the vessel is taken
 */
export function intoOtherVessel(
  batch: Batch,
  pass: string | null,
  pot: Pot,
  id: string,
  busy: string | null = null,
): NewEvent {
  if (busy !== null)
    throw new FieldError(
      'vessel',
      `${pot.name} is taken by ${busy}. Choose another, or wait until it is free.`,
    );
  const setsBy = SETS_BY[pot.kind];
  if (setsBy) return setOtherwise(batch, usualSet(setsBy), id);
  const { now } = foldRecord(batch);
  const from = vesselOfGoods(now) ?? vesselOfPass(batch, pass);
  const rest = toCome(batch);
  const there = now.vessels.get(from);
  const ml = there?.liquid.ml ?? 0;
  const goods = piecesAt(now, from);
  const about = pot.name;
  const bring = batch.card.acts.find(
    ({ act }) => act.kind === 'bring' && act.thing.kind === 'vessel' && act.thing.vessel === from,
  );
  if (ml === 0 && goods.length === 0 && bring?.act.kind === 'bring') {
    const thing = broughtVessel(from, potRole(pot), pot);
    return altered('vessel', { about, pot, instead: [{ ...bring, act: { ...bring.act, thing } }] });
  }
  const needs = ml + goods.reduce((sum, piece) => sum + piece.grams / FIBER_G_PER_ML, 0);
  if (needs > pot.capacityMl)
    throw new FieldError(
      'vessel',
      `${pot.name} holds ${formatAmount(pot.capacityMl, 'mL')}; bath and goods come to ${formatAmount(needs, 'mL')}. Pour some off first, or choose a larger one.`,
    );
  const vessel = `vessel-${id}`;
  const common = { pass, line: null, purpose: null } as const;
  const lines = [
    lineOfAct(
      `bring.${vessel}`,
      { kind: 'bring', ...common, pass: null, thing: broughtVessel(vessel, potRole(pot), pot) },
      { quiet: true },
    ),
    ...(ml > 0
      ? [
          lineOfAct(`${id}.move`, {
            kind: 'move',
            ...common,
            from: { vessel: from },
            to: { vessel },
            ml: null,
            share: 1,
            holds: null,
          }),
        ]
      : []),
    ...(goods.length > 0
      ? [
          lineOfAct(
            `${id}.place`,
            {
              kind: 'place',
              ...common,
              goods: [...new Set(goods.map((piece) => piece.line))],
              vessel,
              reach: null,
              lies: goods[0]?.lies ?? null,
              wet: true,
            },
            { quiet: ml > 0 },
          ),
        ]
      : []),
  ];
  return altered('vessel', {
    about,
    pot,
    lines,
    before: nextToCome(batch)?.before ?? null,
    instead: rest.flatMap((line): CardAct[] => {
      const act = elsewhere(line.act, from, vessel);
      return act === line.act ? [] : [{ ...line, act }];
    }),
  });
}

/** An act that names one vessel, naming another instead; the same act where it names neither. */
function elsewhere(act: Act, from: string, vessel: string): Act {
  const end = (one: End): End => ('vessel' in one && one.vessel === from ? { vessel } : one);
  switch (act.kind) {
    case 'put':
      return 'vessel' in act.into && act.into.vessel === from ? { ...act, into: { vessel } } : act;
    case 'move': {
      const [source, to] = [end(act.from), act.to === null ? null : end(act.to)];
      return source === act.from && to === act.to ? act : { ...act, from: source, to };
    }
    case 'run':
    case 'place':
    case 'heat':
    case 'hold':
    case 'stand':
    case 'cool':
      return act.vessel === from ? { ...act, vessel } : act;
    default:
      return act;
  }
}
