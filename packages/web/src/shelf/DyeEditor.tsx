import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useWatch } from 'react-hook-form';
import {
  BLANK_DYE,
  CAUTIONS,
  DYE_CLASSES,
  dyeSchema,
  dyeSpoon,
  FieldError,
  premixSwatch,
  type Dye,
  type ShelfResponse,
} from '@ythrion/core';
import { LadderStrip } from '../parts/LadderStrip';
import { BehaviorFields } from './BehaviorFields';
import { ReplaceDye } from './ReplaceDye';
import { EditorFrame } from './EditorFrame';
import { AmountField, ChoiceField, plainOptions, WordField } from './fields';
import { PremixFields } from './PremixFields';
import { PriceField } from './PriceField';
import { SpoonWeightField } from './SpoonWeightField';
import { useShelfForm } from './useShelfForm';

/** A dye powder. */
export function DyeEditor({ id, dye, shelf }: { id: string; dye: Dye | undefined; shelf: ShelfResponse }) {
  const { control, read } = useShelfForm<Dye>(dyeSchema, dye ?? { ...BLANK_DYE, id });
  const [ownHex, ownDosPercent, gramsPerTeaspoon, name, madeOf] = useWatch({
    control,
    name: ['swatchHex', 'swatchDosPercent', 'gramsPerTeaspoon', 'name', 'madeOf'],
  });
  const mixed = mixedSwatch({ id, name, madeOf }, shelf.dyes);
  const swatchHex = mixed ?? ownHex;
  const swatchDosPercent = mixed === null ? ownDosPercent : 1;
  // A premix has the color of its parts.
  const readMixed = async (): Promise<Dye | undefined> => {
    const given = await read();
    const hex = given ? mixedSwatch(given, shelf.dyes) : null;
    return given && hex !== null ? { ...given, swatchHex: hex, swatchDosPercent: 1 } : given;
  };
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 620 }}>
      <EditorFrame resource="dyes" title={dye ? 'Dye' : 'New dye'} kept={dye} read={readMixed}>
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
          {mixed === null ? (
            <>
              <WordField control={control} name="swatchHex" label="Color" type="color" />
              <AmountField control={control} name="swatchDosPercent" label="Color is at depth" kind="dos" />
            </>
          ) : (
            <Typography variant="body2" sx={{ gridColumn: 'span 2', alignSelf: 'center' }}>
              Its color is that of its parts at 1 %, an estimate.
            </Typography>
          )}
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
        <BehaviorFields control={control} />
        <PremixFields control={control} id={id} shelf={shelf} />
        <WordField control={control} name="note" label="Note" multiline />
        <Typography variant="body2" color="text.secondary">
          {CAUTIONS.powder}
        </Typography>
      </EditorFrame>
      {dye && <ReplaceDye dye={dye} shelf={shelf} />}
    </Box>
  );
}

/** The color of a premix from its parts; null for a single dye, or while its parts cannot be taken apart. */
function mixedSwatch(dye: Pick<Dye, 'id' | 'name' | 'madeOf'>, dyes: readonly Dye[]): string | null {
  if (dye.madeOf.length === 0) return null;
  try {
    return premixSwatch(dye, dyes);
  } catch (error) {
    if (error instanceof FieldError) return null;
    throw error;
  }
}
