import Typography from '@mui/material/Typography';
import { methodFacts, patternSchema, type Pattern } from '@ythrion/core';
import { EditorFrame } from './EditorFrame';
import { WordField } from './fields';
import { useShelfForm } from './useShelfForm';

/** A pass kept as a pattern: its name and note can change, the pass itself is made on the formulation screen. */
export function PatternEditor({ pattern }: { pattern: Pattern }) {
  const { control, read } = useShelfForm<Pattern>(patternSchema, pattern);
  return (
    <EditorFrame resource="patterns" title="Pattern" kept={pattern} read={read}>
      <WordField control={control} name="name" label="Name" />
      <Typography variant="body2">
        {methodFacts(pattern.pass.method.kind).label}, {pattern.pass.dyes.length}{' '}
        {pattern.pass.dyes.length === 1 ? 'dye' : 'dyes'}. {methodFacts(pattern.pass.method.kind).gives}
      </Typography>
      <WordField control={control} name="note" label="Note" multiline />
    </EditorFrame>
  );
}
