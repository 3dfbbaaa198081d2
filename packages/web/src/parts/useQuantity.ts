import { startTransition, useContext, useState, type InputHTMLAttributes, type KeyboardEvent } from 'react';
import {
  formatAmount,
  quantityKind,
  stepQuantity,
  studioUnit,
  type ParseContext,
  type QuantityKindName,
} from '@ythrion/core';
import { DeferChanges } from './deferChanges';
import { StudioMeasures } from './studioMeasures';
import { given, isPlain, opened, readText, textOf, typed } from './quantityText';

export interface QuantityProps {
  label: string;
  kind: QuantityKindName;
  /** In the unit of the kind; undefined for an empty field. */
  value: number | undefined;
  /** What was typed for this value, if it was more than the plain number. */
  written?: string | undefined;
  onChange: (value: number, written: string) => void;
  /** What stands in the field now is no amount: where something is kept with a key, the one before it must not be. */
  onUnreadable?: ((text: string) => void) | undefined;
  /** What Enter does; it goes on to the next amount when left out. */
  onEnter?: (() => void) | undefined;
  context?: ParseContext;
  autoFocus?: boolean;
  /** How an amount reads in another measure, beside what is typed; in the unit of the field where that is null. */
  readAs?: ((value: number) => string | null) | undefined;
  /** A problem found outside the field. */
  problem?: string | undefined;
}

/** What a field for an amount shows and does, however it is drawn. */
export interface Quantity {
  text: string;
  take: (text: string) => void;
  onKeyDown: (event: KeyboardEvent<HTMLElement>) => void;
  /** The unit, where what is typed does not say it. */
  unit: string | null;
  /** How it was read, in the unit of the field, where that says more than what was typed. */
  readBack: string;
  /** What is guessed at in it, or out of the usual. */
  remark: string;
  /** What is wrong with it. */
  wrong: string | undefined;
  input: InputHTMLAttributes<HTMLInputElement> & { 'data-quantity': string };
}

/**
 * The one reader behind every field for an amount. Takes what people write and keeps it as typed. Up and down step along the
 * ladder; Enter goes on to the next amount.
 */
export function useQuantity({
  kind: kindName,
  value,
  written,
  onChange,
  onUnreadable,
  onEnter,
  context,
  readAs,
  problem,
}: QuantityProps): Quantity {
  const kind = quantityKind(kindName);
  const deferred = useContext(DeferChanges);
  const turned = deferred?.turned ?? 0;
  const { spoons, own, shown } = useContext(StudioMeasures);
  const reading: ParseContext = { spoons: spoons.system, own, ...context };
  const theirs = studioUnit(kindName, shown);
  const reader = { kind: kindName, context: reading, unit: theirs };
  const [kept, setState] = useState(() => opened(value, written, reader, turned));
  const state = given(kept, value, written, reader, turned);
  if (state !== kept) setState(state);
  const { text } = state;
  const read = readText(text, reader);

  const take = (next: string): void => {
    const { state: now, given: amount } = typed(state, next, kind.unit, reader, deferred !== null);
    setState(now);
    if (amount === null) return onUnreadable?.(next);
    const give = (): void => onChange(amount.value, amount.written);
    if (deferred === null) give();
    else startTransition(give);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>): void => {
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      take(
        textOf(
          stepQuantity(kindName, read.ok ? read.value : value, event.key === 'ArrowUp' ? 1 : -1),
          reader,
        ),
      );
    }
    if (event.key !== 'Enter') return;
    if (!onEnter) return goToNextAmount(event);
    event.preventDefault();
    // A key that is held down enters once.
    if (!event.repeat) onEnter();
  };
  const plain = isPlain(text, '');
  const empty = text.trim() === '' && value === undefined;
  return {
    text,
    take,
    onKeyDown,
    unit: plain ? (theirs?.unit ?? kind.unit) : read.ok ? null : kind.unit,
    readBack:
      read.ok && (!plain || theirs) ? `= ${readAs?.(read.value) ?? formatAmount(read.value, kind.unit)}` : '',
    remark: (read.ok && read.remark) || '',
    wrong: problem ?? (empty || read.ok ? undefined : read.problem),
    input: {
      inputMode: 'text',
      autoComplete: 'off',
      // Whoever keeps things asks whether all amounts can be read.
      'data-quantity': empty || read.ok ? '' : 'unread',
    },
  };
}

/** As on a numeric pad, Enter goes to the next amount on the screen. */
function goToNextAmount(event: KeyboardEvent<HTMLElement>): void {
  const fields = [...document.querySelectorAll<HTMLInputElement>('[data-quantity]')];
  const next = fields[fields.indexOf(event.target as HTMLInputElement) + 1];
  if (!next) return;
  event.preventDefault();
  next.focus();
  next.select();
}
