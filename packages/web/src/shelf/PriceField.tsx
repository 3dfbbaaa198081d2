import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { toCents, toMoney } from '@ythrion/core';
import { QuantityField } from '../parts/QuantityField';
import { valueOfUnreadable } from './fields';

/** Money, kept in cents and written with them. */
export function PriceField<T extends FieldValues>({
  control,
  name,
  label,
}: {
  control: Control<T>;
  name: FieldPath<T>;
  label: string;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <QuantityField
          label={label}
          kind="price"
          value={Number.isFinite(field.value) ? toMoney(field.value as number) : undefined}
          onChange={(value) => field.onChange(toCents(value))}
          onUnreadable={(text) => field.onChange(valueOfUnreadable(text))}
          problem={fieldState.error?.message}
        />
      )}
    />
  );
}
