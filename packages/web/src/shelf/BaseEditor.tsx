import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Controller, useFieldArray, useFormState, useWatch } from 'react-hook-form';
import { baseSchema, fiberFacts, FIBER_NAMES, FORMS, formatAmount, type Base } from '@ythrion/core';
import { EditorFrame } from './EditorFrame';
import { AmountField, ChoiceField, plainOptions, WordField } from './fields';
import { useShelfForm } from './useShelfForm';
import { Tick } from '../parts/Tick';

const BLANK: Omit<Base, 'id'> = {
  code: '',
  name: '',
  fibers: [{ fiber: 'wool', percent: 100 }],
  superwash: false,
  form: 'skein',
  putUpGrams: 100,
  hex: '#efe9dc',
  note: '',
  retired: false,
};
const FIBER_OPTIONS = FIBER_NAMES.map((value) => ({ value, label: fiberFacts(value).label }));

/** A yarn base: what it is spun from, how it is put up, and the color it has undyed. */
export function BaseEditor({ id, base }: { id: string; base: Base | undefined }) {
  const { control, read } = useShelfForm<Base>(baseSchema, base ?? { ...BLANK, id });
  const { fields, append, remove } = useFieldArray({ control, name: 'fibers' });
  const fibers = useWatch({ control, name: 'fibers' });
  const { errors } = useFormState({ control });
  const total = fibers.reduce((sum, share) => sum + (share.percent || 0), 0);
  const problem = errors.fibers?.root?.message ?? errors.fibers?.message;
  return (
    <EditorFrame resource="bases" title={base ? 'Yarn base' : 'New yarn base'} kept={base} read={read}>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr' } }}>
        <WordField control={control} name="name" label="Name" />
        <WordField control={control} name="code" label="Code" />
      </Box>
      {fields.map((field, i) => (
        <Box
          key={field.id}
          sx={{
            display: 'grid',
            gap: 1.5,
            gridTemplateColumns: fields.length > 1 ? '1fr 1fr 44px' : '1fr 1fr',
          }}
        >
          <ChoiceField
            control={control}
            name={`fibers.${i}.fiber`}
            label={`Fiber ${i + 1}`}
            options={FIBER_OPTIONS}
          />
          <AmountField
            control={control}
            name={`fibers.${i}.percent`}
            label={`Share ${i + 1}`}
            kind="fiberPercent"
          />
          {fields.length > 1 && (
            <Button
              aria-label={`Leave out fiber ${i + 1}`}
              onClick={() => remove(i)}
              sx={{ minWidth: 44, px: 0 }}
            >
              ✕
            </Button>
          )}
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          onClick={() => append({ fiber: 'nylon', percent: Math.max(1, 100 - total) })}
        >
          Add a fiber
        </Button>
        <Typography role="status">Together {formatAmount(total, '%')}</Typography>
        {problem && (
          <Typography role="alert" sx={{ fontWeight: 600 }}>
            ✕ {problem}
          </Typography>
        )}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr 72px' },
          alignItems: 'start',
        }}
      >
        <ChoiceField control={control} name="form" label="Form" options={plainOptions(FORMS)} />
        <AmountField control={control} name="putUpGrams" label="Put-up, dry" kind="fiberMass" />
        <WordField control={control} name="hex" label="Undyed" type="color" />
      </Box>
      <Controller
        control={control}
        name="superwash"
        render={({ field }) => (
          <Tick
            label="Superwash: takes dye sooner and darker, does not felt"
            checked={field.value}
            onChange={(on) => field.onChange(on)}
          />
        )}
      />
      <WordField control={control} name="note" label="Note" multiline />
    </EditorFrame>
  );
}
