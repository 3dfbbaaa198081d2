import { doseKind, doseSaid, type AcidDose, type ParseContext } from '@ythrion/core';
import { SaidAmount } from './SaidAmount';

export interface SaidDoseProps {
  label: string;
  dose: AcidDose;
  /** How an amount of it is read. */
  reading: ParseContext;
  written: string | undefined;
  onChange: (dose: AcidDose, written: string) => void;
}

/** How much of an acid. A measure of another kind says itself what the dose is counted by: `2 tbsp` is an amount in all. */
export function SaidDose({ label, dose, reading, written, onChange }: SaidDoseProps) {
  return (
    <SaidAmount
      label={label}
      kind={doseKind(dose)}
      context={reading}
      value={dose.value}
      written={written}
      onChange={(value, as) => onChange({ ...dose, value }, as)}
      onUnreadable={(text) => {
        const said = doseSaid(text, dose, reading);
        if (said) onChange(said, text);
      }}
    />
  );
}
