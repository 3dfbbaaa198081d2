import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { formatAmount, weighedSpoon, type SpoonWeight } from '@ythrion/core';
import { FigureText } from '../parts/FigureText';
import { QuantityField } from '../parts/QuantityField';
import { AmountField } from './fields';
import { ScaleReader } from './ScaleReader';

/** Level teaspoons that are weighed together: one alone is too light for most scales. */
const TOGETHER = 10;

/** What a level teaspoon of a powder weighs: typed, or found out with the scale beside it. @param spoon what it is taken for */
export function SpoonWeightField<T extends FieldValues>({
  control,
  name,
  label,
  spoon,
}: {
  control: Control<T>;
  name: FieldPath<T>;
  label: string;
  spoon: SpoonWeight;
}) {
  const [weighing, setWeighing] = useState(false);
  return (
    <Box sx={{ display: 'grid', gap: 0.5, alignContent: 'start' }}>
      <AmountField control={control} name={name} label={label} kind="dyeMass" />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        {!spoon.weighed && (
          <Typography variant="body2" sx={{ flex: 1 }}>
            Not weighed: {formatAmount(spoon.grams, 'g')} is taken.
          </Typography>
        )}
        {!weighing && <Button onClick={() => setWeighing(true)}>Weigh it</Button>}
      </Box>
      {weighing && (
        <Controller
          control={control}
          name={name}
          render={({ field }) => (
            <WeighSpoons
              usualGrams={spoon.grams}
              onTake={(grams) => {
                field.onChange(grams);
                setWeighing(false);
              }}
            />
          )}
        />
      )}
    </Box>
  );
}

function WeighSpoons({ usualGrams, onTake }: { usualGrams: number; onTake: (grams: number) => void }) {
  const [spoons, setSpoons] = useState(TOGETHER);
  const [grams, setGrams] = useState<number>();
  const one = grams === undefined ? null : weighedSpoon(grams, spoons);
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="body2">
        Level them off with a straight edge, and weigh them together. Mask and gloves where it is dye.
      </Typography>
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr' }}>
        <QuantityField label="Level teaspoons" kind="steps" value={spoons} onChange={setSpoons} />
        <QuantityField
          label="They weigh together"
          kind="dyeMass"
          value={grams}
          onChange={setGrams}
          onUnreadable={() => setGrams(undefined)}
        />
      </Box>
      <ScaleReader targetGrams={usualGrams * spoons} onTake={setGrams} />
      {one && (
        <Typography component="div">
          One weighs <FigureText figure={one} name="A level teaspoon" px={24} />
        </Typography>
      )}
      <Button
        variant="outlined"
        sx={{ justifySelf: 'start' }}
        disabled={!one}
        onClick={() => one && onTake(Number(one.value.toPrecision(3)))}
      >
        Take it
      </Button>
    </Box>
  );
}
