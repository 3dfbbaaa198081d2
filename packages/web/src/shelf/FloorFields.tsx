import { Controller, type Control } from 'react-hook-form';
import type { Pan, Pot } from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { QuantityField } from '../parts/QuantityField';

const SHAPES: { value: string; label: string }[] = [
  { value: '', label: 'not measured' },
  { value: 'rectangular', label: 'rectangular' },
  { value: 'round', label: 'round' },
];

const BEGINS: Record<Pan['shape'], Pan> = {
  rectangular: { shape: 'rectangular', lengthCm: 50, widthCm: 30 },
  round: { shape: 'round', diameterCm: 32 },
};

/** The floor of a vessel, so that liquid can be said by its height. */
export function FloorFields({ control }: { control: Control<Pot> }) {
  return (
    <Controller
      control={control}
      name="floor"
      render={({ field: { value: floor, onChange } }) => {
        const side = (label: string, value: number, change: (cm: number) => Pan) => (
          <QuantityField label={label} kind="length" value={value} onChange={(cm) => onChange(change(cm))} />
        );
        return (
          <>
            <Choice
              label="Floor"
              value={floor?.shape ?? ''}
              options={SHAPES}
              onChange={(shape) => onChange(shape === '' ? null : BEGINS[shape as Pan['shape']])}
            />
            {floor?.shape === 'rectangular' && (
              <>
                {side('Floor, length', floor.lengthCm, (lengthCm) => ({ ...floor, lengthCm }))}
                {side('Floor, width', floor.widthCm, (widthCm) => ({ ...floor, widthCm }))}
              </>
            )}
            {floor?.shape === 'round' &&
              side('Floor, across', floor.diameterCm, (diameterCm) => ({ ...floor, diameterCm }))}
          </>
        );
      }}
    />
  );
}
