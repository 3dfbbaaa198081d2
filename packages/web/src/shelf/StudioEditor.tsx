import { useRef } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { Controller } from 'react-hook-form';
import { API, studioSchema, type Studio } from '@ythrion/core';
import { saidOf } from '../api/client';
import { usePutStudio, useTakeIn } from '../studio/queries';
import { CopiesPanel } from './CopiesPanel';
import { DevicesPanel } from './DevicesPanel';
import { AmountField, ChoiceField, WordField } from './fields';
import { useShelfForm } from './useShelfForm';
import { say } from '../parts/say';

const SPOONS = [
  { value: 'US', label: 'US: teaspoon 4.93, tablespoon 14.8, cup 236.6 mL' },
  { value: 'metric', label: 'metric: teaspoon 5, tablespoon 15, cup 250 mL' },
  { value: 'AU', label: 'Australian: teaspoon 5, tablespoon 20, cup 250 mL' },
];

/** What holds for the whole studio, and taking all of it out or in as one open document. */
export function StudioEditor({ studio }: { studio: Studio }) {
  const { control, read } = useShelfForm<Studio>(studioSchema, studio);
  const put = usePutStudio();
  const take = useTakeIn();
  const file = useRef<HTMLInputElement>(null);
  const save = async (): Promise<void> => {
    const value = await read();
    if (!value) return;
    await put
      .mutateAsync(value)
      .then(() => say('Kept.'))
      .catch((error: unknown) => say(saidOf(error)));
  };
  const takeIn = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    try {
      const report = await take.mutateAsync(chosen);
      say(`Taken in: ${report.added} new, ${report.unchanged} already here.`);
    } catch (error) {
      say(`Nothing was taken in. ${saidOf(error)}`);
    }
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
            <FormControlLabel
              control={<Switch checked={field.value} onChange={(_, on) => field.onChange(on)} />}
              label="Count the acid that the goods take up, an estimate, in the expected pH"
            />
          )}
        />
        <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' } }}>
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
      <Box sx={{ display: 'grid', gap: 1 }}>
        <Typography variant="h2">All of it as one file</Typography>
        <Typography variant="body2">
          A zip with every dye, jar, base, pot, colorway and batch as open JSON, one on a line. Taking one in
          (or a single JSON document) is all or nothing and never rewrites a record.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button component="a" href={API.archive} download variant="outlined">
            Take out
          </Button>
          <Button variant="outlined" disabled={take.isPending} onClick={() => file.current?.click()}>
            {take.isPending ? 'Taking it in …' : 'Take in …'}
          </Button>
          <input
            ref={file}
            type="file"
            accept="application/zip,.zip,application/json,.json"
            hidden
            aria-label="File to take in"
            onChange={(event) => {
              void takeIn(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </Box>
      </Box>
    </Box>
  );
}
