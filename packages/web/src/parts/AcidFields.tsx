import { useState } from 'react';
import Box from '@mui/material/Box';
import {
  ACID_MATERIALS,
  ACIDS,
  type AcidBasis,
  type AcidDose,
  type AcidMaterial,
  type AcidTime,
  type ParseContext,
} from '@ythrion/core';
import { Choice } from './Choice';
import { DoseField } from './DoseField';
import { QuantityField } from './QuantityField';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const MATERIALS: { value: AcidMaterial | 'none'; label: string }[] = [
  ...ACID_MATERIALS.map((value) => ({ value, label: capital(ACIDS[value].short) })),
  { value: 'none', label: 'None' },
];
const TIMES: { value: AcidTime; label: string }[] = [
  { value: 'soak', label: 'in soak' },
  { value: 'start', label: 'at start' },
  { value: 'warm', label: 'when warm' },
  { value: 'last', label: 'last' },
  { value: 'with powder', label: 'with powder' },
];

const basisOptions = (material: AcidMaterial): { value: AcidBasis; label: string }[] => [
  { value: 'gPerL', label: 'g/L' },
  { value: 'percentOfGoods', label: '% of goods' },
  { value: 'amount', label: ACIDS[material].unit === 'mL' ? 'mL in all' : 'g in all' },
];

export interface AcidFieldsProps {
  dose: AcidDose | null;
  /** The dose in every basis, to carry it over when the basis changes; absent while there is none. */
  restate: (basis: AcidBasis) => number;
  /** The dose in another acid, for the same pH where that is known. */
  swap: (dose: AcidDose, to: AcidMaterial) => AcidDose;
  written?: string | undefined;
  onChange: (dose: AcidDose | null, written: string) => void;
  fallback: AcidDose;
  /** When it may go in; none where something else than the dose says it. */
  times: readonly AcidTime[];
  /** How an amount of it is read. */
  reading: ParseContext;
}

/** Which acid, how much in whichever school's terms, and when. */
export function AcidFields({
  dose,
  restate,
  swap,
  written,
  onChange,
  fallback,
  times,
  reading,
}: AcidFieldsProps) {
  // How often what it is counted by was chosen: the field then says the dose anew.
  const [turned, setTurned] = useState(0);
  const setMaterial = (material: AcidMaterial | 'none'): void => {
    if (material === 'none') return onChange(null, '');
    onChange(swap(dose ?? fallback, material), '');
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: dose
          ? {
              xs: '1fr 1fr',
              lg: times.length > 0 ? '1fr 0.7fr 1.3fr 1.05fr 1fr' : '1fr 0.7fr 1.3fr 1.05fr',
            }
          : '1fr',
      }}
    >
      <Choice label="Acid" value={dose?.material ?? 'none'} options={MATERIALS} onChange={setMaterial} />
      {dose && (
        <>
          <QuantityField
            label={ACIDS[dose.material].unit === 'mL' ? 'Strength' : 'Purity'}
            kind="acidStrength"
            value={dose.strengthPercent}
            onChange={(strengthPercent) => onChange({ ...dose, strengthPercent }, written ?? '')}
          />
          <DoseField
            key={`${dose.material}-${turned}`}
            label="Dose"
            dose={dose}
            reading={reading}
            written={written}
            onChange={onChange}
          />
          <Choice
            label="Counted as"
            value={dose.basis}
            options={basisOptions(dose.material)}
            onChange={(basis) => {
              setTurned(turned + 1);
              onChange({ ...dose, basis, value: restate(basis) }, '');
            }}
          />
          {times.length > 0 && (
            <Choice
              label="When"
              value={times.includes(dose.when) ? dose.when : 'start'}
              options={TIMES.filter(({ value }) => times.includes(value))}
              onChange={(when) => onChange({ ...dose, when }, written ?? '')}
            />
          )}
        </>
      )}
    </Box>
  );
}
