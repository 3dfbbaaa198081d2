import {
  editText,
  parseQuantity,
  withUnit,
  type ParseContext,
  type ParsedQuantity,
  type QuantityKindName,
  type RefusedQuantity,
  type StudioUnit,
} from '@ythrion/core';

/** More keys than this are never ahead of the screen. */
const MOST_ON_THE_WAY = 40;

/** What an amount is read as, and by whose spoons. */
export interface QuantityReader {
  kind: QuantityKindName;
  context?: ParseContext | undefined;
  /** In which unit the studio reads it, where the field keeps another. */
  unit?: StudioUnit | null;
}

/** What a text says in a field; a bare number is in the unit the studio reads in. */
export const readText = (
  text: string,
  { kind, context, unit }: QuantityReader,
): ParsedQuantity | RefusedQuantity => parseQuantity(withUnit(text, unit ?? null), kind, context);

/** The text of a value that nobody said in words. */
export const textOf = (value: number, { unit }: QuantityReader): string =>
  unit?.say(value) ?? editText(value);

/** The text of a field for an amount, beside the value it stands for elsewhere. */
export interface QuantityText {
  text: string;
  /** The value that the field was last given. */
  seen: number | undefined;
  /** What the field gave and has not got back yet: those values are its own, any other came from outside. */
  sent: readonly number[];
  /** How often something other than typing had changed what is behind the field. */
  turned: number;
}

/** What is typed in a field: the amount it is read as, or null where it is none. */
export interface Typed {
  state: QuantityText;
  given: { value: number; written: string } | null;
}

/**
 * What stands in a field for a value. @param written what was typed for it, if that was more than the plain number; where
 * that no longer says the value, as after another setting changed it, the number stands by itself
 */
function shownFor(value: number | undefined, written: string | undefined, reader: QuantityReader): string {
  if (value === undefined) return '';
  const read = written ? parseQuantity(written, reader.kind, reader.context) : null;
  return written && read?.ok && alike(read.value, value) ? written : textOf(value, reader);
}

const alike = (read: number, value: number): boolean => Math.abs(read - value) <= 1e-6 * Math.abs(value);

/** A field as it opens. */
export const opened = (
  value: number | undefined,
  written: string | undefined,
  reader: QuantityReader,
  turned: number,
): QuantityText => ({ text: shownFor(value, written, reader), seen: value, sent: [], turned });

/**
 * A field that is given a value: its own come back, which changes nothing in it, or another from outside, which it shows.
 * Once something other than typing had a turn, it shows what stands, whatever of its own is still on its way.
 */
export function given(
  state: QuantityText,
  value: number | undefined,
  written: string | undefined,
  reader: QuantityReader,
  turned: number,
): QuantityText {
  if (state.turned !== turned) return opened(value, written, reader, turned);
  if (state.seen === value) return state;
  const read = readText(state.text, reader);
  const own = value === undefined ? -1 : state.sent.indexOf(value);
  const same = value !== undefined && read.ok && alike(read.value, value);
  const unread = value === undefined && !read.ok;
  return {
    turned,
    text: own < 0 && !same && !unread ? shownFor(value, written, reader) : state.text,
    seen: value,
    sent: own < 0 ? [] : state.sent.slice(own + 1),
  };
}

/**
 * A text typed into a field.
 * @param unit the unit of the field: a number by itself or in it says no more than its value
 * @param later true where what is given comes back only after more may have been typed
 */
export function typed(
  state: QuantityText,
  text: string,
  unit: string,
  reader: QuantityReader,
  later: boolean,
): Typed {
  const read = readText(text, reader);
  const said = withUnit(text, reader.unit ?? null);
  if (!read.ok) return { state: { ...state, text }, given: null };
  return {
    state: {
      ...state,
      text,
      sent: later ? [...state.sent, read.value].slice(-MOST_ON_THE_WAY) : state.sent,
    },
    given: { value: read.value, written: isPlain(said, unit) ? '' : said },
  };
}

/** Whether a text says no more than its value: a number, by itself or in the unit of the field. */
export function isPlain(text: string, unit: string): boolean {
  const trimmed = text.trim();
  return /^[\d.,]+\s*$/.test(
    unit !== '' && trimmed.endsWith(unit) ? trimmed.slice(0, -unit.length) : trimmed,
  );
}
