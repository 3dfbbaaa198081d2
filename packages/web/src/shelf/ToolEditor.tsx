import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useWatch } from 'react-hook-form';
import { chooseTool, formatAmount, TOOL_KINDS, toolSchema, toolUnit, type Tool } from '@ythrion/core';
import { EditorFrame } from './EditorFrame';
import { AmountField, ChoiceField, plainOptions, WordField } from './fields';
import { useShelfForm } from './useShelfForm';

/** A measuring tool: what it holds and how finely it can be read. */
export function ToolEditor({ id, tool }: { id: string; tool: Tool | undefined }) {
  const { control, read } = useShelfForm<Tool>(
    toolSchema,
    tool ?? { id, name: '', kind: 'syringe', capacity: 10, graduation: 0.2, note: '', retired: false },
  );
  const [kind, capacity, graduation] = useWatch({ control, name: ['kind', 'capacity', 'graduation'] });
  const unit = toolUnit(kind);
  const half: Tool = { id, name: '', kind, capacity, graduation, note: '', retired: false };
  const small = chooseTool(capacity / 10, unit, [half]);
  return (
    <EditorFrame
      resource="tools"
      title={tool ? 'Measuring tool' : 'New measuring tool'}
      kept={tool}
      read={read}
    >
      <WordField control={control} name="name" label="Name" />
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' } }}>
        <ChoiceField control={control} name="kind" label="Kind" options={plainOptions(TOOL_KINDS)} />
        <AmountField control={control} name="capacity" label={`Holds, ${unit}`} kind="toolCapacity" />
        <AmountField
          control={control}
          name="graduation"
          label={kind === 'spoon' ? `Repeats within, ${unit}` : `One mark, ${unit}`}
          kind="graduation"
        />
      </Box>
      {small && (
        <Typography variant="body2">
          A tenth of it, {formatAmount(small.reading, unit)}, reads to ±
          {formatAmount(small.errorPercent, '%')}.
        </Typography>
      )}
      <WordField control={control} name="note" label="Note" multiline />
    </EditorFrame>
  );
}
