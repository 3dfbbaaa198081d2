import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { looked, type Batch } from '@ythrion/core';
import { useRecord } from '../batch/useRecord';
import { SaidText } from '../sentence/SaidText';

/** How an attempt looks once it is dry, beside the others: said days after it was closed. */
export function DryLook({ batch, number }: { batch: Batch; number: number }) {
  const recorder = useRecord(batch);
  const [words, setWords] = useState('');
  const keep = async (): Promise<void> => {
    if (words.trim() === '') return;
    if (
      await recorder.record(looked(null, 'dry', words.trim().slice(0, 200)), `Attempt ${number}, dry: kept.`)
    )
      setWords('');
  };
  return (
    <Box sx={{ mt: 0.5 }}>
      <SaidText
        label={`Attempt ${number} dry`}
        value={words}
        placeholder="now that it is dry"
        maxLength={200}
        onChange={setWords}
      />
      {words !== '' && (
        <Button size="small" onClick={() => void keep()}>
          Keep
        </Button>
      )}
    </Box>
  );
}
