import { useContext, useState } from 'react';
import { waterIn, waterSaid, type PlannedPass, type Water } from '@ythrion/core';
import { StudioMeasures } from '../parts/studioMeasures';
import { SaidAmount } from './SaidAmount';
import { SaidChoice } from './SaidChoice';

export interface SaidWaterProps {
  water: Water;
  /** The pass as it is planned, from which the bath is said by the other measure; absent while there is none. */
  planned: Pick<PlannedPass, 'liquorRatio' | 'bath'> | undefined;
  /** Whether it can be the bath of the pass before. */
  canKeep: boolean;
  written: string | undefined;
  onChange: (water: Water, written: string) => void;
}

/** The bath, by liquor ratio, volume or as the one before. A measure says itself what it goes by: `9 L`, `38 cups`, `1:30`. */
export function SaidWater({ water, planned, canKeep, written, onChange }: SaidWaterProps) {
  // How often it was chosen what the water goes by: the word then says it anew.
  const [turned, setTurned] = useState(0);
  const { spoons } = useContext(StudioMeasures);
  return (
    <>
      {water.basis !== 'kept' && (
        <SaidAmount
          key={turned}
          label={water.basis === 'ratio' ? 'Liquor ratio' : 'Bath'}
          kind={water.basis === 'ratio' ? 'liquorRatio' : 'volume'}
          value={water.value}
          written={written}
          onChange={(value, as) => onChange({ ...water, value }, as)}
          onUnreadable={(text) => {
            const said = waterSaid(text, water, { spoons: spoons.system });
            if (said) onChange(said, text);
          }}
        />
      )}{' '}
      <SaidChoice
        label="Water by"
        value={water.basis}
        options={[
          { value: 'ratio', label: 'liquor ratio' },
          { value: 'volume', label: 'volume of the bath', said: 'of bath' },
          ...(canKeep ? [{ value: 'kept' as const, label: 'the bath before' }] : []),
        ]}
        onChange={(basis) => {
          setTurned(turned + 1);
          if (basis === 'kept') onChange({ basis }, '');
          else if (planned) onChange(waterIn(basis, planned), '');
        }}
      />
    </>
  );
}
