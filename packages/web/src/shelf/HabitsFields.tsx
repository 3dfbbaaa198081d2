import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormHelperText from '@mui/material/FormHelperText';
import Typography from '@mui/material/Typography';
import { Controller, type Control } from 'react-hook-form';
import {
  ACID_MATERIALS,
  ACIDS,
  BY_EYE,
  SHOWN_CHOICES,
  SPOON_NAMES,
  type Spoon,
  type Studio,
} from '@ythrion/core';
import { AmountField, ChoiceField, plainOptions } from './fields';

const ROWS = { display: 'grid', gap: 1.75, gridTemplateColumns: 'repeat(auto-fill, minmax(190px, 1fr))' };

const SHOWN = [
  ['pours', 'Pours and powders'],
  ['water', 'Baths and water'],
  ['mass', 'Goods'],
  ['temperature', 'Heat'],
  ['length', 'Lengths'],
] as const;

/** What the studio measures with, in which measures it reads, and which acid it takes as a rule. */
export function HabitsFields({ control }: { control: Control<Studio> }) {
  return (
    <>
      <Controller
        control={control}
        name="habits.spoons"
        render={({ field, fieldState }) => (
          <SpoonsInUse value={field.value} onChange={field.onChange} problem={fieldState.error?.message} />
        )}
      />
      <Box sx={ROWS}>
        {BY_EYE.map((eye) => (
          <AmountField
            key={eye}
            control={control}
            name={`habits.own.${eye}`}
            label={`Our ${eye} holds`}
            kind="volume"
          />
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary">
        Until it is measured a guess is taken: 1/16 tsp for a pinch, 15 mL for a splash.
      </Typography>
      <Box sx={ROWS}>
        {SHOWN.map(([name, label]) => (
          <ChoiceField
            key={name}
            control={control}
            name={`habits.shown.${name}`}
            label={`${label} in`}
            options={plainOptions(SHOWN_CHOICES[name])}
          />
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary">
        What you say in a measure of your own stays in it. This is for what the studio computes.
      </Typography>
      <ChoiceField
        control={control}
        name="habits.usualAcid"
        label="Usual acid"
        options={ACID_MATERIALS.map((value) => ({ value, label: ACIDS[value].label }))}
      />
    </>
  );
}

interface SpoonsInUseProps {
  value: readonly Spoon[];
  onChange: (spoons: Spoon[]) => void;
  problem: string | undefined;
}

/** The spoons that hang on the ring, each a word that is pressed. */
function SpoonsInUse({ value, onChange, problem }: SpoonsInUseProps) {
  const toggle = (spoon: Spoon): void =>
    onChange(SPOON_NAMES.filter((name) => (name === spoon ? !value.includes(name) : value.includes(name))));
  return (
    <Box role="group" aria-label="Spoons at hand">
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Spoons at hand: amounts are said in these.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {SPOON_NAMES.map((spoon) => (
          <Button
            key={spoon}
            variant={value.includes(spoon) ? 'contained' : 'outlined'}
            aria-pressed={value.includes(spoon)}
            sx={{ minWidth: 0, px: 1.25 }}
            onClick={() => toggle(spoon)}
          >
            {spoon}
          </Button>
        ))}
      </Box>
      {problem !== undefined && <FormHelperText error>✕ {problem}</FormHelperText>}
    </Box>
  );
}
