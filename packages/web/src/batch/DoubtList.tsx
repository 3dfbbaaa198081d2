import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { doubtsOf, doubtWords } from '@ythrion/core';
import type { DoubtsProps } from './Doubts';

/** Entries of which only the dyer knows whether they are to count, one tap each. */
export function DoubtList({ batch, reading, recorder }: DoubtsProps) {
  return (
    <Box component="section" aria-label="Does it count?" sx={{ px: { xs: 1.5, sm: 2 }, py: 1 }}>
      {doubtsOf(batch).map((doubt) => {
        const { title, detail, answers } = doubtWords(doubt, reading);
        return (
          <Box
            key={doubt.events[0].id}
            sx={{ borderLeft: 4, borderColor: 'text.primary', pl: 1.5, py: 0.5, mb: 1 }}
          >
            <Typography sx={{ fontWeight: 700 }}>{title}</Typography>
            <Typography variant="body2">{detail}</Typography>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
              {answers.map(({ word, events }) => (
                <Button
                  key={word}
                  variant="outlined"
                  size="large"
                  aria-label={`${title}: ${word}`}
                  onClick={() => void recorder.recordAll(events)}
                >
                  {word}
                </Button>
              ))}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
