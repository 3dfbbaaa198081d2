import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import type { ParseContext, QuantityKindName } from '@ythrion/core';
import { TextLine } from '../parts/TextLine';
import { Choice } from '../parts/Choice';
import { QuantityField } from '../parts/QuantityField';

interface Bound<T extends FieldValues> {
  control: Control<T>;
  name: FieldPath<T>;
  label: string;
}

const said = (error: { message?: string | undefined } | undefined): string | undefined => error?.message;

/** A line of words in a shelf form. */
export function WordField<T extends FieldValues>({
  control,
  name,
  label,
  multiline = false,
  type = 'text',
  nullable = false,
}: Bound<T> & { multiline?: boolean; type?: 'text' | 'color' | 'date'; nullable?: boolean }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextLine
          label={label}
          value={(field.value as string | null) ?? ''}
          onChange={(text) => field.onChange(nullable && text === '' ? null : text)}
          onBlur={field.onBlur}
          type={type}
          multiline={multiline}
          wrong={said(fieldState.error)}
        />
      )}
    />
  );
}

/** An amount that was taken out is none; one that cannot be read is no value at all, and the form is not kept with it. */
export const valueOfUnreadable = (text: string): number | null => (text.trim() === '' ? null : Number.NaN);

/** An amount in a shelf form. */
export function AmountField<T extends FieldValues>({
  control,
  name,
  label,
  kind,
  context,
}: Bound<T> & { kind: QuantityKindName; context?: ParseContext }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <QuantityField
          label={label}
          kind={kind}
          value={Number.isFinite(field.value) ? (field.value as number) : undefined}
          onChange={field.onChange}
          onUnreadable={(text) => field.onChange(valueOfUnreadable(text))}
          problem={said(fieldState.error)}
          {...(context && { context })}
        />
      )}
    />
  );
}

/** One of a few in a shelf form. */
export function ChoiceField<T extends FieldValues>({
  control,
  name,
  label,
  options,
}: Bound<T> & { options: readonly { value: string; label: string }[] }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Choice
          label={label}
          value={field.value as string}
          options={options}
          onChange={field.onChange}
          problem={said(fieldState.error)}
        />
      )}
    />
  );
}

/** Options whose label is the value itself. */
export const plainOptions = (values: readonly string[]): { value: string; label: string }[] =>
  values.map((value) => ({ value, label: value }));
