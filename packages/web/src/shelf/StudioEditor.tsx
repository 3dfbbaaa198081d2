import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Controller, useWatch } from 'react-hook-form';
import { citricSpoon, studioSchema, type Studio } from '@ythrion/core';
import { saidOf } from '../api/client';
import { usePutStudio } from '../studio/queries';
import { CopiesPanel } from './CopiesPanel';
import { DevicesPanel } from './DevicesPanel';
import { OneFilePanel } from './OneFilePanel';
import { AmountField, ChoiceField, WordField } from './fields';
import { HabitsFields } from './HabitsFields';
import { SpoonWeightField } from './SpoonWeightField';
import { useShelfForm } from './useShelfForm';
import { say } from '../parts/say';
import { Tick } from '../parts/Tick';

const SPOONS = [
  { value: 'US', label: 'US: teaspoon 4.93, tablespoon 14.8, cup 236.6 mL' },
  { value: 'metric', label: 'metric: teaspoon 5, tablespoon 15, cup 250 mL' },
  { value: 'AU', label: 'Australian: teaspoon 5, tablespoon 20, cup 250 mL' },
];

/** What holds for the whole studio, its devices, its copies, and all of it as one file. */
export function StudioEditor({ studio }: { studio: Studio }) {
  const { control, read } = useShelfForm<Studio>(studioSchema, studio);
  const citricGramsPerTeaspoon = useWatch({ control, name: 'citricGramsPerTeaspoon' });
  const put = usePutStudio();
  const save = async (): Promise<void> => {
    const value = await read();
    if (!value) return;
    await put
      .mutateAsync(value)
      .then(() => say('Kept.'))
      .catch((error: unknown) => say(saidOf(error)));
  };
  return (
    <Box sx={{ display: 'grid', gap: 3, maxWidth: 620 }}>
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
        sx={{ display: 'grid', gap: 1.75 }}
      >
        <Typography variant="h2">Studio</Typography>
        <WordField control={control} name="name" label="Name" />
        <ChoiceField control={control} name="spoons" label="Spoons and cups" options={SPOONS} />
        <SpoonWeightField
          control={control}
          name="citricGramsPerTeaspoon"
          label="A level teaspoon of citric crystals weighs"
          spoon={citricSpoon({ citricGramsPerTeaspoon })}
        />
        <HabitsFields control={control} />
        <WordField control={control} name="currency" label="Currency" />
        <AmountField
          control={control}
          name="water.alkalinityMgPerL"
          label="Alkalinity of the water, mg/L as CaCO₃"
          kind="alkalinity"
        />
        <Controller
          control={control}
          name="water.countFiberUptake"
          render={({ field }) => (
            <Tick
              label="Count the acid that the goods take up, an estimate, in the expected pH"
              checked={field.value}
              onChange={(on) => field.onChange(on)}
            />
          )}
        />
        <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'repeat(auto-fit, minmax(240px, 1fr))' }}>
          <AmountField control={control} name="place.altitudeM" label="Altitude" kind="altitude" />
          <AmountField control={control} name="place.tapC" label="Tap water" kind="roomTemperature" />
          <AmountField control={control} name="place.roomC" label="Room" kind="roomTemperature" />
        </Box>
        <Button type="submit" variant="contained" sx={{ justifySelf: 'start' }}>
          Keep the change
        </Button>
      </Box>
      <DevicesPanel />
      <CopiesPanel />
      <OneFilePanel />
    </Box>
  );
}
