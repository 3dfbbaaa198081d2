import { FieldError } from '../../figure/fieldError';
import type { Act } from '../../process/act';
import type { MeasuredOut } from '../../process/amountOf';
import { broughtGoods } from '../../plan/brought';
import type { GoodsLine } from '../../recipe/recipe';
import type { Base } from '../../shelf/base';
import type { StudioWater } from '../../shelf/water';
import { formatAmount } from '../../units/formatQuantity';
import type { NewEvent } from '../newEvent';
import { lookAct } from '../unplanned';
import { BEFORE_BLACK, CUP, CUP_GOODS, cupMl, intoCup, isEmptyCup, type Cup } from './cup';

const COMMON = { pass: null, line: null, purpose: 'cup' } as const;
const done = (act: Act, written = ''): NewEvent => ({ kind: 'act', planned: null, act, written, note: '' });

/** A cup at hand, with which its record begins. @param capacityMl what it holds to the rim, mL; null where nobody knows */
export const beginCup = (name: string, capacityMl: number | null): NewEvent =>
  done({
    kind: 'bring',
    ...COMMON,
    thing: { kind: 'vessel', vessel: CUP, role: 'mixing cup', name, shelfId: null, capacityMl },
  });

/** The goods that a cup is mixed for, or others instead. */
export const cupFor = (line: GoodsLine, base: Base, water: StudioWater): NewEvent =>
  done({
    kind: 'bring',
    ...COMMON,
    line: CUP_GOODS,
    thing: { ...broughtGoods(line, base, water), from: null },
  });

/** What a tap puts in. */
export interface CupTap extends Omit<MeasuredOut, 'amount'> {
  /** Null where nobody measured it: `written` says what it was. */
  amount: number | null;
  /** As it is said: `1 tbsp`. */
  written: string;
}

/** One addition. @throws FieldError where the cup would run over, or nothing is said of what went in */
export function addToCup(cup: Cup, { material, unit, amount, written }: CupTap): NewEvent {
  if (amount === null && written.trim() === '')
    throw new FieldError('amount', 'Say how much went in, or in words what it was, such as “a splash”.');
  const ml = cupMl(cup) + (unit === 'mL' ? (amount ?? 0) : 0);
  if (cup.capacityMl !== null && ml > cup.capacityMl * (1 + 1e-9))
    throw new FieldError(
      'amount',
      `That would be ${formatAmount(ml, 'mL')}, and the cup holds ${formatAmount(cup.capacityMl, 'mL')}. Pour some of it first, or mix in a larger one.`,
    );
  return done(
    material.kind === 'water'
      ? { kind: 'run', ...COMMON, vessel: CUP, ml: amount, celsius: null }
      : { kind: 'put', ...COMMON, material, amount, unit, into: intoCup },
    written,
  );
}

/** A dab on a towel, as it looks. @throws FieldError without words */
export function towelTest(answer: string): NewEvent {
  if (answer.trim() === '')
    throw new FieldError('answer', 'Say how the towel looks, such as “browner than wanted”.');
  return done({ ...lookAct(null, 'towel', answer.trim()), purpose: 'cup' });
}

/** A note in words. @throws FieldError without any */
export function noteAtCup(text: string): NewEvent {
  if (text.trim() === '') throw new FieldError('text', 'Say what you want to remember of this cup.');
  return { kind: 'noted', text: text.trim() };
}

/** The cup kept as it is before black goes in. @throws FieldError of an empty cup */
export function keepBeforeBlack(cup: Cup): NewEvent {
  if (isEmptyCup(cup)) throw new FieldError('cup', 'The cup is empty: there is nothing to keep yet.');
  return done({ ...lookAct(null, 'cup', BEFORE_BLACK), purpose: 'cup' });
}
