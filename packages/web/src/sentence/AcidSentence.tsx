import { useState } from 'react';
import {
  ACID_MATERIALS,
  ACIDS,
  type AcidBasis,
  type AcidDose,
  type AcidMaterial,
  type AcidTime,
  type ParseContext,
} from '@ythrion/core';
import { capital } from './capital';
import { Further } from './Further';
import { SaidAmount } from './SaidAmount';
import { SaidChoice } from './SaidChoice';
import { SaidDose } from './SaidDose';
import { Sentence } from './Sentence';

const MATERIALS: { value: AcidMaterial | 'none'; label: string; said?: string }[] = [
  ...ACID_MATERIALS.map((value) => ({ value, label: capital(ACIDS[value].short) })),
  { value: 'none', label: 'None', said: 'No acid' },
];
const TIMES: { value: AcidTime; label: string }[] = [
  { value: 'soak', label: 'in the soak' },
  { value: 'start', label: 'from the start' },
  { value: 'warm', label: 'once warm' },
  { value: 'last', label: 'last, once level' },
  { value: 'with powder', label: 'with the powder' },
];

const basisOptions = (material: AcidMaterial): { value: AcidBasis; label: string; said: string }[] => [
  { value: 'gPerL', label: 'acid per liter of bath', said: 'of bath' },
  { value: 'percentOfGoods', label: 'acid on weight of goods', said: 'of the goods' },
  { value: 'amount', label: ACIDS[material].unit === 'mL' ? 'mL in all' : 'g in all', said: 'in all' },
];

export interface AcidSentenceProps {
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
export function AcidSentence({
  dose,
  restate,
  swap,
  written,
  onChange,
  fallback,
  times,
  reading,
}: AcidSentenceProps) {
  // How often what it is counted by was chosen: the field then says the dose anew.
  const [turned, setTurned] = useState(0);
  const setMaterial = (material: AcidMaterial | 'none'): void => {
    if (material === 'none') return onChange(null, '');
    onChange(swap(dose ?? fallback, material), '');
  };
  return (
    <Sentence>
      <SaidChoice label="Acid" value={dose?.material ?? 'none'} options={MATERIALS} onChange={setMaterial} />{' '}
      {dose && (
        <>
          <SaidDose
            key={`${dose.material}-${turned}`}
            label="Dose"
            dose={dose}
            reading={reading}
            written={written}
            onChange={onChange}
          />{' '}
          <SaidChoice
            label="Counted as"
            value={dose.basis}
            options={basisOptions(dose.material)}
            onChange={(basis) => {
              setTurned(turned + 1);
              onChange({ ...dose, basis, value: restate(basis) }, '');
            }}
          />{' '}
          {times.length > 0 && (
            <SaidChoice
              label="When"
              value={times.includes(dose.when) ? dose.when : 'start'}
              options={TIMES.filter(({ value }) => times.includes(value))}
              onChange={(when) => onChange({ ...dose, when }, written ?? '')}
            />
          )}{' '}
          <Further
            label="More about the acid"
            usual={dose.strengthPercent === ACIDS[dose.material].usualStrength}
          >
            , its {ACIDS[dose.material].unit === 'mL' ? 'strength' : 'purity'}{' '}
            <SaidAmount
              label={ACIDS[dose.material].unit === 'mL' ? 'Strength' : 'Purity'}
              kind="acidStrength"
              value={dose.strengthPercent}
              onChange={(strengthPercent) => onChange({ ...dose, strengthPercent }, written ?? '')}
            />
          </Further>
        </>
      )}
    </Sentence>
  );
}
