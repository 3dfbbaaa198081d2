import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useWatch } from 'react-hook-form';
import { CAUTIONS, DYE_CLASSES, dyeSchema, dyeSpoon, type Dye, type ShelfResponse } from '@ythrion/core';
import { LadderStrip } from '../parts/LadderStrip';
import { EditorFrame } from './EditorFrame';
import { AmountField, ChoiceField, plainOptions, WordField } from './fields';
import { PremixFields } from './PremixFields';
import { PriceField } from './PriceField';
import { SpoonWeightField } from './SpoonWeightField';
import { useShelfForm } from './useShelfForm';

const BLANK: Omit<Dye, 'id'> = {
  code: '',
  name: '',
  dyeClass: 'unknown',
  gramsPerTeaspoon: null,
  swatchHex: '#808080',
  swatchDosPercent: 1,
  lotStrength: 1,
  jarPriceCents: null,
  jarGrams: null,
  madeOf: [],
  note: '',
  retired: false,
};

/** A dye powder. */
export function DyeEditor({ id, dye, shelf }: { id: string; dye: Dye | undefined; shelf: ShelfResponse }) {
  const { control, read } = useShelfForm<Dye>(dyeSchema, dye ?? { ...BLANK, id });
  const [swatchHex, swatchDosPercent, gramsPerTeaspoon] = useWatch({
    control,
    name: ['swatchHex', 'swatchDosPercent', 'gramsPerTeaspoon'],
  });
  return (
    <EditorFrame resource="dyes" title={dye ? 'Dye' : 'New dye'} kept={dye} read={read}>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr' } }}>
        <WordField control={control} name="name" label="Name" />
        <WordField control={control} name="code" label="Code" />
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: '72px 1fr', sm: '72px 1fr 160px' },
          alignItems: 'start',
        }}
      >
        <WordField control={control} name="swatchHex" label="Color" type="color" />
        <AmountField control={control} name="swatchDosPercent" label="Color is at depth" kind="dos" />
        <LadderStrip swatchHex={swatchHex} swatchDosPercent={swatchDosPercent} width={160} height={44} />
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        <ChoiceField
          control={control}
          name="dyeClass"
          label="Dye class"
          options={plainOptions(DYE_CLASSES)}
        />
        <SpoonWeightField
          control={control}
          name="gramsPerTeaspoon"
          label="One level teaspoon weighs"
          spoon={dyeSpoon({ gramsPerTeaspoon })}
        />
        <AmountField control={control} name="jarGrams" label="A jar of powder holds" kind="dyeMass" />
        <PriceField
          control={control}
          name="jarPriceCents"
          label={`Price of a jar, ${shelf.studio.currency}`}
        />
      </Box>
      <PremixFields control={control} id={id} shelf={shelf} />
      <WordField control={control} name="note" label="Note" multiline />
      <Typography variant="body2" color="text.secondary">
        {CAUTIONS.powder}
      </Typography>
    </EditorFrame>
  );
}
