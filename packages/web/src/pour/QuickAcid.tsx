import Box from '@mui/material/Box';
import { doseKind, doseSaid, QUICK_ACIDS, readingOf, type AcidDose, type Studio } from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { QuantityField } from '../parts/QuantityField';

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
  const reading = readingOf({ kind: 'acid', acid: acid.material }, { studio, dyes: [] });
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr' }}>
      <Choice
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
      <QuantityField
        label={
          acid.basis === 'gPerL' ? `${citric ? 'Citric' : 'Acetic'} acid per liter` : DOSE_LABELS[acid.basis]
        }
        kind={doseKind(acid)}
        context={reading}
        value={acid.value}
        written={written}
        onChange={(value, as) => onChange({ ...acid, value }, as)}
        onUnreadable={(text) => {
          const said = doseSaid(text, acid, reading);
          if (said) onChange(said, text);
        }}
      />
    </Box>
  );
}

const DOSE_LABELS = { amount: 'Acid in all', percentOfGoods: 'Acid on goods' };
