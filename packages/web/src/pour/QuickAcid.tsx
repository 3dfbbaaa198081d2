import { QUICK_ACIDS, readingOf, type AcidDose, type Studio } from '@ythrion/core';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidDose } from '../sentence/SaidDose';
import { Sentence } from '../sentence/Sentence';

/** Vinegar or citric, by the liter until what is typed says otherwise: `2 tbsp` is an amount in all. */
export function QuickAcid({
  acid,
  studio,
  written,
  onChange,
}: {
  acid: AcidDose;
  studio: Studio;
  written: string | undefined;
  onChange: (acid: AcidDose, written: string) => void;
}) {
  const citric = acid.material === 'citric';
  return (
    <Sentence>
      <SaidChoice
        label="Acid"
        value={citric ? 'citric' : 'vinegar'}
        options={[
          { value: 'vinegar', label: 'White vinegar, 5 %' },
          { value: 'citric', label: 'Citric crystals' },
        ]}
        // So much by the liter is as much of either; an amount in all is not.
        onChange={(material) =>
          onChange({ ...QUICK_ACIDS[material], ...(acid.basis === 'gPerL' && { value: acid.value }) }, '')
        }
      />
      ,{' '}
      <SaidDose
        label={
          acid.basis === 'gPerL' ? `${citric ? 'Citric' : 'Acetic'} acid per liter` : DOSE_LABELS[acid.basis]
        }
        dose={acid}
        reading={readingOf({ kind: 'acid', acid: acid.material }, { studio, dyes: [] })}
        written={written}
        onChange={onChange}
      />{' '}
      {SAID[acid.basis]}
    </Sentence>
  );
}

const SAID = { gPerL: 'of bath', amount: 'in all', percentOfGoods: 'of the goods' };
const DOSE_LABELS = { amount: 'Acid in all', percentOfGoods: 'Acid on goods' };
