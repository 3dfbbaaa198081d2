import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { POT_KINDS, potSchema, type Pot } from '@ythrion/core';
import { EditorFrame } from './EditorFrame';
import { FloorFields } from './FloorFields';
import { AmountField, ChoiceField, plainOptions, WordField } from './fields';
import { useShelfForm } from './useShelfForm';

/** A vessel for dyeing. */
export function PotEditor({ id, pot }: { id: string; pot: Pot | undefined }) {
  const { control, read } = useShelfForm<Pot>(
    potSchema,
    pot ?? {
      id,
      name: '',
      kind: 'pot',
      capacityMl: 8000,
      powerWatts: null,
      efficiencyPercent: 60,
      vesselJPerK: 900,
      lossWPerK: 5,
      floor: null,
      wallCm: null,
      places: null,
      note: '',
      retired: false,
    },
  );
  return (
    <EditorFrame resource="pots" title={pot ? 'Pot' : 'New pot'} kept={pot} read={read}>
      <WordField control={control} name="name" label="Name" />
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: '1fr 1fr' }}>
        <ChoiceField control={control} name="kind" label="Kind" options={plainOptions(POT_KINDS)} />
        <AmountField control={control} name="capacityMl" label="Holds" kind="volume" />
        <AmountField control={control} name="powerWatts" label="Ring or element" kind="power" />
        <AmountField
          control={control}
          name="efficiencyPercent"
          label="Of that reaches the bath"
          kind="sharePercent"
        />
        <AmountField
          control={control}
          name="lossWPerK"
          label="Loses, W per °C above the room"
          kind="heatLoss"
        />
        <FloorFields control={control} />
        <AmountField control={control} name="wallCm" label="Wall, from its floor" kind="length" />
        <AmountField control={control} name="places" label="Room for bundles" kind="count" />
      </Box>
      <WordField control={control} name="note" label="Note" multiline />
      <Typography variant="body2" color="text.secondary">
        The ring’s power decides how long the bath takes to heat, the loss how long it cools; both are
        estimates until you have watched it once. A pot that has held dye never goes back to food.
      </Typography>
    </EditorFrame>
  );
}
