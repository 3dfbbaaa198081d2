import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { noteAtCup, towelTest } from '@ythrion/core';
import type { EnterAtCup } from '../batch/useCup';

/** A dab on a towel, in words: a guide, and misleading for browns and darks. */
export function TowelTest({ enter, onDone }: { enter: EnterAtCup; onDone: () => void }) {
  const [words, setWords] = useState('');
  const note = async (): Promise<void> => {
    if (await enter(() => [noteAtCup(words)], 'Noted.')) onDone();
  };
  const keep = async (): Promise<void> => {
    if (await enter(() => [towelTest(words)], `Towel: ${words}.`)) onDone();
  };
  return (
    <Box component="section" aria-label="Towel test" sx={{ py: 1 }}>
      <TextField
        autoFocus
        fullWidth
        label="On the towel it looks"
        placeholder="browner than wanted"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void keep();
        }}
      />
      <Typography variant="body2" sx={{ my: 1 }}>
        A guide only: on a towel browns and darks are misleading.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" size="large" onClick={() => void keep()}>
          Keep the look
        </Button>
        <Button variant="outlined" size="large" onClick={() => void note()}>
          Keep as a note
        </Button>
        <Button size="large" onClick={onDone}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}
