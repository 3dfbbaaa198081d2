import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useFieldArray, useWatch, type Control } from 'react-hook-form';
import { FieldError, formatAmount, singleDyes, type Dye, type ShelfResponse } from '@ythrion/core';
import { AmountField, ChoiceField } from './fields';

export interface PremixFieldsProps {
  control: Control<Dye>;
  id: string;
  shelf: ShelfResponse;
}

/** What a premix is made of, in parts; a premix may hold premixes, never itself. */
export function PremixFields({ control, id, shelf }: PremixFieldsProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'madeOf' });
  const [name, madeOf] = useWatch({ control, name: ['name', 'madeOf'] });
  const others = shelf.dyes.filter((dye) => dye.id !== id && !dye.retired);
  const taken = attempt(id, name, madeOf, shelf);
  return (
    <Box
      component="fieldset"
      sx={{ border: 1, borderColor: 'divider', m: 0, p: 1.5, display: 'grid', gap: 1 }}
    >
      <Typography component="legend" variant="body2" sx={{ px: 0.5 }}>
        {fields.length === 0 ? 'A single dye' : 'A premix of'}
      </Typography>
      {fields.map((field, i) => (
        <Box key={field.id} sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1.6fr 1fr 44px' }}>
          <ChoiceField
            control={control}
            name={`madeOf.${i}.dyeId`}
            label={`Powder ${i + 1}`}
            options={others.map((dye) => ({ value: dye.id, label: `${dye.name} ${dye.code}`.trim() }))}
          />
          <AmountField control={control} name={`madeOf.${i}.parts`} label={`Parts ${i + 1}`} kind="parts" />
          <Button
            aria-label={`Leave out powder ${i + 1}`}
            onClick={() => remove(i)}
            sx={{ minWidth: 44, px: 0 }}
          >
            ✕
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          disabled={others.length === 0}
          onClick={() => append({ dyeId: others[0]?.id ?? '', parts: 1 })}
        >
          {fields.length === 0 ? 'Make it a premix' : 'Add a powder'}
        </Button>
        <Typography variant="body2" role="status">
          {taken}
        </Typography>
      </Box>
    </Box>
  );
}

/** 10 g of the premix as single dyes, or why it cannot be taken apart. */
function attempt(id: string, name: string, madeOf: Dye['madeOf'], shelf: ShelfResponse): string {
  if (madeOf.length === 0) return '';
  try {
    const all = [...shelf.dyes.filter((dye) => dye.id !== id), { id, name, madeOf }];
    return `10 g hold ${singleDyes(id, 10, all)
      .map(
        ({ dyeId, grams }) =>
          `${formatAmount(grams, 'g')} ${shelf.dyes.find((dye) => dye.id === dyeId)?.name ?? 'of a dye'}`,
      )
      .join(', ')}.`;
  } catch (error) {
    return error instanceof FieldError ? `✕ ${error.message}` : '';
  }
}
