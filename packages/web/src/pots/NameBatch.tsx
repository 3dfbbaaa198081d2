import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { readName } from '@ythrion/core';
import { TextLine } from '../parts/TextLine';
import type { Recorder } from '../batch/useRecord';

/** A batch that was begun without a plan gets its name whenever there is one. */
export function NameBatch({ name, recorder }: { name: string; recorder: Recorder }) {
  const [text, setText] = useState('');
  const read = readName(text);
  const keep = async (): Promise<void> => {
    if (read !== null && (await recorder.record({ kind: 'named', name: read }, 'Named.'))) setText('');
  };
  return (
    <Box
      component="form"
      sx={{ px: { xs: 1.5, sm: 2 }, pt: 2, display: 'grid', gap: 1, gridTemplateColumns: '1fr auto' }}
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <TextLine label="Name" value={text} onChange={setText} placeholder={name} />
      <Button type="submit" disabled={read === null}>
        Keep the name
      </Button>
    </Box>
  );
}
