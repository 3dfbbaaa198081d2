import { FieldError } from '../../figure/fieldError';
import type { Act, ActOf, Thing } from '../../process/act';
import type { MeasuredOut } from '../../process/amountOf';
import type { Event, EventOf } from '../event';
import { unstruck } from '../standing';

/** The vessel of a cup in its own record. */
export const CUP = 'cup';
/** The line of the goods that a cup is mixed for. */
export const CUP_GOODS = 'goods';

/** A mixing cup: a vessel with a record of its own, which it has without any batch. */
export interface CupRecord {
  id: string;
  events: readonly Event[];
}

/** Goods that a cup is mixed for: its depths are on these. */
export type CupGoods = Extract<Thing, { kind: 'goods' }>;

/** One thing in a cup, as it was put in, addition after addition. */
export interface CupPart {
  material: MeasuredOut['material'];
  unit: 'mL' | 'g';
  /** What of it is in the cup now. */
  amount: number;
  /** How each addition was said, in order; empty where a number on a scale or a measure was. */
  said: readonly string[];
  /** All of it that ever went in. */
  put: number;
}

/** One addition as its event tells it. */
export interface CupAddition {
  eventId: string;
  material: MeasuredOut['material'];
  unit: 'mL' | 'g';
  /** Null where nobody measured it. */
  amount: number | null;
  written: string;
  at: string;
}

/** A look at the towel or at the cup, or a note in words. */
export interface CupLook {
  eventId: string;
  of: 'towel' | 'cup' | 'note';
  answer: string;
  at: string;
}

/** What left a cup. */
export type CupLeft = EventOf<'poured'> | EventOf<'kept'>;

/** A cup as it stands. */
export interface Cup {
  id: string;
  name: string;
  capacityMl: number | null;
  goods: CupGoods | null;
  /** The color that it is an attempt at; null for none. */
  sought: string | null;
  /** What is in it, in the order in which it first went in. */
  parts: readonly CupPart[];
  /** What nobody measured, in words, while some of it is in there. */
  unmeasured: readonly { material: MeasuredOut['material']; written: string }[];
  additions: readonly CupAddition[];
  looks: readonly CupLook[];
  left: readonly CupLeft[];
  /** What was kept before black went in; null where nobody kept it. */
  beforeBlack: { at: string; eventId: string; parts: readonly CupPart[] } | null;
  /** When something last happened to it. */
  at: string;
}

/** What stands in a look for “kept as it was before black”. */
export const BEFORE_BLACK = 'before black';

/** A cup as its record comes to. @throws FieldError where the record begins with no cup */
export function cupNow({ id, events }: CupRecord): Cup {
  const { left: standing } = unstruck(events);
  if (!standing.some((event) => vesselIn(event) !== null))
    throw new FieldError('of.id', `There is no cup “${id}”.`);
  return standing.reduce<Cup>(after, {
    id,
    name: '',
    capacityMl: null,
    goods: null,
    sought: null,
    parts: [],
    unmeasured: [],
    additions: [],
    looks: [],
    left: [],
    beforeBlack: null,
    at: standing.at(-1)?.at ?? '',
  });
}

/** The vessel that an event brings; null for any other. */
function vesselIn(event: Event): Extract<Thing, { kind: 'vessel' }> | null {
  const thing = event.kind === 'act' && event.act.kind === 'bring' ? event.act.thing : null;
  return thing?.kind === 'vessel' ? thing : null;
}

/** A cup once one more thing has happened to it. */
function after(cup: Cup, event: Event): Cup {
  switch (event.kind) {
    case 'named':
      return { ...cup, name: event.name };
    case 'sought':
      return { ...cup, sought: event.color };
    case 'noted': {
      const note = { eventId: event.id, of: 'note' as const, answer: event.text, at: event.at };
      return { ...cup, looks: [...cup.looks, note] };
    }
    case 'poured':
    case 'kept':
      return {
        ...cup,
        left: [...cup.left, event],
        parts: event.share >= 1 ? [] : cup.parts.map((part) => shareOf(part, 1 - event.share)),
        unmeasured: event.share >= 1 ? [] : cup.unmeasured,
      };
    case 'act':
      return afterAct(cup, event);
    default:
      return cup;
  }
}

function afterAct(cup: Cup, event: EventOf<'act'>): Cup {
  const { act } = event;
  switch (act.kind) {
    case 'bring': {
      const { thing } = act;
      if (thing.kind === 'goods') return { ...cup, goods: thing };
      return thing.kind === 'vessel'
        ? { ...cup, name: cup.name === '' ? thing.name : cup.name, capacityMl: thing.capacityMl }
        : cup;
    }
    case 'put':
    case 'run':
      return withAddition(cup, additionOf(event, act));
    case 'look': {
      if (act.of !== 'towel' && act.of !== 'cup') return cup;
      const look = { eventId: event.id, of: act.of, answer: act.answer, at: event.at };
      const kept = act.of === 'cup' && act.answer === BEFORE_BLACK;
      return {
        ...cup,
        looks: [...cup.looks, look],
        beforeBlack: kept ? { at: event.at, eventId: event.id, parts: cup.parts } : cup.beforeBlack,
      };
    }
    default:
      return cup;
  }
}

/** So much of a part. */
export const shareOf = (part: CupPart, share: number): CupPart => ({
  ...part,
  amount: part.amount * share,
});

function withAddition(cup: Cup, addition: CupAddition): Cup {
  const { material, unit, amount, written } = addition;
  const more = { ...cup, additions: [...cup.additions, addition] };
  if (amount === null) return { ...more, unmeasured: [...cup.unmeasured, { material, written }] };
  const at = cup.parts.findIndex((part) => partKey(part) === partKey(addition));
  const known = cup.parts[at];
  const part = known
    ? { ...known, amount: known.amount + amount, put: known.put + amount, said: [...known.said, written] }
    : { material, unit, amount, put: amount, said: [written] };
  return { ...more, parts: known ? cup.parts.with(at, part) : [...cup.parts, part] };
}

function additionOf(event: EventOf<'act'>, act: ActOf<'put'> | ActOf<'run'>): CupAddition {
  const common = { eventId: event.id, written: event.written, at: event.at };
  return act.kind === 'run'
    ? { ...common, material: { kind: 'water' }, unit: 'mL', amount: act.ml }
    : { ...common, material: act.material, unit: act.unit, amount: act.amount };
}

/** What is one part: the same thing from the same jar, in the same unit. */
const partKey = ({ material, unit }: Pick<CupPart, 'material' | 'unit'>): string =>
  JSON.stringify([material, unit]);

/** Liquid in a cup, mL: powder adds none. */
export const cupMl = ({ parts }: Pick<Cup, 'parts'>): number =>
  parts.reduce((sum, { unit, amount }) => (unit === 'mL' ? sum + amount : sum), 0);

/** Whether nothing is in it. */
export const isEmptyCup = ({ parts, unmeasured }: Pick<Cup, 'parts' | 'unmeasured'>): boolean =>
  parts.length === 0 && unmeasured.length === 0;

/** What a cup’s act goes into, as the act names it. */
export const intoCup = { vessel: CUP } as const satisfies Extract<Act, { kind: 'put' }>['into'];
