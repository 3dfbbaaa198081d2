import { startTransition, useContext, useState, type KeyboardEvent } from 'react';
import InputAdornment from '@mui/material/InputAdornment';
import {
  editText,
  formatAmount,
  parseQuantity,
  quantityKind,
  stepQuantity,
  type ParseContext,
  type QuantityKindName,
} from '@ythrion/core';
import { DeferChanges } from './deferChanges';
import { StudioSpoons } from './studioSpoons';
import { given, isPlain, opened, typed } from './quantityText';
import { TextLine } from './TextLine';

export interface QuantityFieldProps {
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
  size?: 'desk' | 'bench';
  autoFocus?: boolean;
  /** A problem found outside the field. */
  problem?: string | undefined;
}

/**
 * The one field for every amount. Takes what people write, shows under it how it was read in the unit of the
 * field, and keeps what was typed. Up and down step along the ladder; Enter goes on to the next amount.
 */
export function QuantityField({
  label,
  kind: kindName,
  value,
  written,
  onChange,
  onUnreadable,
  onEnter,
  context,
  size = 'desk',
  autoFocus = false,
  problem,
}: QuantityFieldProps) {
  const kind = quantityKind(kindName);
  const deferred = useContext(DeferChanges);
  const turned = deferred?.turned ?? 0;
  const spoons = useContext(StudioSpoons);
  const reading: ParseContext = { spoons, ...context };
  const reader = { kind: kindName, context: reading };
  const [kept, setState] = useState(() => opened(value, written, reader, turned));
  const state = given(kept, value, written, reader, turned);
  if (state !== kept) setState(state);
  const { text } = state;
  const read = parseQuantity(text, kindName, reading);

  const take = (next: string): void => {
    const { state: now, given: amount } = typed(state, next, kind.unit, reader, deferred !== null);
    setState(now);
    if (amount === null) return onUnreadable?.(next);
    const give = (): void => onChange(amount.value, amount.written);
    if (deferred === null) give();
    else startTransition(give);
  };
  const keyDown = (event: KeyboardEvent<HTMLElement>): void => {
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      take(editText(stepQuantity(kindName, read.ok ? read.value : value, event.key === 'ArrowUp' ? 1 : -1)));
    }
    if (event.key !== 'Enter') return;
    if (!onEnter) return goToNextAmount(event);
    event.preventDefault();
    // A key that is held down enters once.
    if (!event.repeat) onEnter();
  };
  const plain = isPlain(text, '');
  const empty = text.trim() === '' && value === undefined;
  // Under what was typed, never over it.
  const readBack = read.ok && !plain ? `= ${formatAmount(read.value, kind.unit)}` : '';
  const remarked = read.ok ? [readBack, read.remark].filter(Boolean).join('. ') : read.problem;
  const said = problem ?? (empty || remarked === '' ? undefined : remarked);
  const wrong = problem !== undefined || (!empty && !read.ok);
  return (
    <TextLine
      label={label}
      value={text}
      onChange={take}
      onKeyDown={keyDown}
      said={said}
      wrong={wrong ? said : undefined}
      autoFocus={autoFocus}
      end={plain || !read.ok ? <InputAdornment position="end">{kind.unit}</InputAdornment> : undefined}
      input={{
        inputMode: 'text',
        autoComplete: 'off',
        // Whoever keeps things asks whether all amounts can be read.
        'data-quantity': empty || read.ok ? '' : 'unread',
        ...(size === 'bench' && { style: { fontSize: 28, fontWeight: 600 } }),
      }}
    />
  );
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
