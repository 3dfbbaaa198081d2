import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Controller, useWatch, type Control, type FieldPath } from 'react-hook-form';
import { CLEARS, STRIKES, type Dye } from '@ythrion/core';
import { Tick } from '../parts/Tick';
import { AmountField, ChoiceField } from './fields';

const STRIKE_WORDS = { unknown: 'not known', fast: 'fast', medium: 'at a medium pace', slow: 'slow' };
const CLEAR_WORDS = { unknown: 'not known', clears: 'clears', never: 'never quite clears' };

const TICKS: [name: FieldPath<Dye>, label: string][] = [
  ['behavior.bleeds', 'Bleeds'],
  ['behavior.breaks', 'Breaks into its parts when sprinkled'],
  ['behavior.littleGoesFar', 'A little goes far'],
];

/** How a dye behaves, as its dyer knows it: shown wherever it is used. */
export function BehaviorFields({ control }: { control: Control<Dye> }) {
  const clears = useWatch({ control, name: 'behavior.clears' });
  return (
    <Box
      component="fieldset"
      sx={{
        border: 1,
        borderColor: 'divider',
        m: 0,
        p: 1.5,
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: '1fr 1fr',
      }}
    >
      <Typography component="legend" variant="body2" sx={{ px: 0.5 }}>
        How it behaves
      </Typography>
      <ChoiceField
        control={control}
        name="behavior.strikes"
        label="Strikes"
        options={STRIKES.map((value) => ({ value, label: STRIKE_WORDS[value] }))}
      />
      <ChoiceField
        control={control}
        name="behavior.clears"
        label="The bath"
        options={CLEARS.map((value) => ({ value, label: CLEAR_WORDS[value] }))}
      />
      {clears === 'clears' && (
        <>
          <AmountField control={control} name="behavior.clearsMinutes" label="Clears in" kind="minutes" />
          <AmountField control={control} name="behavior.clearsAtC" label="Clears at" kind="temperature" />
        </>
      )}
      <AmountField
        control={control}
        name="behavior.deepestPercent"
        label="Deepest sensible depth"
        kind="dos"
      />
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', columnGap: 3 }}>
        {TICKS.map(([name, label]) => (
          <Controller
            key={name}
            control={control}
            name={name}
            render={({ field }) => (
              <Tick label={label} checked={field.value === true} onChange={(on) => field.onChange(on)} />
            )}
          />
        ))}
      </Box>
    </Box>
  );
}
