import { USUAL_RISE_C_PER_MIN } from '../../heat/setMethods';
import type { Act } from '../../process/act';
import { SQUEEZED_ML_PER_GRAM } from '../../method/ready';
import type { Batch } from '../batch';
import { cardAct } from '../cardLines';
import { actsDone, plannedDone } from '../standing';
import { vesselOfPass } from '../unplanned';
import type { NewEvent } from '../newEvent';
import { OPEN_PASS } from './openBatch';

/** What can be done at a pot besides putting something in, in the order in which it usually comes. */
export const DOINGS = [
  'goods in',
  'heat',
  'hold',
  'stand',
  'turn',
  're-tie',
  'lift',
  'pour away',
  'rinse',
  'dry',
] as const;
export type Doing = (typeof DOINGS)[number];

/** Each as a key says it. */
export const DOING_WORDS: Record<Doing, string> = {
  'goods in': 'Goods in',
  heat: 'Heated to',
  hold: 'Held hot',
  stand: 'Left to stand',
  turn: 'Turned',
  're-tie': 'Tied anew',
  lift: 'Lifted out',
  'pour away': 'Poured away',
  rinse: 'Rinsed',
  dry: 'Hung to dry',
};

/** What a doing is asked for besides: a temperature, minutes. */
export const ASKS_FOR: Partial<Record<Doing, { celsius?: true; minutes?: true }>> = {
  heat: { celsius: true },
  hold: { celsius: true, minutes: true },
  stand: { minutes: true },
};

/** What was said of it. */
export interface Said {
  celsius?: number;
  minutes?: number;
  /** The bath was clear when it was over. */
  clear?: boolean;
}

/** Something done at a pot that nobody planned, as an event. @param pass the one being dyed */
export function alsoDone(
  batch: Batch,
  pass: string | null,
  doing: Doing,
  said: Said,
  written = '',
): NewEvent {
  const act = alsoDoneAct(vesselOfPass(batch, pass), pass, doing, said);
  // On the card of a batch without a plan the goods have a line, which goes without saying until somebody says it.
  const goodsLine = `${OPEN_PASS}.place.goods`;
  const planned =
    doing === 'goods in' && cardAct(batch.card, goodsLine) && !plannedDone(batch.events).has(goodsLine)
      ? goodsLine
      : null;
  return { kind: 'act', planned, act, written, note: '' };
}

/** The same as an act. */
export function alsoDoneAct(vessel: string, pass: string | null, doing: Doing, said: Said): Act {
  const { celsius = null, minutes = null, clear = false } = said;
  const common = { pass, line: null, purpose: null } as const;
  const goods: string[] = [];
  switch (doing) {
    case 'goods in':
      return { kind: 'place', ...common, goods, vessel, reach: null, lies: null, wet: true };
    case 'heat':
      return {
        kind: 'heat',
        ...common,
        vessel,
        toC: celsius,
        rampCPerMin: USUAL_RISE_C_PER_MIN,
        minutes: null,
      };
    case 'hold':
      return {
        kind: 'hold',
        ...common,
        vessel,
        atC: celsius,
        minutes,
        untilClear: clear,
        leaves: clear ? 0 : null,
        onHeat: true,
      };
    case 'stand':
      return { kind: 'stand', ...common, vessel, minutes, leaves: clear ? 0 : null };
    case 'turn':
    case 're-tie':
      return { kind: 'handle', ...common, goods, what: doing, lies: null };
    case 'lift':
      return { kind: 'lift', ...common, goods, keepsMlPerGram: SQUEEZED_ML_PER_GRAM };
    case 'pour away':
      return { kind: 'move', ...common, from: { vessel }, to: null, ml: null, share: 1, holds: null };
    case 'rinse':
      return { kind: 'rinse', ...common, pass: null, goods, soap: true };
    case 'dry':
      return { kind: 'dry', ...common, pass: null, goods };
  }
}

/** The temperature that was last heated to or held at; null before any. */
export const lastCelsius = ({ events }: Pick<Batch, 'events'>): number | null =>
  actsDone(events).reduce<number | null>(
    (last, { act }) => (act.kind === 'heat' ? act.toC : act.kind === 'hold' ? act.atC : null) ?? last,
    null,
  );
