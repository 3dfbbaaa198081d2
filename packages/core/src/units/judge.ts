import { formatAmount } from './formatQuantity';
import { quantityKind, type Dimension, type QuantityKind, type QuantityKindName } from './quantityKinds';

export interface ParsedQuantity {
  ok: true;
  /** In the unit of the field. */
  value: number;
  /** Something to show and no reason to stop: the value is seldom met, or what was said was guessed at. */
  remark?: string;
}

export interface RefusedQuantity {
  ok: false;
  /** What is wrong and what would be right. */
  problem: string;
}

/**
 * Holds a value against the limits of its kind.
 * @param value in the canonical unit of the kind
 */
export function judge(value: number, kindName: QuantityKindName): ParsedQuantity | RefusedQuantity {
  const kind = quantityKind(kindName);
  const noun = capital(kind.noun);
  const shown = formatAmount(value, kind.unit);
  const [least, most] = kind.possible;
  if (!Number.isFinite(value)) return refuse(`${noun} is not a number.`);
  if (kind.whole && !Number.isInteger(value)) return refuse(`${noun} must be a whole number, not ${value}.`);
  if (kind.aboveZero && value <= 0) return refuse(`${noun} must be more than zero.`);
  if (value < least)
    return refuse(`${noun} cannot be under ${formatAmount(least, kind.unit)}; this reads as ${shown}.`);
  if (value > most)
    return refuse(`${noun} cannot be over ${formatAmount(most, kind.unit)}; this reads as ${shown}.`);
  if (value > kind.usual[1]) return { ok: true, value, remark: `That is a lot: ${shown}.` };
  if (value < kind.usual[0] && value > 0)
    return { ok: true, value, remark: `That is very little: ${shown}.` };
  return { ok: true, value };
}

const GOES: Record<Dimension, string> = {
  mass: 'goes by weight: 100 g, 4 oz.',
  volume: 'goes by the mL, the spoon or the cup: 250 mL, 2 tbsp + 1 tsp.',
  percent: 'goes by percent: 0.5 %, 2.',
  temperature: 'goes by degrees: 85 °C, 185 F.',
  time: 'goes by minutes, hours or days: 30 min, 1 h 15 min.',
  ratio: 'goes by milliliters a gram: 30, 1:30.',
  concentration: 'goes by grams a liter: 1.5 g/L, 0.5.',
  length: 'goes by length: 30 cm, 12 in.',
  power: 'goes by watts: 1500 W, 1.5 kW.',
  number: 'goes by number: 3, 12.',
};

/** How the amount of a field is said, with two examples that fit it. */
export const howSaid = (kind: QuantityKind): string =>
  kind.said ?? `${capital(kind.noun)} ${GOES[kind.dimension]}`;

export const refuse = (problem: string): RefusedQuantity => ({ ok: false, problem });
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
